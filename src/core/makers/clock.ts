import { ok } from '../outcome.ts';
import { type Drawing, type Shape } from '../page/drawing.ts';
import { numberOf, type Maker } from './maker.ts';
import { numberName } from './words.ts';

/** A clock face at o'clock or half past. */
export const clockMaker: Maker = {
  id: 'clock',
  title: 'Clock',
  about: 'O’clock and half past, with the small hand where it belongs.',
  skills: ['order', 'numeral-quantity'],
  dials: [
    { kind: 'number', name: 'hour', label: 'hour', min: 1, max: 12, value: 3 },
    { kind: 'choice', name: 'minutes', label: 'minutes', choices: ['o’clock', 'half past'], value: 'o’clock' },
  ],
  make(values) {
    const hour = numberOf(values, 'hour');
    const isHalf = values.minutes === 'half past';
    const said = isHalf ? `half past ${numberName(hour)}` : `${numberName(hour)} o’clock`;
    const face = clockFace(hour, isHalf);
    const next = (hour % 12) + 1;
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Set the clock to ${said}: the long hand to the ${isHalf ? 'six' : 'twelve'}, the short one ${isHalf ? `between ${hour} and ${next}` : `to the ${hour}`}.`,
      },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: '“What does the short hand point to?”',
        answer: isHalf ? `past ${hour}, on the way to ${next}` : String(hour),
      },
      {
        key: 'ask-2',
        kind: 'ask' as const,
        text: '“What do we do at that time?”',
        answer: 'whatever is true in your home',
      },
      {
        key: 'if-1',
        kind: 'if' as const,
        text: `They read the long hand as the hour: cover it with a finger, and read the short one first.`,
      },
    ];
    return ok({
      facts: [`It shows ${said}.`],
      picture: face,
      lines: {
        easier: [
          { key: 'do-2', kind: 'do', text: 'Use the short hand only.' },
          isHalf
            ? { key: 'ask-3', kind: 'ask', text: '“Between which two numbers?”', answer: `${hour} and ${next}` }
            : { key: 'ask-4', kind: 'ask', text: '“Near which number?”', answer: String(hour) },
        ],
        right: body,
        harder: [
          ...body,
          {
            key: 'ask-5',
            kind: 'ask',
            text: '“And an hour later?”',
            answer: isHalf ? `half past ${numberName(next)}` : `${numberName(next)} o’clock`,
          },
        ],
      },
      materials: [
        {
          item: 'clock',
          qty: 1,
          use: 'lasting',
          swaps: [{ item: 'plate', fit: 0.7, why: 'numerals on notes, hands of two pencils' }],
        },
      ],
      actions: [],
      printable: { title: 'Clock', cards: [], sheets: [face, clockFace(null, false)] },
      key: [said],
    });
  },
};

/** A clock of 120 mm; without an hour it has no hands. The short hand moves on by half a step at half past. */
function clockFace(hour: number | null, isHalf: boolean): Drawing {
  const middle = 60;
  const at = (turn: number, r: number): readonly [number, number] => [
    middle + Math.sin(turn * 2 * Math.PI) * r,
    middle - Math.cos(turn * 2 * Math.PI) * r,
  ];
  const hand = (turn: number, r: number, width: number): Shape => {
    const [x2, y2] = at(turn, r);
    return { kind: 'line', x1: middle, y1: middle, x2, y2, stroke: 'ink', width };
  };
  return {
    width: 120,
    height: 120,
    shapes: [
      { kind: 'circle', x: middle, y: middle, r: 57, stroke: 'ink', width: 1, fill: 'white' },
      ...Array.from({ length: 12 }, (_, index): Shape => {
        const [x, y] = at((index + 1) / 12, 47);
        return { kind: 'text', x, y: y + 4, size: 11, text: String(index + 1), align: 'middle' };
      }),
      ...(hour === null ? [] : [hand((hour + (isHalf ? 0.5 : 0)) / 12, 26, 3), hand(isHalf ? 0.5 : 0, 39, 1.6)]),
      { kind: 'circle', x: middle, y: middle, r: 2.5, fill: 'ink' },
    ],
  };
}
