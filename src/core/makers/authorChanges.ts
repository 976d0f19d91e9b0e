import {
  type AuthorChanges,
  type LevelChanges,
  type LevelName,
  LEVELS,
  type Line,
  linesAt,
  type NeedChange,
  type Segment,
} from '../session/index.ts';
import type { GeneratedParts } from './generatedParts.ts';
import { type Need, takeOver } from '../materials/index.ts';

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
  const needs = needChanges(segment.needs, generated.needs, { former, isFormer });
  return lines.length > 0 || Object.keys(needs).length > 0 ? { lines, ...needs } : undefined;
}

const CHANGEABLE = ['qty', 'per', 'use', 'optional', 'eaten'] as const;

/** What differs between the needs of a part and what its maker writes; what is remembered of those not written now stays. */
function needChanges(
  now: readonly Need[],
  generated: readonly Need[],
  { former = {}, isFormer }: { readonly former?: AuthorChanges | undefined; readonly isFormer: boolean },
): Omit<AuthorChanges, 'lines'> {
  const written = new Set(generated.map(({ id }) => id));
  const isElsewhere = ({ need }: { readonly need: string }) => !written.has(need);
  const pairs = generated.flatMap((need) => {
    const standing = now.find(({ id }) => id === need.id);
    return standing ? [{ need, standing }] : [];
  });
  const taken = pairs.flatMap(({ need: { id, item }, standing }) =>
    standing.item === item ? [] : [{ need: id, item: standing.item }],
  );
  const changed = pairs.flatMap(({ need, standing }) => {
    const fields = CHANGEABLE.filter((field) => (standing[field] ?? false) !== (need[field] ?? false));
    // What was taken away is remembered as no, since what is not there would not survive being kept.
    const change = Object.fromEntries(fields.map((field) => [field, standing[field] ?? false])) as NeedChange;
    return fields.length > 0 ? [{ need: need.id, change }] : [];
  });
  const standing = new Set(now.map(({ id }) => id));
  const remembered = (former.removedNeeds ?? []).filter((id) => !written.has(id));
  // An earlier edition of the maker had other needs: what lacks was not yet written, what is more is no author's.
  const removed = [...remembered, ...(isFormer ? [] : [...written].filter((id) => !standing.has(id)))];
  const wasWritten = new Set([...written, ...(former.removedNeeds ?? [])]);
  const added = isFormer ? (former.addedNeeds ?? []) : now.filter(({ id }) => !wasWritten.has(id));
  const lists = {
    needs: [...taken, ...(former.needs ?? []).filter(isElsewhere)],
    changedNeeds: [...changed, ...(former.changedNeeds ?? []).filter(isElsewhere)],
    removedNeeds: removed,
    addedNeeds: added,
  };
  return Object.fromEntries(Object.entries(lists).filter(([, list]) => list.length > 0));
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
  return { ...generated, lines, needs: needsWith(generated.needs, changes) };
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

/** The needs of a maker as the author has them. One of the author's own gives way to one of the maker under its name. */
function needsWith(generated: readonly Need[], changes: AuthorChanges): readonly Need[] {
  const { needs = [], changedNeeds = [], removedNeeds = [], addedNeeds = [] } = changes;
  const standing = generated
    .filter(({ id }) => !removedNeeds.includes(id))
    .map((need): Need => {
      const item = needs.find((change) => change.need === need.id)?.item;
      const taken = item === undefined ? need : (takeOver(need, item, {})?.need ?? need);
      const { optional, eaten, ...change } = changedNeeds.find((change) => change.need === need.id)?.change ?? {};
      return { ...taken, ...change, ...flag('optional', optional), ...flag('eaten', eaten) } as Need;
    });
  return [...standing, ...addedNeeds.filter(({ id }) => !generated.some((need) => need.id === id))];
}

/** A yes or no that an author set: a no takes the field away. */
function flag(name: 'optional' | 'eaten', value: boolean | undefined): Partial<Need> {
  return value === undefined ? {} : { [name]: value || undefined };
}
