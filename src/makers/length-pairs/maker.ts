import { listOf, type MessageValues } from '../../core/message.ts';
import { ok } from '../../core/outcome.ts';
import { CAP_HEIGHT, type Drawing, inColumn, type Ink, type Shape } from '../../core/page/index.ts';
import { lasting, linesAbout, type Maker, numberOf, refuse, sheetsNeeded, usedUp } from '../../core/makers/index.ts';

const INKS: readonly Ink[] = ['teal', 'marigold', 'mulberry', 'blue', 'green', 'red', 'grey', 'yellow'];

/** Strips that are cut in two, so that each half has one partner only. */
export const maker: Maker = {
  id: 'length-pairs',
  place: 120,
  skills: ['compare', 'same-different'],
  dials: [
    { kind: 'number', name: 'colours', min: 2, max: 8, value: 4 },
    { kind: 'number', name: 'difference', min: 5, max: 25, value: 15 },
  ],
  make(values, _settings, say) {
    const strips = numberOf(values, 'colours');
    const difference = numberOf(values, 'difference');
    const cuts = cutPositions(strips, difference);
    if (!cuts)
      return refuse('problem.too-long', { strips, difference, length: STRIP_MM, most: largestDifference(strips) });
    const printable = { title: say('printable'), cards: [], sheets: cuts.map(stripToCut) };
    const lengths = cuts.flatMap((cut) => [cut, STRIP_MM - cut]).sort((left, right) => left - right);
    const facts: MessageValues = {
      strips,
      difference,
      length: STRIP_MM,
      pieces: 2 * strips,
      cuts: listOf(cuts),
      lengths: listOf(lengths),
      shortest: lengths[0]!,
      longest: lengths.at(-1)!,
    };
    const write = linesAbout(say, facts);
    return ok({
      facts: [say('fact', facts)],
      values: facts,
      turns: { count: 2 * strips, seconds: 12 },
      picture: inColumn(cuts.map(stripToCut), 3),
      lines: {
        easier: write('do-2', 'ask-3'),
        right: write('do-1', 'ask-1', 'ask-2', 'notice-1'),
        harder: write('do-1', 'do-3'),
      },
      materials: [
        usedUp('paper', sheetsNeeded(printable), [
          { item: 'drinking-straw', fit: 0.8, why: say('swap.drinking-straw') },
        ]),
        lasting('scissors', 1),
      ],
      actions: ['scissors'],
      printable,
      key: cuts.map((cut, index) => say('key', { letter: letterOf(index), cut, rest: STRIP_MM - cut })),
    });
  },
};

const letterOf = (index: number) => String.fromCharCode(65 + index);

/** A strip with the place where it is cut, in mm from its left end. */
function stripToCut(cut: number, index: number): Drawing {
  const fill = INKS[index]!;
  return {
    width: STRIP_MM,
    height: 16,
    shapes: [
      { kind: 'rect', x: 0, y: 0, w: cut, h: 14, fill, stroke: 'ink', width: 0.3 },
      { kind: 'rect', x: cut, y: 0, w: STRIP_MM - cut, h: 14, fill, stroke: 'ink', width: 0.3 },
      { kind: 'line', x1: cut, y1: -1, x2: cut, y2: 15, stroke: 'ink', width: 0.5, isDashed: true },
      ...[cut / 2, (cut + STRIP_MM) / 2].flatMap((x) => letterAt(x, index)),
    ],
  };
}

/** The letter of a strip's pair, in ink on white, so that it is read on any colour and with little ink. */
function letterAt(x: number, index: number): Shape[] {
  return [
    { kind: 'circle', x, y: 7, r: 4.4, fill: 'white', stroke: 'ink', width: 0.3 },
    { kind: 'text', x, y: 7 + 3 * CAP_HEIGHT, size: 6, text: letterOf(index), align: 'middle' },
  ];
}

/** The length of every strip before it is cut, in mm: it fits across both papers. */
export const STRIP_MM = 180;

/** The largest difference in whole mm that so many strips allow: `cutPositions` finds places for it and for no larger one. */
function largestDifference(strips: number): number {
  return Math.floor(STRIP_MM / (2 * strips + 1));
}

/** Where to cut so many equal strips, in mm from one end, so that any two pieces differ by at least so much; null when they cannot. */
export function cutPositions(strips: number, difference: number): number[] | null {
  // The shorter halves rise by the difference from `shortest` to `longestShort`; the longer halves fall as they rise, and
  // the longest short half is one difference below its own longer half, so no two pieces come nearer.
  const longestShort = (STRIP_MM - difference) / 2;
  const shortest = longestShort - (strips - 1) * difference;
  if (shortest < difference) return null;
  return Array.from({ length: strips }, (_, index) => Math.floor(shortest + index * difference));
}
