import { ok } from '../outcome.ts';
import { inRow, type Drawing } from '../page/drawing.ts';
import { tenFrame } from '../page/pieces.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count } from './words.ts';
import { COUNTERS } from './counterSwaps.ts';

/** Frames of five or ten, one or two of them, or a tray with other places. */
export const frameMaker: Maker = {
  id: 'frame',
  title: 'Five and ten frames',
  about: 'Places in fives, so that a number is seen as so many and so many more to go.',
  skills: ['see-how-many', 'parts-whole'],
  dials: [
    { kind: 'choice', name: 'frame', label: 'frame', choices: ['five', 'ten', 'two tens'], value: 'ten' },
    { kind: 'number', name: 'first', label: 'in the first colour', min: 0, max: 20, value: 6 },
    { kind: 'number', name: 'second', label: 'in the second colour', min: 0, max: 20, value: 0 },
    { kind: 'number', name: 'tray', label: 'places of the tray at home', min: 5, max: 30, value: 12 },
  ],
  make(values, settings) {
    const places = values.frame === 'five' ? 5 : values.frame === 'ten' ? 10 : 20;
    const first = numberOf(values, 'first');
    const second = numberOf(values, 'second');
    const total = first + second;
    if (total > places)
      return refuse(
        `${total} counters do not go into ${places} places; choose fewer or ${places < 20 ? 'a larger frame' : 'two numbers that make at most 20'}`,
      );
    const tray = numberOf(values, 'tray');
    const cover = tray - Math.min(10, places);
    const fromRight = settings.isLeftHanded;
    const inReadingOrder = (frames: Drawing[]) => (fromRight ? frames.toReversed() : frames);
    const draw = (inFirst: number, inSecond: number): Drawing =>
      places <= 10
        ? tenFrame(places, inFirst, { second: inSecond, fromRight })
        : inRow(
            inReadingOrder([
              tenFrame(10, Math.min(10, inFirst), {
                second: Math.min(10 - Math.min(10, inFirst), inSecond),
                fromRight,
              }),
              tenFrame(10, Math.max(0, inFirst - 10), {
                second: Math.max(0, inFirst + inSecond - 10) - Math.max(0, inFirst - 10),
                fromRight,
              }),
            ]),
            8,
          );
    const left = places - total;
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Lay ${places > 10 ? 'two frames of 10 places' : `a frame of ${places} places`}. Put ${count(first, 'counter')} in, filling the rows from the ${fromRight ? 'right' : 'left'}${second > 0 ? `, then ${second} of another colour` : ''}.${cover > 0 ? ` A box or tray with ${tray} hollows will do: cover ${cover} of them.` : ''}`,
      },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: '“How many do you see?”',
        answer: second > 0 ? `${first} and ${second}: ${total}` : String(total),
      },
      { key: 'ask-2', kind: 'ask' as const, text: '“How many places are empty?”', answer: String(left) },
      {
        key: 'if-1',
        kind: 'if' as const,
        text: 'They count every dot: ask about the full row only, then about the rest.',
      },
    ];
    return ok({
      facts: [
        `${left === 0 ? 'The frame is full.' : `${left} more make ${places}.`}`,
        ...(cover > 0
          ? [`A tray with ${tray} places: cover ${cover}.`]
          : cover < 0
            ? [`A tray with ${tray} places is too small by ${-cover}; draw a frame.`]
            : []),
        ...(total === 0 && !settings.zeroEarly
          ? ['This programme brings zero late: show the empty frame once others are known.']
          : []),
      ],
      picture: draw(first, second),
      lines: {
        easier: [
          { key: 'do-2', kind: 'do', text: 'Fill only the first row, with up to five.' },
          { key: 'ask-3', kind: 'ask', text: '“How many?”', answer: String(Math.min(5, total)) },
        ],
        right: body,
        harder: [
          { key: 'do-3', kind: 'do', text: `Show the frame with ${total} and cover it as your child says “now”.` },
          { key: 'ask-4', kind: 'ask', text: '“What did you see?”', answer: asSeen(total) },
          { key: 'ask-5', kind: 'ask', text: `“And how many to ${places}?”`, answer: String(left) },
        ],
      },
      materials: [
        { item: 'bottle-lid', qty: Math.max(1, total), use: 'lasting', swaps: COUNTERS },
        {
          item: places > 5 ? 'egg-carton' : 'paper',
          qty: places > 10 ? 2 : 1,
          use: 'lasting',
          swaps: [
            { item: 'paper', fit: 0.8, why: 'a frame is drawn in a minute' },
            ...(cover >= 0
              ? [
                  {
                    item: 'muffin-tray',
                    fit: 0.8,
                    why: cover > 0 ? `${tray} hollows: cover ${cover}` : `its ${tray} hollows are what is needed`,
                  },
                ]
              : []),
          ],
        },
      ],
      actions: [],
      printable: { title: 'Frames', cards: [], sheets: [draw(0, 0), draw(first, second)] },
      key: [`${first}${second ? ` and ${second}` : ''}: ${total}; ${left} to ${places}`],
    });
  },
};

/** A number as it is seen on frames: by its full frame or row, and what is left over. */
function asSeen(number: number): string {
  const full = number > 10 ? 10 : 5;
  return number > 5 && number !== full
    ? `${number}: ${full === 10 ? 'ten' : 'five'} and ${number - full}`
    : String(number);
}
