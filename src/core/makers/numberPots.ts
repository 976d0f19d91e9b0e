import type { MakerMaterial } from './makerOutput.ts';
import type { MakerSettings } from '../session/makerSource.ts';
import { numberPots } from '../numbers/pots.ts';
import { ok } from '../outcome.ts';
import { inGrid, moved, type Drawing, type Shape } from '../page/drawing.ts';
import { counters, wordCard } from '../page/pieces.ts';
import { numberOf, refuse, type Maker } from './maker.ts';
import { count, listWords, numberName } from './words.ts';
import { COUNTERS } from './counterSwaps.ts';

const runOf = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, index) => from + index);

const sumOf = (numbers: readonly number[]) => numbers.reduce((sum, number) => sum + number, 0);

const labelFor = (number: number, settings: MakerSettings, size = 45): Drawing =>
  settings.stage === 'signs'
    ? wordCard(String(number), { width: size, height: size })
    : {
        width: size,
        height: size,
        shapes: [
          ...counters(number, { size: 6, perRow: 5, ink: 'ink' }).shapes.map((shape) =>
            'x' in shape ? { ...shape, x: shape.x + 3, y: shape.y + 6 } : shape,
          ),
          { kind: 'text', x: size / 2, y: size - 5, size: 18, text: String(number), align: 'middle' },
        ],
      };

/** Pots from a to b, each to hold as many counters as its label says. */
export const numberPotsMaker: Maker = {
  id: 'number-pots',
  title: 'Number pots',
  about: 'A pot for each number, and exactly enough counters to fill them all.',
  skills: ['numeral-quantity', 'count-out'],
  dials: [
    { kind: 'number', name: 'from', label: 'from', min: 0, max: 20, value: 0 },
    { kind: 'number', name: 'to', label: 'to', min: 1, max: 20, value: 5 },
  ],
  make(values, settings) {
    const from = numberOf(values, 'from');
    const to = numberOf(values, 'to');
    if (to < from) return refuse(`the pots would run from ${from} down to ${to}; “to” must not be below “from”`);
    if (from === 0 && !settings.zeroEarly && to < 5)
      return refuse('this programme brings zero late: a pot for 0 comes once there are pots to 5');
    const { counters: needed, pots } = numberPots(from, to);
    const numbers = runOf(from, to);
    // Easier is fewer and smaller: up to three, whatever the row is.
    const few = runOf(from === 0 ? 0 : 1, 3);
    const zero =
      from === 0
        ? [
            {
              key: 'ask-1',
              kind: 'ask' as const,
              text: '“What goes into the pot that says 0?”',
              answer: 'nothing: it stays empty',
            },
          ]
        : [];
    const body = [
      {
        key: 'do-1',
        kind: 'do' as const,
        text: `Stand ${count(pots, 'pot')} in a row, ${from} to ${to}, and lay ${count(needed, 'counter')} in a heap.`,
      },
      { key: 'say-1', kind: 'say' as const, text: '“Each pot says how many it wants. Shall we feed them?”' },
      ...zero,
      {
        key: 'ask-2',
        kind: 'ask' as const,
        text: '“Is anything left over?”',
        answer: 'nothing: if there is, one pot has the wrong number',
      },
      {
        key: 'if-1',
        kind: 'if' as const,
        text: 'They drop in one too many: tip that pot into your hand and count together, stopping at what its label says.',
      },
      { key: 'notice-1', kind: 'notice' as const, text: 'Do they stop by themselves at the last word?' },
    ];
    return ok({
      facts: [
        `${pots > 3 ? `${from} + … + ${to}` : numbers.join(' + ')} = ${count(needed, 'counter')} in ${count(pots, 'pot')}.`,
        ...(to <= 10 && settings.pastTen
          ? ['Counting stops at ten or before: try it past ten, too, so that ten is not the end.']
          : []),
      ],
      picture: inGrid(
        numbers.map((number) => {
          const pot = counters(number, { size: 4, perRow: 5 });
          const shapes: Shape[] = [
            {
              kind: 'polygon',
              points: [
                [2, 10],
                [34, 10],
                [31, 44],
                [5, 44],
              ],
              stroke: 'ink',
              width: 0.6,
              fill: 'white',
            },
            ...moved(pot.shapes, 6, 42 - pot.height),
            { kind: 'text', x: 18, y: 8, size: 8, text: String(number), align: 'middle' },
          ];
          return { width: 38, height: 48, shapes };
        }),
        6,
        4,
      ),
      lines: {
        easier: [
          {
            key: 'do-2',
            kind: 'do',
            text: `Use pots for ${listWords(few)} only, with ${count(sumOf(few), 'counter')}, and put them into your child’s hand one by one: ${runOf(1, few.at(-1)!).map(numberName).join(', ')}.`,
          },
          body[1]!,
          ...zero,
        ],
        right: body,
        harder: [
          ...body.slice(0, 3),
          {
            key: 'do-3',
            kind: 'do',
            text: 'Lay the labels face down; your child fills a pot and finds the label that belongs to it.',
          },
        ],
      },
      materials: [
        { item: 'button', qty: Math.max(needed, sumOf(few)), use: 'lasting', swaps: COUNTERS },
        { item: 'cup', qty: Math.max(pots, few.length), use: 'lasting', swaps: swapsForPots(pots) },
      ],
      actions: [],
      printable: { title: 'Labels for pots', cards: numbers.map((number) => labelFor(number, settings)), sheets: [] },
      key: numbers.map((number) => `pot ${number}: ${count(number, 'counter')}`),
    });
  },
};

/** What else will do for so many pots; a muffin tray has twelve hollows. */
const swapsForPots = (pots: number): MakerMaterial['swaps'] => [
  { item: 'bowl', fit: 0.9, why: 'wide enough for a whole hand' },
  ...(pots <= 12
    ? [{ item: 'muffin-tray', fit: 0.6, why: pots < 12 ? `twelve hollows: cover ${12 - pots}` : 'twelve hollows' }]
    : []),
];
