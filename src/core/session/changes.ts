import type { Need } from '../materials/index.ts';
import type { Line } from './line.ts';
import { applyListChange, type ListChange, listChangesBetween } from './listChanges.ts';
import { mergedWords } from './mergedWords.ts';
import type { KeptFinding, LevelChange, Remark, Segment, Session } from './session.ts';

/** The lists of a part: its lines, those of its easier and harder levels where they have their own, and its things. */
type ListName = 'lines' | 'easier' | 'harder' | 'needs';
type Entry = Line | Need;
/** Fields that are set; null takes one away. */
type Fields = Readonly<Record<string, unknown>>;

/**
 * A change of a session, by ids: what is logged, sent back and undone. Nothing in it has to be worked out again, so a maker is
 * never run for it. `was` of a line are its words before, so that words that somebody else wrote meanwhile are merged.
 */
export type Change =
  | { readonly do: 'set'; readonly fields: Fields }
  /** `kept` is what it was answered about, and why. */
  | { readonly do: 'accept'; readonly finding: string; readonly kept?: KeptFinding | undefined }
  | { readonly do: 'ask-again'; readonly finding: string }
  | { readonly do: 'remarks'; readonly change: ListChange<Remark> }
  | { readonly do: 'parts'; readonly change: ListChange<Segment> }
  | { readonly do: 'set-part'; readonly part: string; readonly fields: Fields }
  | { readonly do: 'entries'; readonly part: string; readonly list: ListName; readonly change: ListChange<Entry> }
  | {
      readonly do: 'set-entry';
      readonly part: string;
      readonly list: ListName;
      readonly id: string;
      readonly fields: Fields;
      readonly was?: Readonly<Record<string, string>>;
    };

/** So many changes are kept at once; a window that has more sends the session whole. */
export const MOST_CHANGES = 5000;

const LISTS: readonly ListName[] = ['lines', 'easier', 'harder', 'needs'];
const WORDS = ['text', 'answer'];

/** What makes one session another. Equal ones: nothing. */
export function changesBetween(before: Session, after: Session): Change[] {
  const changes: Change[] = [];
  const fields = fieldsBetween(bare(before), bare(after));
  if (fields) changes.push({ do: 'set', fields });
  changes.push(...answersBetween(before, after));
  for (const change of listChangesBetween(before.remarks ?? [], after.remarks ?? []))
    changes.push({ do: 'remarks', change });
  for (const change of listChangesBetween(before.segments, after.segments)) changes.push({ do: 'parts', change });
  const former = new Map(before.segments.map((segment) => [segment.id, segment]));
  for (const segment of after.segments) {
    const earlier = former.get(segment.id);
    if (earlier && earlier !== segment) changes.push(...partChanges(earlier, segment));
  }
  return changes;
}

/**
 * A session with changes, one after the other. What a change is about and is not there any more is left alone; words that were
 * changed since are merged word by word, and where both changed the same ones the line keeps its words and bears the others.
 */
export function applyChanges(session: Session, changes: readonly Change[]): Session {
  return changes.reduce(applyChange, session);
}

function bare({ segments: _, accepted: __, remarks: ___, kept: ____, ...fields }: Session): Fields {
  return fields;
}

/** What of a part is no list: its levels without the lines that are lists. */
function bareOfPart(segment: Segment): Fields {
  const { id: _, lines: __, needs: ___, levels, ...fields } = segment;
  return { ...fields, levels: { easier: bareLevel(levels.easier), harder: bareLevel(levels.harder) } };
}

function bareLevel(level: LevelChange | undefined) {
  return level && { ...level, lines: level.lines && [] };
}

function partChanges(before: Segment, after: Segment): Change[] {
  const part = after.id;
  const changes: Change[] = [];
  const fields = fieldsBetween(bareOfPart(before), bareOfPart(after));
  if (fields) changes.push({ do: 'set-part', part, fields });
  for (const list of LISTS) {
    const former = entriesOf(before, list) ?? [];
    const entries = entriesOf(after, list) ?? [];
    if (former === entries) continue;
    for (const change of listChangesBetween(former, entries)) changes.push({ do: 'entries', part, list, change });
    const known = new Map(former.map((entry) => [entry.id, entry]));
    for (const entry of entries) {
      const earlier = known.get(entry.id);
      const set = earlier && earlier !== entry ? fieldsBetween(asFields(earlier), asFields(entry)) : null;
      if (!set) continue;
      const was = Object.fromEntries(
        WORDS.filter((name) => name in set && list !== 'needs').map((name) => [
          name,
          String(asFields(earlier!)[name] ?? ''),
        ]),
      );
      changes.push({ do: 'set-entry', part, list, id: entry.id, fields: set, ...(list !== 'needs' && { was }) });
    }
  }
  return changes;
}

const asFields = (value: object) => value as Fields;

function fieldsBetween(before: Fields, after: Fields): Fields | null {
  const names = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  const changed = names.filter((name) => JSON.stringify(before[name]) !== JSON.stringify(after[name]));
  return changed.length === 0 ? null : Object.fromEntries(changed.map((name) => [name, after[name] ?? null]));
}

function withFields<Value extends object>(value: Value, fields: Fields): Value {
  const next = { ...value } as Record<string, unknown>;
  for (const [name, field] of Object.entries(fields)) {
    if (field === null) delete next[name];
    else next[name] = field;
  }
  return next as Value;
}

function applyChange(session: Session, change: Change): Session {
  switch (change.do) {
    case 'set':
      return withFields(session, change.fields);
    case 'accept':
      return withAnswer(session, change.finding, change.kept);
    case 'ask-again':
      return {
        ...withAnswer(session, change.finding),
        accepted: session.accepted.filter((finding) => finding !== change.finding),
      };
    case 'remarks':
      return withRemarks(session, applyListChange(session.remarks ?? [], change.change));
    case 'parts':
      return { ...session, segments: applyListChange(session.segments, change.change) };
    default:
      return {
        ...session,
        segments: session.segments.map((segment) =>
          segment.id === change.part ? changedPart(segment, change) : segment,
        ),
      };
  }
}

/** What was answered, or answered about other words, and what is asked again: each by itself, so that two may answer at once. */
function answersBetween(before: Session, after: Session): Change[] {
  const now = new Set(after.accepted);
  const isNew = (finding: string) =>
    !before.accepted.includes(finding) ||
    JSON.stringify(before.kept?.[finding]) !== JSON.stringify(after.kept?.[finding]);
  return [
    ...after.accepted.filter(isNew).map((finding): Change => ({ do: 'accept', finding, kept: after.kept?.[finding] })),
    ...before.accepted.filter((finding) => !now.has(finding)).map((finding): Change => ({ do: 'ask-again', finding })),
  ];
}

/** A session with a finding answered; what is kept of it is taken over or goes. */
function withAnswer(session: Session, finding: string, answer?: KeptFinding): Session {
  const { [finding]: _, ...others } = session.kept ?? {};
  const kept = answer ? { ...others, [finding]: answer } : others;
  return {
    ...session,
    accepted: [...new Set([...session.accepted, finding])],
    kept: Object.keys(kept).length > 0 ? kept : undefined,
  };
}

/** A session without notes has no list of them. */
function withRemarks(session: Session, remarks: readonly Remark[]): Session {
  return { ...session, remarks: remarks.length > 0 ? remarks : undefined };
}

type PartChange = Extract<Change, { readonly part: string }>;

function changedPart(segment: Segment, change: PartChange): Segment {
  if (change.do === 'set-part') return withPartFields(segment, change.fields);
  const entries = entriesOf(segment, change.list);
  if (!entries) return segment;
  if (change.do === 'entries') return withEntries(segment, change.list, applyListChange(entries, change.change));
  return withEntries(
    segment,
    change.list,
    entries.map((entry) => (entry.id === change.id ? changedEntry(entry, change) : entry)),
  );
}

/** The fields of a part; the lines of its levels stay where the level still has lines of its own. */
function withPartFields(segment: Segment, { levels, ...fields }: Fields): Segment {
  const next = withFields(segment, fields);
  if (levels === undefined) return next;
  const given = (levels ?? {}) as Segment['levels'];
  const level = (name: 'easier' | 'harder') =>
    given[name] && { ...given[name], lines: given[name].lines && (segment.levels[name]?.lines ?? []) };
  return { ...next, levels: withoutNothing({ easier: level('easier'), harder: level('harder') }) };
}

function withoutNothing<Value extends object>(value: Value): Value {
  return Object.fromEntries(Object.entries(value).filter(([, entry]) => entry !== undefined)) as Value;
}

function changedEntry(entry: Entry, { fields, was }: Extract<Change, { do: 'set-entry' }>): Entry {
  if (!was) return withFields(entry, fields);
  const current = asFields(entry);
  const merged: Record<string, unknown> = { ...fields };
  const others: Record<string, string> = {};
  for (const [name, before] of Object.entries(was)) {
    const now = String(current[name] ?? '');
    const wanted = String(fields[name] ?? '');
    const words = mergedWords({ before, now, wanted });
    if (words === null) {
      others[name] = wanted;
      merged[name] = now || null;
    } else merged[name] = words || null;
  }
  const next = withFields(entry, { ...merged, ...(merged.text === null && { text: '' }) });
  return Object.keys(others).length === 0 ? next : { ...next, other: others };
}

function entriesOf(segment: Segment, list: ListName): readonly Entry[] | undefined {
  if (list === 'lines' || list === 'needs') return segment[list];
  return segment.levels[list]?.lines;
}

function withEntries(segment: Segment, list: ListName, entries: readonly Entry[]): Segment {
  if (list === 'lines' || list === 'needs') return { ...segment, [list]: entries };
  return { ...segment, levels: { ...segment.levels, [list]: { ...segment.levels[list], lines: entries } } };
}
