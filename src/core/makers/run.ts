import type { MessageValues, Say } from '../message.ts';
import { type LevelName, type LineKind, type MakerSettings, type NumberSchool, schoolOf } from '../session/index.ts';
import { lineWriters, type MakerLine } from './makerOutput.ts';
import type { Variant } from './variant.ts';

/** What a line of a run is: a kind of line, or something for one of two children. */
type RunLine = LineKind | 'older' | 'younger';

/**
 * The sections of a maker's run, each as the kinds of its lines in order. The sentences are those of its catalogue under the
 * section and a number: `wayIn: ['do', 'say']` is said from `in-1` and `in-2`. Beside them every catalogue has `daily`,
 * `show`, `find`, `tell`, `older`, `younger`, `day-easier`, `day-harder`, `short-1` to `short-3`, `short-easier` and
 * `short-harder`.
 */
export interface RunShape {
  /** Hands first, before any task. */
  readonly wayIn: readonly RunLine[];
  /** Small steps between what is laid out and what is asked, when one sits. */
  readonly sitting?: readonly RunLine[];
  readonly moving: readonly RunLine[];
  readonly game: readonly RunLine[];
  readonly two: readonly RunLine[];
  readonly day: readonly RunLine[];
  /** Cases that come on top of those that the levels have. */
  readonly cases: number;
  readonly wayOut: readonly RunLine[];
}

/** The sections of most runs. */
const USUAL_RUN: RunShape = {
  wayIn: ['do'],
  sitting: ['do'],
  moving: ['do', 'do'],
  game: ['do', 'say'],
  two: ['do'],
  day: ['do', 'ask'],
  cases: 2,
  wayOut: ['do'],
};

/** The sections of a run: the usual ones, but for what a maker has otherwise. */
export function runShape(own: Partial<RunShape> = {}): RunShape {
  return { ...USUAL_RUN, ...own };
}

/** What a run is said with. */
interface RunInput {
  readonly shape: RunShape;
  /** Lines of each level: what is laid out first, then what is asked. */
  readonly levels: Readonly<Record<LevelName, readonly MakerLine[]>>;
  readonly values: MessageValues;
  /** What is otherwise at the easier level. */
  readonly easier?: MessageValues | undefined;
  readonly variant: Variant;
  readonly settings: MakerSettings;
  readonly say: Say;
}

/** The whole run of a part at each level, in a way and after a school. */
export function runLines(input: RunInput): Readonly<Record<LevelName, readonly MakerLine[]>> {
  const at = (level: LevelName) => linesOf(input, level);
  return { easier: at('easier'), right: at('right'), harder: at('harder') };
}

function linesOf(input: RunInput, level: LevelName): MakerLine[] {
  const { shape, levels, variant, settings, say } = input;
  const values = level === 'easier' ? { ...input.values, ...input.easier } : input.values;
  const writers = lineWriters(say);
  const write = (line: RunLine, key: string): MakerLine => {
    if (line === 'older' || line === 'younger') return { ...writers.toDo(key, values), role: line };
    return writers.write(line)(key, values);
  };
  const section = (name: string, lines: readonly RunLine[] = []) =>
    lines.map((line, index) => write(line, `${name}-${index + 1}`));
  const wayOut = section('out', shape.wayOut);
  if (variant === 'five-minutes') {
    const middle = {
      easier: write('do', 'short-easier'),
      right: write('ask', 'short-2'),
      harder: write('ask', 'short-harder'),
    };
    return [write('do', 'short-1'), middle[level], write('do', 'short-3')];
  }
  const cases = section(
    'case',
    Array.from({ length: shape.cases }, () => 'if' as const),
  );
  if (variant === 'during-the-day') {
    const asDay = section('day', shape.day);
    const intro = schoolOf(settings) === 'small-steps' ? [write('say', 'show')] : [];
    const body = {
      easier: [write('do', 'day-easier')],
      right: asDay,
      harder: [...asDay, write('ask', 'day-harder')],
    };
    return [...intro, ...body[level], ...cases];
  }
  const { laid, rest } = split(levels[level]);
  return [
    ...wayIn(schoolOf(settings), shape, { section, write }),
    ...laid,
    // The easier run is short as it is: the small steps belong to the others.
    ...(variant === 'sitting' && level === 'easier' ? [] : section(SECTIONS[variant], shape[SECTIONS[variant]])),
    ...rest.filter(({ kind }) => kind !== 'if'),
    ...[...rest.filter(({ kind }) => kind === 'if'), ...cases],
    ...[write('older', 'older'), write('younger', 'younger')],
    ...wayOut,
  ];
}

const SECTIONS = {
  sitting: 'sitting',
  'moving-about': 'moving',
  'as-a-game': 'game',
  'two-children': 'two',
} as const;

/** What is laid out, which stands first, and what follows it. */
function split(lines: readonly MakerLine[]): { laid: readonly MakerLine[]; rest: readonly MakerLine[] } {
  const count = lines[0]?.kind === 'do' ? 1 : 0;
  return { laid: lines.slice(0, count), rest: lines.slice(count) };
}

/** How a school begins: free hands, a set presentation in small steps, or a moment of the day that asks for it. */
function wayIn(
  school: NumberSchool,
  shape: RunShape,
  {
    section,
    write,
  }: {
    section: (name: string, lines: readonly RunLine[]) => MakerLine[];
    write: (line: RunLine, key: string) => MakerLine;
  },
): MakerLine[] {
  switch (school) {
    case 'hands-first':
      return section('in', shape.wayIn);
    case 'small-steps':
      return [write('say', 'show'), write('ask', 'find'), write('ask', 'tell')];
    case 'daily-life':
      return [write('do', 'daily')];
  }
}

/** The names of all sentences that a run of this shape is said from, without those of the levels. */
export function runKeys(shape: RunShape): string[] {
  const section = (name: string, lines: readonly RunLine[] = []) =>
    lines.flatMap((line, index) => [
      `${name}-${index + 1}`,
      ...(line === 'ask' ? [`${name}-${index + 1}.answer`] : []),
    ]);
  const asked = ['find', 'tell', 'day-harder', 'short-2', 'short-harder'];
  return [
    ...section('in', shape.wayIn),
    ...section('sitting', shape.sitting),
    ...section('moving', shape.moving),
    ...section('game', shape.game),
    ...section('two', shape.two),
    ...section('day', shape.day),
    ...section('out', shape.wayOut),
    ...Array.from({ length: shape.cases }, (_, index) => `case-${index + 1}`),
    ...['daily', 'show', 'older', 'younger', 'day-easier', 'short-1', 'short-easier', 'short-3'],
    ...asked.flatMap((key) => [key, `${key}.answer`]),
  ];
}
