import { starterOffers, type StarterOffer } from '../../core/shelf/index.ts';
import { hold } from '../db/hold.ts';
import { holdProgramme } from '../db/repositories/programmes.ts';
import { readThingKeys, writeShelfItems } from '../db/repositories/shelf.ts';
import { readTaken, readWholeShelf, writeTaken } from '../db/repositories/starterTakes.ts';
import { isSameValue } from '../db/sameValue.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import { starter, type StarterEntry } from '../starter.ts';
import { requireAuthor, type Person } from './person.ts';

/** What the starter collection has for a programme that its shelf has not; nothing when it is up to date. Two queries. */
export async function readStarterOffers(person: Person): Promise<StarterOffer<StarterEntry>[]> {
  return offersFor(person.programmeId);
}

async function offersFor(programmeId: string, transaction?: Transaction): Promise<StarterOffer<StarterEntry>[]> {
  const [shelf, taken] = [await readWholeShelf(programmeId, transaction), await readTaken(programmeId, transaction)];
  return starterOffers(starter().entries, { shelf, taken }, isSameValue);
}

/**
 * Puts entries of the starter collection on the shelf, with the things and the earlier activities that they name: all that
 * is offered, or those that are chosen, each as `kind/key`. What the programme changed stays. Gives how many were taken.
 */
export async function takeStarter(
  person: Pick<Person, 'programmeId' | 'role'>,
  chosen: readonly string[] | 'all',
): Promise<number> {
  requireAuthor(person);
  return inTransaction(async (transaction) => {
    await holdProgramme(person.programmeId, transaction);
    const offered = (await offersFor(person.programmeId, transaction)).map(({ entry }) => entry);
    const wanted = chosen === 'all' ? undefined : withWhatTheyName(chosen);
    const taken = offered.filter((entry) => !wanted || wanted.has(nameOf(entry)));
    if (chosen !== 'all' && taken.length === 0)
      throw new EdgeError('wrong-input', { problems: [{ path: 'entries', message: 'tick at least one' }] });
    await write(person.programmeId, taken, transaction);
    return taken.length;
  });
}

/** Puts things of the collection on a shelf that has never had them, because something now needs them. One query when none is missing. */
export async function takeThings(programmeId: string, keys: Iterable<string>, transaction: Transaction): Promise<void> {
  const known = starter().things;
  const wanted = new Set([...keys].filter((key) => Object.hasOwn(known, key)));
  if (wanted.size === 0) return;
  const before = await readThingKeys(programmeId, [...wanted], transaction);
  if (before.size === wanted.size) return;
  // What somebody writes under the same key at this moment stays theirs.
  await hold(`${programmeId}/thing`, transaction);
  const there = await readThingKeys(programmeId, [...wanted], transaction);
  const missing = starter().entries.filter(({ kind, key }) => kind === 'thing' && wanted.has(key) && !there.has(key));
  await write(programmeId, missing, transaction);
}

/** The same for parts of a session, beside whatever else is written. One query when none is missing. */
export async function takeThingsOf(programmeId: string, parts: Parameters<typeof thingsNamedBy>[0]): Promise<void> {
  const named = thingsNamedBy(parts).filter((key) => Object.hasOwn(starter().things, key));
  if (named.length === 0) return;
  const there = await readThingKeys(programmeId, [...new Set(named)]);
  const missing = named.filter((key) => !there.has(key));
  if (missing.length > 0) await inTransaction((transaction) => takeThings(programmeId, missing, transaction));
}

/** The things that parts of sessions and activities ask for, their swaps too. */
export function thingsNamedBy(
  parts: readonly {
    readonly needs: readonly { readonly item: string; readonly swaps: readonly { readonly item: string }[] }[];
  }[],
): string[] {
  return parts.flatMap(({ needs }) => needs.flatMap(({ item, swaps }) => [item, ...swaps.map((swap) => swap.item)]));
}

async function write(programmeId: string, entries: readonly StarterEntry[], transaction: Transaction): Promise<void> {
  if (entries.length === 0) return;
  await writeShelfItems(programmeId, entries, transaction);
  await writeTaken(programmeId, { version: starter().version, entries }, transaction);
}

const nameOf = ({ kind, key }: Pick<StarterEntry, 'kind' | 'key'>) => `${kind}/${key}`;

/** The chosen entries with what they need: things of their needs, and the activities they build on. */
function withWhatTheyName(chosen: readonly string[]): Set<string> {
  const activities = new Map(starter().activities.map((activity) => [`activity/${activity.key}`, activity]));
  const wanted = new Set<string>();
  const queue = [...chosen];
  for (let name = queue.pop(); name !== undefined; name = queue.pop()) {
    if (wanted.has(name)) continue;
    wanted.add(name);
    const { needs = [], after = [] } = activities.get(name) ?? {};
    queue.push(...thingsNamedBy([{ needs }]).map((key) => `thing/${key}`));
    queue.push(...after.map((key) => `activity/${key}`));
  }
  return wanted;
}
