import { ok } from '../outcome.ts';
import { type Drawing, type Shape } from '../page/drawing.ts';
import { CAP_HEIGHT, fittingSize } from '../page/text.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { listWords } from './words.ts';

const CELL = 20;
/** Numerals stay clear of the cuts, whose teeth reach 3 mm into a cell on either side. */
const NUMERAL = { width: CELL - 9, size: 11 };

/** A row of numerals cut into pieces that fit only their neighbours. */
export const numberStripMaker: Maker = {
  id: 'number-strip',
  title: 'A number strip in pieces',
  about: 'Numerals in a row, cut with a different edge each time, so that it checks itself.',
  skills: ['order', 'say-row'],
  dials: [
    { kind: 'number', name: 'from', label: 'from', min: 0, max: 90, value: 1 },
    { kind: 'number', name: 'length', label: 'how many', min: 3, max: 9, value: 8 },
  ],
  make(values, settings) {
    const from = numberOf(values, 'from');
    const length = numberOf(values, 'length');
    if (from === 0 && !settings.zeroEarly) return refuse('this programme brings zero late: start the row at 1');
    const stay = Math.max(1, length - 3);
    const numbers = Array.from({ length }, (_, index) => from + index);
    const size = Math.min(...numbers.map((number) => fittingSize(String(number), NUMERAL.width, NUMERAL.size)));
    const draw = (row: readonly (number | null)[]): Drawing => {
      const shapes: Shape[] = [
        { kind: 'rect', x: 0, y: 0, w: row.length * CELL, h: 28, stroke: 'ink', width: 0.4, fill: 'white' },
      ];
      row.forEach((number, index) => {
        if (number !== null)
          shapes.push({
            kind: 'text',
            x: (index + 0.5) * CELL,
            y: 14 + (size * CAP_HEIGHT) / 2,
            size,
            text: String(number),
            align: 'middle',
          });
        if (index > 0) shapes.push(...edge(index * CELL, index));
      });
      return { width: row.length * CELL, height: 28, shapes };
    };
    const body = [
      { key: 'do-1', kind: 'do' as const, text: `Cut the strip along its edges into ${length} pieces, and mix them.` },
      { key: 'say-1', kind: 'say' as const, text: '“If the edges fit, it is right.”' },
      { key: 'ask-1', kind: 'ask' as const, text: `“What comes after ${from + 1}?”`, answer: String(from + 2) },
      { key: 'ask-2', kind: 'ask' as const, text: `“And before ${from + 1}?”`, answer: String(from) },
    ];
    return ok({
      facts: [
        `${numbers[0]} to ${numbers.at(-1)}; ${length - 1} cuts, each with an edge of its own.`,
        ...(settings.pastTen && numbers.at(-1)! <= 10
          ? ['It ends at ten or before: a second strip from 8 goes past it.']
          : []),
      ],
      picture: draw(numbers),
      lines: {
        easier: [
          {
            key: 'do-2',
            kind: 'do',
            text: `Cut the strip along its edges into ${length} pieces. Leave the first ${stay === 1 ? 'piece' : `${stay} pieces`} in their place, and give the others one at a time.`.replace(
              'piece in their',
              'piece in its',
            ),
          },
          { key: 'ask-4', kind: 'ask', text: `“What comes after ${from + stay - 1}?”`, answer: String(from + stay) },
        ],
        right: body,
        harder: [
          { key: 'do-3', kind: 'do', text: 'Build it from the end backwards.' },
          { key: 'ask-3', kind: 'ask', text: `“Before ${numbers.at(-1)}?”`, answer: String(numbers.at(-1)! - 1) },
        ],
      },
      materials: [
        { item: 'paper', qty: 1, use: 'used-up', swaps: [] },
        { item: 'scissors', qty: 1, use: 'lasting', swaps: [] },
      ],
      actions: ['scissors'],
      printable: { title: 'Number strip', cards: [], sheets: [draw(numbers)] },
      key: [listWords(numbers)],
    });
  },
};

/** The edge of a cut: a zigzag whose teeth depend on the cut, so that no two are alike. */
function edge(x: number, cut: number): Shape[] {
  const heights = [0, 4 + ((cut * 5) % 7), 13 + ((cut * 3) % 5), 21 + (cut % 4), 28];
  const depths = [0, cut % 2 ? 3 : -3, cut % 3 ? -2.5 : 2.5, cut % 4 < 2 ? 3 : -2, 0];
  return heights.slice(1).map((height, index): Shape => ({
    kind: 'line',
    x1: x + depths[index]!,
    y1: heights[index]!,
    x2: x + depths[index + 1]!,
    y2: height,
    stroke: 'ink',
    width: 0.4,
    isDashed: true,
  }));
}
