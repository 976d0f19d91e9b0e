import { ok } from '../outcome.ts';
import { type Drawing, type Shape } from '../page/drawing.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count } from './words.ts';

/** A balance made from a coat hanger, with things weighed in counters. */
export const balanceMaker: Maker = {
  id: 'balance',
  title: 'Balance',
  about: 'Two bags on a hanger: what is heavier, and how many counters make it level.',
  skills: ['compare'],
  dials: [
    { kind: 'number', name: 'left', label: 'weight on the left, in counters', min: 0, max: 40, value: 12 },
    { kind: 'number', name: 'right', label: 'weight on the right', min: 0, max: 40, value: 7 },
    { kind: 'number', name: 'guess', label: 'the guess: so many more', min: 0, max: 40, value: 4 },
  ],
  make(values) {
    const left = numberOf(values, 'left');
    const right = numberOf(values, 'right');
    const guess = numberOf(values, 'guess');
    if (left === 0 && right === 0)
      return refuse('with nothing on either side there is nothing to weigh; put something into one of the bags');
    const most = Math.max(left, right);
    const difference = Math.abs(left - right);
    const lower = left === right ? 'neither' : left > right ? 'the left' : 'the right';
    const tilt = Math.max(-12, Math.min(12, left - right));
    const picture: Drawing = {
      width: 120,
      height: 66,
      shapes: [
        { kind: 'line', x1: 60, y1: 4, x2: 60, y2: 12, stroke: 'ink', width: 1 },
        { kind: 'line', x1: 16, y1: 12 + tilt, x2: 104, y2: 12 - tilt, stroke: 'ink', width: 1.4 },
        ...bag(16, 12 + tilt, left),
        ...bag(104, 12 - tilt, right),
      ],
    };
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Hang a coat hanger on a door handle with a bag on each end. All counters are alike. Put ${count(left, 'counter')} into the left bag and ${count(right, 'counter')} into the right one.`,
      },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: '“Which side will go down?”',
        answer: lower === 'neither' ? 'neither: it stays level' : `${lower} one: the lower side is heavier`,
      },
      {
        key: 'ask-2',
        kind: 'ask' as const,
        text: '“How many more to make it level?”',
        answer: difference === 0 ? 'none' : `${difference} more on the other side`,
      },
      { key: 'if-1', kind: 'if' as const, text: 'The hanger slips: tape it to the handle.' },
    ];
    return ok({
      facts: [
        difference === 0
          ? `${left} and ${right}: level.`
          : `${lower === 'the left' ? 'Left' : 'Right'} is heavier by ${difference}; a guess of ${guess} would be ${Math.abs(guess - difference)} away.`,
      ],
      picture,
      lines: {
        easier: [
          {
            key: 'do-2',
            kind: 'do',
            text: `Hang a coat hanger on a door handle with a bag on each end. Put ${count(most, 'counter')} into one bag, and none into the other.`,
          },
          {
            key: 'ask-3',
            kind: 'ask',
            text: '“Which is heavier?”',
            answer: 'the one with the counters: it hangs lower',
          },
        ],
        right: body,
        harder: [
          ...body,
          {
            key: 'ask-4',
            kind: 'ask',
            text: '“What weighs the same as the left bag?”',
            answer: `${count(left, 'counter')}`,
          },
        ],
      },
      materials: [
        { item: 'coat-hanger', qty: 1, use: 'lasting', swaps: [] },
        {
          item: 'carrier-bag',
          qty: 2,
          use: 'lasting',
          swaps: [{ item: 'sock', fit: 0.8, why: 'tied on with a knot' }],
        },
        {
          item: 'building-block',
          // Both bags at once, and what makes them level.
          qty: 2 * most,
          use: 'lasting',
          swaps: [{ item: 'spoon', fit: 0.5, why: 'all alike, but heavy' }],
        },
      ],
      actions: ['pinching'],
      printable: { title: 'Balance', cards: [], sheets: [] },
      key: [`difference ${difference}`],
    });
  },
};

function bag(x: number, y: number, weight: number): Shape[] {
  return [
    { kind: 'line', x1: x, y1: y, x2: x - 8, y2: y + 18, stroke: 'soft', width: 0.5 },
    { kind: 'line', x1: x, y1: y, x2: x + 8, y2: y + 18, stroke: 'soft', width: 0.5 },
    { kind: 'rect', x: x - 12, y: y + 18, w: 24, h: 20, radius: 4, fill: 'pale', stroke: 'ink', width: 0.5 },
    { kind: 'text', x, y: y + 32, size: 10, text: String(weight), align: 'middle' },
  ];
}
