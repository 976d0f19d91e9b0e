import { LEVELS, type LevelName } from '../session/levelName.ts';
import type { GeneratedParts } from './generatedParts.ts';
import type { Line } from '../session/line.ts';
import type { LevelChanges, AuthorChanges } from '../session/makerSource.ts';
import type { Need } from '../materials/need.ts';
import { linesAt } from '../session/levels.ts';
import type { Segment } from '../session/session.ts';

/**
 * What an author changed in a part since its maker wrote it: lines rewritten, taken out, added and moved at each level,
 * and swaps taken over. What was remembered about lines that are not written at the moment stays remembered.
 */
export function changesOf(
  segment: Segment,
  generated: GeneratedParts,
  {
    former,
    isFormer = false,
  }: {
    readonly former?: AuthorChanges | undefined;
    /** The part holds an earlier edition of the maker's words: what lacks now was not taken out, it was not yet written. */
    readonly isFormer?: boolean;
  } = {},
): AuthorChanges | undefined {
  const lines = LEVELS.flatMap((level): LevelChanges[] => {
    const change = changesAt(level, {
      now: linesAt(segment, level),
      generated: generated.lines[level],
      former: former?.lines?.find((candidate) => candidate.level === level),
      isFormer,
    });
    return change ? [change] : [];
  });
  const needs = generated.needs.flatMap((need) => {
    const now = segment.needs.find(({ id }) => id === need.id);
    return now && now.item !== need.item ? [{ need: need.id, item: now.item }] : [];
  });
  const kept = (former?.needs ?? []).filter(({ need }) => !generated.needs.some(({ id }) => id === need));
  const all = [...needs, ...kept];
  return lines.length + all.length > 0 ? { lines, needs: all } : undefined;
}

interface LinesNowAndThen {
  readonly now: readonly Line[];
  readonly generated: readonly Line[];
  readonly former: LevelChanges | undefined;
  readonly isFormer: boolean;
}

function changesAt(level: LevelName, { now, generated, former, isFormer }: LinesNowAndThen): LevelChanges | null {
  const written = new Map(generated.map((line) => [line.id, line]));
  const standing = new Set(now.map(({ id }) => id));
  const rewritten = Object.fromEntries([
    ...Object.entries(former?.rewritten ?? {}).filter(([id]) => !written.has(id)),
    ...now.flatMap((line) => {
      const original = written.get(line.id);
      return original && !isSame(original, line) ? [[line.id, line] as const] : [];
    }),
  ]);
  const removed = [
    ...(former?.removed ?? []).filter((id) => isFormer || !written.has(id)),
    ...(isFormer ? [] : generated.flatMap(({ id }) => (standing.has(id) ? [] : [id]))),
  ];
  const added = now.flatMap((line, index) =>
    written.has(line.id) || (isFormer && line.says) ? [] : [{ after: now[index - 1]?.id ?? null, line }],
  );
  const keptOrder = generated.filter(({ id }) => standing.has(id)).map(({ id }) => id);
  const order = now.map(({ id }) => id).filter((id) => written.has(id));
  const isMoved = order.some((id, index) => id !== keptOrder[index]);
  if (Object.keys(rewritten).length + removed.length + added.length === 0 && !isMoved) return null;
  return { level, rewritten, removed, added, ...(isMoved && { order }) };
}

/** A line that still says what it was said from is the maker's own, whatever edition of its words it holds. */
function isSame(one: Line, other: Line): boolean {
  if (one.kind !== other.kind) return false;
  if (other.says !== undefined && other.says.key === one.says?.key) return true;
  return one.text === other.text && one.answer === other.answer && one.why === other.why;
}

/** What a maker writes, with an author's changes made again. */
export function withChanges(generated: GeneratedParts, changes: AuthorChanges): GeneratedParts {
  const at = (level: LevelName) =>
    linesWith(
      generated.lines[level],
      changes.lines?.find((candidate) => candidate.level === level),
    );
  const lines = { easier: at('easier'), right: at('right'), harder: at('harder') };
  return { ...generated, lines, needs: generated.needs.map((need) => needWith(need, changes)) };
}

function linesWith(generated: readonly Line[], changes: LevelChanges | undefined): readonly Line[] {
  if (!changes) return generated;
  const { rewritten, removed, added, order } = changes;
  const standing = generated.filter(({ id }) => !removed.includes(id)).map((line) => rewritten[line.id] ?? line);
  let lines = order ? inOrder(standing, order) : standing;
  for (const { after, line } of added) {
    const at = after === null ? 0 : lines.findIndex(({ id }) => id === after) + 1;
    // A line whose neighbour is not written at the moment stands at the end rather than at the front.
    lines = lines.toSpliced(after !== null && at === 0 ? lines.length : at, 0, line);
  }
  return lines;
}

/** Lines in an author's order; one that was not there then stays behind the line it was written after. */
function inOrder(lines: readonly Line[], order: readonly string[]): readonly Line[] {
  const ordered = order.flatMap((id) => lines.find((line) => line.id === id) ?? []);
  lines.forEach((line, index) => {
    if (order.includes(line.id)) return;
    const before = lines[index - 1];
    ordered.splice(before ? ordered.indexOf(before) + 1 : 0, 0, line);
  });
  return ordered;
}

function needWith(need: Need, { needs = [] }: AuthorChanges): Need {
  const taken = needs.find((change) => change.need === need.id);
  const swap = taken && need.swaps.find(({ item }) => item === taken.item);
  if (!swap) return need;
  const former = { item: need.item, fit: 1, why: '' };
  return { ...need, item: swap.item, swaps: [former, ...need.swaps.filter((candidate) => candidate !== swap)] };
}
