import { markedStrips } from '../numbers/pots.ts';
import { ok } from '../outcome.ts';
import { inColumn, type Drawing, type Shape } from '../page/drawing.ts';
import { sheetsNeeded } from './makerPages.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count } from './words.ts';

const CELL = 20;
/** With fewer, no strip can be taken out so that a gap shows. */
const FEWEST = 3;

/** A strip with marks in cells of 20 mm. */
function strip(marks: number, text = ''): Drawing {
  const shapes: Shape[] = Array.from({ length: Math.max(1, marks) }, (_, index): Shape => ({
    kind: 'rect',
    x: index * CELL,
    y: 0,
    w: CELL,
    h: CELL,
    stroke: 'ink',
    width: 0.4,
    fill: 'white',
  }));
  for (let mark = 0; mark < marks; mark++)
    shapes.push({ kind: 'circle', x: (mark + 0.5) * CELL, y: CELL / 2, r: 5, fill: 'teal' });
  if (text) shapes.push({ kind: 'text', x: Math.max(1, marks) * CELL + 3, y: CELL / 2 + 3, size: 8, text });
  return { width: Math.max(1, marks) * CELL + (text ? 16 : 0), height: CELL, shapes };
}

/** Strips with a to b marks. */
export const stripsMaker: Maker = {
  id: 'strips',
  title: 'Strips',
  about: 'A strip for each number, a mark longer each time, to lay in order.',
  skills: ['order', 'compare'],
  dials: [
    { kind: 'number', name: 'from', label: 'from', min: 1, max: 12, value: 1 },
    { kind: 'number', name: 'to', label: 'to', min: 1, max: 12, value: 6 },
  ],
  make(values) {
    const from = numberOf(values, 'from');
    const to = numberOf(values, 'to');
    if (to < from) return refuse(`the strips would run from ${from} down to ${to}; “to” must not be below “from”`);
    if (to < from + FEWEST - 1)
      return refuse(
        `from ${from} to ${to} there ${to === from ? 'is one strip' : 'are two strips'}, and no gap shows when one is taken out; take at least three`,
      );
    const { strips, marks } = markedStrips(from, to);
    const numbers = Array.from({ length: strips }, (_, index) => from + index);
    const fitAcross = 9;
    const printable = {
      title: 'Strips',
      cards: [],
      sheets: numbers.map((number) =>
        number <= fitAcross ? strip(number) : inColumn([strip(fitAcross), strip(number - fitAcross)], 2),
      ),
    };
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Mix ${count(strips, 'strip')}, ${from} to ${to} marks, and lay the shortest at the edge of the table.`,
      },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: '“Which comes next?”',
        answer: `the one with ${from + 1} marks: one more`,
      },
      {
        key: 'ask-2',
        kind: 'ask' as const,
        text: '“How much longer is each than the one before?”',
        answer: 'one mark',
      },
      {
        key: 'if-1',
        kind: 'if' as const,
        text: 'The ends do not lie in line: hold a book against one side, and push them to it.',
      },
    ];
    return ok({
      facts: [
        `${count(strips, 'strip')}, ${marks} marks in all; cells of ${CELL} mm.`,
        ...(to > fitAcross
          ? [
              `The longest is ${to * CELL} mm: strips with more than ${fitAcross} marks are printed in two pieces, to be stuck together end to end.`,
            ]
          : []),
      ],
      picture: inColumn(
        numbers.map((number) => strip(number, String(number))),
        4,
      ),
      lines: {
        easier: [
          { key: 'do-2', kind: 'do', text: `Take two strips, ${from} and ${to}.` },
          { key: 'ask-3', kind: 'ask', text: '“Which is longer?”', answer: String(to) },
        ],
        right: body,
        harder: [
          { key: 'do-3', kind: 'do', text: 'Take one strip out behind your back and close the gap.' },
          { key: 'ask-4', kind: 'ask', text: '“Which is missing?”', answer: 'where the step is two marks high' },
        ],
      },
      materials: [
        {
          item: 'paper',
          qty: sheetsNeeded(printable),
          use: 'used-up',
          swaps: [{ item: 'newspaper', fit: 0.7, why: 'torn along the fold' }],
        },
        { item: 'crayon', qty: 1, use: 'lasting', swaps: [] },
        { item: 'scissors', qty: 1, use: 'lasting', swaps: [] },
      ],
      actions: ['scissors'],
      printable,
      key: numbers.map((number) => `${number}: ${count(number, 'mark')}`),
    });
  },
};
