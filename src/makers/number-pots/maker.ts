import { listOf, type Message, type MessageValues, type Say } from '../../core/message.ts';
import { numberPots } from '../../core/numbers/index.ts';
import { ok } from '../../core/outcome.ts';
import { counters, type Drawing, inGrid, moved, wordCard } from '../../core/page/index.ts';
import type { MakerSettings } from '../../core/session/index.ts';
import {
  counterSwaps,
  lasting,
  linesAbout,
  type Maker,
  type MakerMaterial,
  numberOf,
  refuse,
} from '../../core/makers/index.ts';

const runOf = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, index) => from + index);

const sumOf = (numbers: readonly number[]) => numbers.reduce((sum, number) => sum + number, 0);

const named = (value: number): Message => ({ key: 'number-pots/name', values: { value } });

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
export const maker: Maker = {
  id: 'number-pots',
  place: 40,
  skills: ['numeral-quantity', 'count-out'],
  dials: [
    { kind: 'number', name: 'from', min: 0, max: 20, value: 0 },
    { kind: 'number', name: 'to', min: 1, max: 20, value: 5 },
  ],
  make(values, settings, say) {
    const from = numberOf(values, 'from');
    const to = numberOf(values, 'to');
    if (to < from) return refuse('problem.down', { from, to });
    if (from === 0 && !settings.zeroEarly && to < 5) return refuse('problem.zero-late');
    const { counters: needed, pots } = numberPots(from, to);
    const numbers = runOf(from, to);
    // Easier is fewer and smaller: up to three, whatever the row is.
    const few = runOf(from === 0 ? 0 : 1, 3);
    const facts: MessageValues = {
      from,
      to,
      pots,
      counters: needed,
      few: listOf(few),
      fewCounters: sumOf(few),
      ...takenOver(from, to),
      counting: listOf(runOf(1, few.at(-1)!).map(named), 'comma'),
      sum: pots > 3 ? { key: 'number-pots/long-sum', values: { from, to } } : listOf(numbers, 'plus'),
    };
    const write = linesAbout(say, facts);
    const zero = from === 0 ? write('ask-1') : [];
    const body = [...write('do-1', 'say-1'), ...zero, ...write('ask-2', 'if-1', 'notice-1')];
    return ok({
      facts: [say('fact', facts), ...(to <= 10 && settings.pastTen ? [say('fact.past-ten')] : [])],
      values: facts,
      easier: { to: few.at(-1)!, ...takenOver(few[0]!, few.at(-1)!) },
      turns: { count: needed, seconds: 5 },
      picture: inGrid(numbers.map(pot), 6, 4),
      lines: {
        easier: [...write('do-2', 'say-1'), ...zero],
        right: body,
        harder: [...body.slice(0, 3), ...write('do-3')],
      },
      materials: [
        lasting('button', Math.max(needed, sumOf(few)), counterSwaps(say)),
        lasting('cup', Math.max(pots, few.length), swapsForPots(pots, say)),
      ],
      actions: [],
      printable: { title: say('printable'), cards: numbers.map((number) => labelFor(number, settings)), sheets: [] },
      key: numbers.map((number) => say('key', { number })),
    });
  },
};

/** The pot from which on a child counts alone: three, or the nearest there is. */
function takenOver(from: number, to: number): MessageValues {
  const takeOver = Math.min(to, Math.max(from, 3));
  return { takeOver, takeOverNext: takeOver + 1 };
}

/** A pot with its number, and as many counters in it. */
function pot(number: number): Drawing {
  const inside = counters(number, { size: 4, perRow: 5 });
  const rim = [
    [2, 10],
    [34, 10],
    [31, 44],
    [5, 44],
  ] as const;
  return {
    width: 38,
    height: 48,
    shapes: [
      { kind: 'polygon', points: rim, stroke: 'ink', width: 0.6, fill: 'white' },
      ...moved(inside.shapes, 6, 42 - inside.height),
      { kind: 'text', x: 18, y: 8, size: 8, text: String(number), align: 'middle' },
    ],
  };
}

/** Hollows of a muffin tray. */
const HOLLOWS = 12;

/** What else will do for so many pots. */
function swapsForPots(pots: number, say: Say): MakerMaterial['swaps'] {
  const tray = { item: 'muffin-tray', fit: 0.6, why: say('swap.muffin-tray', { cover: HOLLOWS - pots }) };
  return [{ item: 'bowl', fit: 0.9, why: say('swap.bowl') }, ...(pots <= HOLLOWS ? [tray] : [])];
}
