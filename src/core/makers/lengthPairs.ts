import { ok } from '../outcome.ts';
import { inColumn, type Drawing, type Ink, type Shape } from '../page/drawing.ts';
import { CAP_HEIGHT } from '../page/text.ts';
import { sheetsNeeded } from './makerPages.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { listWords } from './words.ts';

/** Strips that are cut in two, so that each half has one partner only. */
export const lengthPairsMaker: Maker = {
  id: 'length-pairs',
  title: 'Length pairs',
  about: 'Coloured strips cut in two: every half fits one other, and no two tie.',
  skills: ['compare', 'same-different'],
  dials: [
    { kind: 'number', name: 'colours', label: 'strips', min: 2, max: 8, value: 4 },
    { kind: 'number', name: 'difference', label: 'shortest difference that shows, mm', min: 5, max: 25, value: 15 },
  ],
  make(values) {
    const colours = numberOf(values, 'colours');
    const difference = numberOf(values, 'difference');
    const cuts = cutPositions(colours, difference);
    if (!cuts)
      return refuse(
        `${colours} strips cannot be cut from ${STRIP_MM} mm so that any two pieces differ by ${difference} mm; at most ${largestDifference(colours)} mm is possible. Choose fewer strips or a smaller difference`,
      );
    const inks: Ink[] = ['teal', 'marigold', 'mulberry', 'blue', 'green', 'red', 'grey', 'yellow'];
    const draw = (cut: number, index: number): Drawing => ({
      width: STRIP_MM,
      height: 16,
      shapes: [
        { kind: 'rect', x: 0, y: 0, w: cut, h: 14, fill: inks[index]!, stroke: 'ink', width: 0.3 },
        { kind: 'rect', x: cut, y: 0, w: STRIP_MM - cut, h: 14, fill: inks[index]!, stroke: 'ink', width: 0.3 },
        { kind: 'line', x1: cut, y1: -1, x2: cut, y2: 15, stroke: 'ink', width: 0.5, isDashed: true },
        ...[cut / 2, (cut + STRIP_MM) / 2].flatMap((x) => letterAt(x, index)),
      ],
    });
    const printable = { title: 'Strips to cut in two', cards: [], sheets: cuts.map(draw) };
    const lengths = cuts.flatMap((cut) => [cut, STRIP_MM - cut]).sort((left, right) => left - right);
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Cut ${colours} strips of ${STRIP_MM} mm at ${listWords(cuts.map((cut) => `${cut}`))} mm, and mix the pieces.`,
      },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: '“Which two make one long strip again?”',
        answer: 'those of one colour; laid end to end all are equally long',
      },
      { key: 'ask-2', kind: 'ask' as const, text: '“Which piece is the shortest of all?”', answer: `${lengths[0]} mm` },
      {
        key: 'notice-1',
        kind: 'notice' as const,
        text: 'Do they lay the ends in line before they say which is longer?',
      },
    ];
    return ok({
      facts: [`Pieces of ${listWords(lengths)} mm: any two differ by at least ${difference} mm.`],
      picture: inColumn(cuts.map(draw), 3),
      lines: {
        easier: [
          { key: 'do-2', kind: 'do', text: 'Take the longest and the shortest piece only.' },
          {
            key: 'ask-3',
            kind: 'ask',
            text: '“Which is longer?”',
            answer: `${lengths.at(-1)} mm against ${lengths[0]} mm`,
          },
        ],
        right: body,
        harder: [
          ...body.slice(0, 1),
          { key: 'do-3', kind: 'do', text: `Lay all ${2 * colours} pieces in order, without looking at the colours.` },
        ],
      },
      materials: [
        {
          item: 'paper',
          qty: sheetsNeeded(printable),
          use: 'used-up',
          swaps: [{ item: 'drinking-straw', fit: 0.8, why: 'cut straws roll, so lay them against a book' }],
        },
        { item: 'scissors', qty: 1, use: 'lasting', swaps: [] },
      ],
      actions: ['scissors'],
      printable,
      key: cuts.map((cut, index) => `${String.fromCharCode(65 + index)}: ${cut} mm and ${STRIP_MM - cut} mm`),
    });
  },
};

/** The letter of a strip's pair, in ink on white, so that it is read on any colour and with little ink. */
function letterAt(x: number, index: number): Shape[] {
  return [
    { kind: 'circle', x, y: 7, r: 4.4, fill: 'white', stroke: 'ink', width: 0.3 },
    { kind: 'text', x, y: 7 + 3 * CAP_HEIGHT, size: 6, text: String.fromCharCode(65 + index), align: 'middle' },
  ];
}

export const STRIP_MM = 180;

/** The largest difference in whole mm that so many strips allow: `cutPositions` finds places for it and for no larger one. */
function largestDifference(strips: number): number {
  return Math.floor(STRIP_MM / (2 * strips + 1));
}

/** Where to cut so many equal strips, in mm from one end, so that any two pieces differ by at least so much; null when they cannot. */
export function cutPositions(strips: number, difference: number): number[] | null {
  // Short pieces rise by twice the difference from `shortest`; long ones then fall by it, and the two runs never come nearer.
  const longestShort = (STRIP_MM - difference) / 2;
  const shortest = longestShort - (strips - 1) * difference;
  if (shortest < difference) return null;
  return Array.from({ length: strips }, (_, index) => Math.floor(shortest + index * difference));
}
