import { ok } from '../outcome.ts';
import { inGrid, type Drawing, type Shape } from '../page/drawing.ts';
import { numberOf, type Maker } from './maker.ts';
import { count, numberName } from './words.ts';

/** Tally marks in fives. */
export const tallyMaker: Maker = {
  id: 'tally',
  title: 'Tally',
  about: 'A stroke for each that passes, a bar across every fifth.',
  skills: ['see-how-many', 'touch-count'],
  dials: [{ kind: 'number', name: 'number', label: 'how many', min: 5, max: 50, value: 13 }],
  make(values) {
    const number = numberOf(values, 'number');
    const fives = Math.floor(number / 5);
    const rest = number % 5;
    const group = (strokes: number): Drawing => ({
      width: 22,
      height: 20,
      shapes: [
        ...Array.from({ length: Math.min(4, strokes) }, (_, index): Shape => ({
          kind: 'line',
          x1: 4 + index * 4,
          y1: 2,
          x2: 4 + index * 4,
          y2: 18,
          stroke: 'ink',
          width: 1,
        })),
        ...(strokes === 5 ? [{ kind: 'line', x1: 1, y1: 16, x2: 19, y2: 4, stroke: 'ink', width: 1 } as const] : []),
      ],
    });
    const groups = [...Array.from({ length: fives }, () => 5), ...(rest > 0 ? [rest] : [])];
    const steps = Array.from({ length: fives }, (_, index) => numberName((index + 1) * 5));
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: 'Choose what to look out for: red cars, dogs, people on bicycles. Take paper and a pencil.',
      },
      {
        key: 'say-1',
        kind: 'say' as const,
        text: '“Each time we see one, a stroke. The fifth lies down across the others.”',
      },
      {
        key: 'ask-1',
        kind: 'ask' as const,
        text: `Go on until you have ${number} of them. “How many strokes are there?”`,
        answer:
          fives > 0
            ? `${[...steps, ...Array.from({ length: rest }, (_, index) => numberName(fives * 5 + index + 1))].join(', ')}`
            : numberName(number),
      },
      { key: 'notice-1', kind: 'notice' as const, text: 'Do they count on from the fives, or each stroke from one?' },
    ];
    return ok({
      facts: [`${count(fives, 'bundle')} of five and ${rest}: ${number}.`],
      picture: inGrid(groups.map(group), 5, 3),
      lines: {
        easier: [
          ...body.slice(0, 2),
          { key: 'do-2', kind: 'do', text: 'Stop at four strokes, before any bar, and count them with a finger.' },
        ],
        right: body,
        harder: [
          ...body.slice(0, 2),
          { key: 'ask-2', kind: 'ask', text: '“How many bundles make twenty?”', answer: 'four' },
        ],
      },
      materials: [
        { item: 'paper', qty: 1, use: 'used-up', swaps: [] },
        {
          item: 'pencil',
          qty: 1,
          use: 'lasting',
          swaps: [{ item: 'crayon', fit: 0.9, why: 'thicker, and easier to hold' }],
        },
      ],
      actions: [],
      printable: { title: 'Tally', cards: [], sheets: groups.length > 0 ? [inGrid(groups.map(group), 5, 3)] : [] },
      key: [`${number}`],
    });
  },
};
