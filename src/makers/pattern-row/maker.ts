import { listOf, type MessageValues, type Say } from '../../core/message.ts';
import { clearFault, patternRow } from '../../core/numbers/index.ts';
import { ok, type Outcome } from '../../core/outcome.ts';
import { type Drawing, inGrid, inkNamed, type Shape } from '../../core/page/index.ts';
import type { MakerValues } from '../../core/session/index.ts';
import {
  inOwn,
  lasting,
  linesAbout,
  type Maker,
  type MakerLine,
  type MakerMaterial,
  numberOf,
  type Refusal,
  refuse,
  refuseList,
} from '../../core/makers/index.ts';

const MOST_ROW = 24;

/** A piece of a pattern: its colour, and a shape by its place in the unit, so that it is told without colour. */
function piece(name: string, index: number): Drawing {
  const fill = inkNamed(name) ?? (['teal', 'marigold', 'mulberry'] as const)[index % 3]!;
  const shapes: Shape[] =
    index === 0
      ? [{ kind: 'circle', x: 8, y: 8, r: 6.5, fill, stroke: 'ink', width: 0.4 }]
      : index === 1
        ? [{ kind: 'rect', x: 2, y: 2, w: 12, h: 12, fill, stroke: 'ink', width: 0.4 }]
        : index === 2
          ? [
              {
                kind: 'polygon',
                points: [
                  [8, 1.5],
                  [14.5, 14],
                  [1.5, 14],
                ],
                fill,
                stroke: 'ink',
                width: 0.4,
              },
            ]
          : [
              {
                kind: 'polygon',
                points: [
                  [8, 1],
                  [15, 8],
                  [8, 15],
                  [1, 8],
                ],
                fill,
                stroke: 'ink',
                width: 0.4,
              },
            ];
  return { width: 16, height: 16, shapes };
}

const GAP: Drawing = {
  width: 16,
  height: 16,
  shapes: [
    { kind: 'rect', x: 1.5, y: 1.5, w: 13, h: 13, stroke: 'ink', width: 0.4, isDashed: true },
    { kind: 'text', x: 8, y: 11.5, size: 9, text: '?', align: 'middle' },
  ],
};

/** A repeating row: continued, copied, its unit found, or mended. */
export const maker: Maker = {
  id: 'pattern-row',
  place: 170,
  skills: ['pattern'],
  run: { wayOut: ['do', 'do'] },
  dials: [
    { kind: 'list', name: 'unit', value: 'red red blue' },
    { kind: 'number', name: 'length', min: 2, max: MOST_ROW, value: 8 },
    {
      kind: 'choice',
      name: 'task',
      choices: ['what-comes-next', 'one-is-hidden', 'one-is-wrong', 'copy-it'],
      value: 'what-comes-next',
    },
    { kind: 'number', name: 'have', min: 1, max: 30, value: 5 },
  ],
  make(values, _settings, say) {
    const read = readUnit(String(values.unit));
    if (!read.ok) return read;
    const planned = planRow(read.value, values);
    if (!planned.ok) return planned;
    const row = planned.value;
    const { kinds, needed } = row;
    const have = numberOf(values, 'have');
    const amounts = kinds.map((kind) => amountOf(needed.get(kind)!, kind));
    const lacking = kinds.filter((kind) => needed.get(kind)! > have);
    const short = listOf(lacking.map((kind) => amountOf(needed.get(kind)! - have, kind)));
    const picture = rowPicture(row);
    return ok({
      facts: [
        say('fact', { letters: row.letters, amounts: listOf(amounts) }),
        lacking.length > 0 ? say('fact.short', { short }) : say('fact.enough'),
      ],
      values: rowFacts(row),
      turns: { count: row.laid.length, seconds: 6 },
      picture,
      lines: rowLines(row, say),
      materials: rowMaterials(row, say),
      actions: [],
      printable: { title: say('title'), cards: [], sheets: [picture] },
      key: [say('key', { row: inRow(row.row), next: inOwn(row.next) })],
    });
  },
};

const inRow = (names: readonly string[]) => listOf(names.map(inOwn), 'comma');
const amountOf = (number: number, kind: string) => ({
  key: 'pattern-row/amount',
  values: { number, kind: inOwn(kind) },
});

/** The pieces of a unit as they are typed: two to six, of two to four kinds, and no unit within it. */
function readUnit(written: string): Outcome<string[], Refusal> {
  const unit = written
    .trim()
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);
  const kinds = new Set(unit).size;
  if (unit.length < 2 || unit.length > 6) return refuseList('unit', 'problem.unit-length', { pieces: unit.length });
  if (kinds < 2) return refuseList('unit', 'problem.one-kind');
  if (kinds > 4) return refuseList('unit', 'problem.many-kinds', { kinds });
  const repeated = shortestUnit(unit);
  if (repeated.length < unit.length)
    return refuseList('unit', 'problem.repeats', { unit: { own: repeated.join(' ') } });
  return ok(unit);
}

/** A row worked out: what is laid, what the task is about, and how many pieces that takes. */
interface PlannedRow {
  readonly unit: readonly string[];
  readonly kinds: readonly string[];
  readonly letters: string;
  readonly task: string;
  /** As it should be. */
  readonly row: readonly string[];
  /** As it is laid, with the wrong piece in it. */
  readonly laid: readonly string[];
  readonly next: string;
  /** The place of what is hidden or wrong, from 0; -1 where nothing is. */
  readonly at: number;
  readonly showsUnit: boolean;
  readonly needed: ReadonlyMap<string, number>;
}

function planRow(unit: readonly string[], values: MakerValues): Outcome<PlannedRow, Refusal> {
  const task = String(values.task);
  const length = numberOf(values, 'length');
  const kinds = [...new Set(unit)];
  const showsUnit = length >= unit.length * 2;
  if (!showsUnit && task !== 'copy-it')
    return refuse('problem.too-short', { length, unit: unit.length, least: unit.length * 2 });
  const { row, next } = patternRow({ unit, length, have: {} });
  const fault = task === 'one-is-wrong' ? clearFault(row, unit.length) : null;
  if (task === 'one-is-wrong' && !fault) return refuse('problem.two-ways', { length });
  const at = task === 'one-is-hidden' ? Math.min(length - 2, unit.length + 1) : (fault?.at ?? -1);
  const laid = row.map((name, index) => (fault && index === at ? fault.wrong : name));
  const letters = unit.map((name) => String.fromCharCode(65 + kinds.indexOf(name))).join('');
  const needed = piecesNeeded({ laid, kinds, task, mends: row[at], next });
  return ok({ unit, kinds, letters, task, row, laid, next, at, showsUnit, needed });
}

function rowPicture({ laid, kinds, task, at }: PlannedRow): Drawing {
  const shown = laid.map((name, index) =>
    task === 'one-is-hidden' && index === at ? GAP : piece(name, kinds.indexOf(name)),
  );
  return inGrid(task === 'what-comes-next' ? [...shown, GAP] : shown, 12, 3);
}

/** What the sentences about a row speak of. */
function rowFacts({ unit, kinds, letters, task, row, laid, next, at }: PlannedRow): MessageValues {
  return {
    length: laid.length,
    row: inRow(laid),
    unit: inRow(unit),
    letters,
    next: inOwn(next),
    hidden: task === 'one-is-hidden' ? 'yes' : 'no',
    place: at + 1,
    right: inOwn(row[at] ?? ''),
    easier: inRow(easierRow(kinds)),
    first: inOwn(kinds[0]!),
  };
}

function rowLines(planned: PlannedRow, say: Say): Readonly<Record<'easier' | 'right' | 'harder', MakerLine[]>> {
  const { task, showsUnit } = planned;
  const facts = rowFacts(planned);
  const write = linesAbout(say, facts);
  const tasks = {
    'one-is-hidden': 'ask-1',
    'one-is-wrong': 'ask-2',
    'copy-it': 'do-1',
    'what-comes-next': 'ask-3',
  } as const;
  const body = [
    ...write('do-2'),
    ...(showsUnit && task !== 'one-is-wrong' ? write('say-1') : []),
    ...write(tasks[task as keyof typeof tasks]),
    ...(showsUnit ? write('ask-4') : []),
  ];
  return { easier: write('do-3', 'ask-5'), right: body, harder: [...body, ...write('do-4')] };
}

function rowMaterials({ kinds, needed }: PlannedRow, say: Say): MakerMaterial[] {
  const pieces = [...needed.values()].reduce((sum, number) => sum + number, 0);
  return [
    lasting('building-block', pieces, [
      { item: 'clothes-peg', fit: 0.8, why: say('swap.clothes-peg', { kinds: kinds.length }) },
      ...(kinds.length === 2 ? [{ item: 'sock', fit: 0.6, why: say('swap.sock') }] : []),
    ]),
  ];
}

/** The shortest row of pieces that, laid again and again, gives the unit as it is written. */
function shortestUnit(unit: readonly string[]): readonly string[] {
  const isRepeated = (length: number) =>
    unit.length % length === 0 && unit.every((name, index) => name === unit[index % length]);
  const length = Array.from({ length: unit.length }, (_, index) => index + 1).find(isRepeated)!;
  return unit.slice(0, length);
}

/** How many pieces of each kind are handled: what is laid, what the task adds to it, and at least what the easier row takes. */
function piecesNeeded({
  laid,
  kinds,
  task,
  mends,
  next,
}: {
  laid: readonly string[];
  kinds: readonly string[];
  task: string;
  mends: string | undefined;
  next: string;
}): Map<string, number> {
  const added =
    task === 'copy-it' ? laid : task === 'what-comes-next' ? [next] : task === 'one-is-wrong' ? [mends] : [];
  const handled = [...laid, ...added];
  const easier = [...easierRow(kinds), kinds[0]];
  const timesIn = (pieces: readonly (string | undefined)[], kind: string) =>
    pieces.filter((name) => name === kind).length;
  return new Map(kinds.map((kind) => [kind, Math.max(timesIn(handled, kind), timesIn(easier, kind))]));
}

const easierRow = ([first, second]: readonly string[]) => [first!, second!, first!, second!];
