import { isTitleTaken, readEntry, readKeys, readNameable, setRetired } from '../db/repositories/shelfEntries.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import type { FieldProblem } from '../../contracts/fieldProblem.ts';
import { checkShape } from '../../contracts/problems.ts';
import { isRevision, NO_REVISION } from '../../contracts/revision.ts';
import { ENTRY_SCHEMAS, titleOf, type ShelfEntry } from '../../contracts/shelfEntries.ts';
import { checkScript, placesOf } from '../../core/session/index.ts';
import { describeScriptFault } from '../../messages/edits.ts';
import { writeShelfItems, type ActivityEntry, type ShelfKind, type ShelfWrite } from '../db/repositories/shelf.ts';
import { hold } from '../db/hold.ts';
import { isSameValue } from '../db/sameValue.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { takeThings, thingsNamedBy } from './starter.ts';

/** One entry of the shelf with whether it is retired; not found when it is not this programme's. */
export async function findEntry(
  person: Person,
  kind: ShelfKind,
  key: string,
): Promise<{ entry: ShelfEntry; isRetired: boolean; revision: number }> {
  const row = await readEntry(person.programmeId, { kind, key });
  if (!row) throw new EdgeError('not-found');
  return { entry: row.body as ShelfEntry, isRetired: row.isRetired, revision: row.revision };
}

export interface EntryWrite {
  readonly kind: ShelfKind;
  readonly value: unknown;
  /** Refuses a key that is taken. */
  readonly isNew: boolean;
  /** The revision it was written from; a newer one refuses. Absent for a new entry. */
  readonly revision?: unknown;
}

/** Adds an entry or replaces the one with its key, if nobody changed that since. Gives its key. */
export async function keepEntry(person: Person, { kind, value, isNew, revision }: EntryWrite): Promise<string> {
  requireAuthor(person);
  const checked = await checkEntries(person.programmeId, kind, [value]);
  const problems = checked.problems.map(({ path, message }) => ({ path: path.replace(/^\[0\]\.?/, ''), message }));
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems });
  if (!isNew && !isRevision(revision)) throw new EdgeError('wrong-input', { problems: [NO_REVISION] });
  const [write] = checked.writes;
  await inTransaction(async (transaction) => {
    await hold(`${person.programmeId}/${kind}`, transaction);
    const taken = await readEntry(person.programmeId, { kind, key: write!.key }, transaction);
    if (isNew && taken)
      throw new EdgeError('wrong-input', {
        problems: [{ path: 'key', message: `is taken: “${taken.title}” is on the shelf already; choose another name` }],
      });
    if (isNew) await refuseSameTitle(person, write!, transaction);
    if (!isNew && !taken) throw new EdgeError('not-found');
    // Ours arrived, and only the answer was lost.
    if (taken && isRevision(revision) && taken.revision === revision + 1 && isSameValue(taken.body, write!.body))
      return;
    if (taken && taken.revision !== revision)
      throw new EdgeError('conflict', { current: { revision: taken.revision, entry: taken.body } });
    await takeThings(person.programmeId, thingsOfWrites([write!]), transaction);
    await writeShelfItems(person.programmeId, [{ ...write!, retired: taken?.isRetired === true }], transaction);
  });
  return write!.key;
}

/** The things that activities of these name. */
export const thingsOfWrites = (writes: readonly ShelfWrite[]) =>
  thingsNamedBy(writes.flatMap(({ kind, body }) => (kind === 'activity' ? [body as ActivityEntry] : [])));

/** Things and entries are picked by name, so a second one of a name is refused while it is written. */
async function refuseSameTitle(
  { programmeId }: Person,
  { kind, title }: ShelfWrite,
  transaction: Transaction,
): Promise<void> {
  if (await isTitleTaken(programmeId, { kind, title }, transaction))
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'key', message: `is taken: “${title}” is on the shelf already; choose another name` }],
    });
}

/** Makes a copy under the next free key; gives the key. */
export async function duplicateEntry(person: Person, kind: ShelfKind, key: string): Promise<string> {
  requireAuthor(person);
  const { entry } = await findEntry(person, kind, key);
  for (let left = TRIES_FOR_KEY; ; left--) {
    const taken = await readKeys(person.programmeId, kind);
    const stem = key.slice(0, 70);
    // One whose name is another entry's is tried with the next number.
    let number = 2 + TRIES_FOR_KEY - left;
    while (taken.has(`${stem}-${number}`)) number += 1;
    const copy = { ...entry, key: `${stem}-${number}`, ...renamed(kind, entry, number) } as ShelfEntry;
    try {
      return await keepEntry(person, { kind, value: copy, isNew: true });
    } catch (error) {
      const isTaken = error instanceof EdgeError && error.details.problems?.[0]?.path === 'key';
      if (!isTaken || left === 0) throw error;
    }
  }
}

/** Somebody else may take the free key at the same moment, or have its name; then the next one is tried. */
const TRIES_FOR_KEY = 10;

/** Takes an entry off the shelf, or puts it back; what was made from it keeps its own copy. */
export async function retireEntry(person: Person, kind: ShelfKind, key: string, isRetired: boolean): Promise<void> {
  requireAuthor(person);
  if (!(await setRetired(person.programmeId, { kind, key }, isRetired))) throw new EdgeError('not-found');
}

/** Checks entries of one kind by shape, script and the things they name; paths start with `[index]`. One query. */
export async function checkEntries(
  programmeId: string,
  kind: ShelfKind,
  values: readonly unknown[],
): Promise<{ writes: ShelfWrite[]; problems: (FieldProblem & { index: number })[] }> {
  const problems: (FieldProblem & { index: number })[] = [];
  const sound: { index: number; entry: ShelfEntry }[] = [];
  values.forEach((value, index) => {
    const checked = checkShape(ENTRY_SCHEMAS[kind], value);
    if (checked.ok) sound.push({ index, entry: checked.value as ShelfEntry });
    else problems.push(...checked.problem.map(({ path, message }) => ({ index, path: at(index, path), message })));
  });
  if (kind === 'activity') problems.push(...(await checkActivities(programmeId, sound)));
  const faulty = new Set(problems.map(({ index }) => index));
  return {
    problems,
    writes: sound
      .filter(({ index }) => !faulty.has(index))
      .map(({ entry }) => ({
        kind,
        key: entry.key,
        title: titleOf(entry),
        body: entry,
      })),
  };
}

async function checkActivities(
  programmeId: string,
  sound: readonly { index: number; entry: ShelfEntry }[],
): Promise<(FieldProblem & { index: number })[]> {
  const known = await readNameable(programmeId);
  const things = new Set(known.things.map(({ key }) => key));
  const places = placesOf(known.things);
  const activities = new Set([...known.activities, ...sound.map(({ entry }) => entry.key)]);
  return sound.flatMap(({ index, entry }) => {
    const activity = entry as ActivityEntry;
    const faults = checkScript(activity, activity.title, { places }).map(({ path, fault }) => ({
      path,
      message: describeScriptFault(fault),
    }));
    const missing = activity.needs.flatMap((need, at) =>
      [
        { item: need.item, path: `needs[${at}].item` },
        ...need.swaps.map(({ item }, swap) => ({ item, path: `needs[${at}].swaps[${swap}].item` })),
      ]
        .filter(({ item }) => !things.has(item))
        .map(({ item, path }) => ({ path, message: `“${item}” is not a thing on the shelf` })),
    );
    const unknown = (activity.after ?? []).flatMap((key, at) =>
      activities.has(key) ? [] : [{ path: `after[${at}]`, message: `“${key}” is not an activity on the shelf` }],
    );
    return [...faults, ...missing, ...unknown].map(({ path, message }) => ({ index, path: at(index, path), message }));
  });
}

function at(index: number, path: string): string {
  return path === '$' ? `[${index}]` : `[${index}].${path}`;
}

function renamed(kind: ShelfKind, entry: ShelfEntry, number: number): Partial<ShelfEntry> {
  return kind === 'thing'
    ? { many: `${(entry as { many: string }).many} (${number})` }
    : { title: `${(entry as { title: string }).title} (${number})` };
}
