import { asKnown, type Thing, type ThingsByKey } from '../../../core/materials/index.ts';
import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import type { BookEntry, SongEntry, ThingEntry } from '../../../contracts/shelfFile.ts';
import { readStoredEntry, writeStoredEntry } from '../../../core/shelf/index.ts';
import { now } from '../../clock.ts';
import { starter } from '../../starter.ts';
import { ShelfItemRow } from '../models.ts';
import type { ActivityEntry, ShelfKind } from './shelfEntry.ts';
import { tables } from '../tables.ts';

export type { ActivityEntry, ShelfKind };

export interface Shelf {
  readonly things: readonly ThingEntry[];
  readonly books: readonly BookEntry[];
  readonly songs: readonly SongEntry[];
  readonly activities: readonly ActivityEntry[];
}

/** Everything on a programme's shelf that is not retired (or only what is), by title, in one query. */
export async function readShelf(
  programmeId: string,
  kinds: readonly ShelfKind[] = ['book', 'song', 'activity', 'thing'],
  { isRetired = false, transaction }: { isRetired?: boolean; transaction?: Transaction } = {},
): Promise<Shelf> {
  tables();
  const rows = await ShelfItemRow.findAll({
    where: { programmeId, kind: { [Op.in]: [...kinds] }, retiredAt: isRetired ? { [Op.ne]: null } : null },
    order: [['title', 'ASC']],
    transaction,
  });
  const bodies = <Entry extends object>(kind: ShelfKind) =>
    rows.filter((row) => row.kind === kind).map((row) => readStoredEntry<Entry>(row.body));
  return { things: bodies('thing'), books: bodies('book'), songs: bodies('song'), activities: bodies('activity') };
}

/** Things by key, as quantities, swaps and cautions need them. */
export function thingsByKey(things: readonly ThingEntry[]): ThingsByKey {
  return Object.fromEntries(things.map((thing): [string, Thing] => [thing.key, asKnown(thing)]));
}

/**
 * Everything the programme knows about things, by key: those that were removed from the shelf too, since scripts and homes
 * still name them and their cautions still hold, and those of the starter collection, which makers name. One query.
 */
export async function readThings(programmeId: string, transaction?: Transaction): Promise<ThingsByKey> {
  tables();
  const rows = await ShelfItemRow.findAll({
    where: { programmeId, kind: 'thing' },
    attributes: ['body'],
    transaction,
  });
  return { ...starter().things, ...thingsByKey(rows.map(({ body }) => readStoredEntry<ThingEntry>(body))) };
}

/** Which of these things are on a shelf, removed ones too. One query. */
export async function readThingKeys(
  programmeId: string,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<Set<string>> {
  tables();
  const where = { programmeId, kind: 'thing', key: { [Op.in]: [...keys] } };
  const rows = await ShelfItemRow.findAll({ where, attributes: ['key'], transaction });
  return new Set(rows.map(({ key }) => key));
}

export interface ShelfWrite {
  readonly kind: ShelfKind;
  readonly key: string;
  readonly title: string;
  readonly body: object;
  /** Taken off the shelf as it is written. */
  readonly retired?: boolean | undefined;
}

/** Adds items, or replaces those with the same key; gives how many were new. */
export async function writeShelfItems(
  programmeId: string,
  items: readonly ShelfWrite[],
  transaction: Transaction,
): Promise<number> {
  tables();
  const written = new Set(items.map(({ kind, key }) => `${kind}/${key}`));
  const sameKeys = await ShelfItemRow.findAll({
    where: { programmeId, key: { [Op.in]: items.map(({ key }) => key) } },
    attributes: ['kind', 'key'],
    transaction,
  });
  const known = sameKeys.filter(({ kind, key }) => written.has(`${kind}/${key}`));
  const isKnown = new Set(known.map(({ kind, key }) => `${kind}/${key}`));
  await ShelfItemRow.bulkCreate(
    items.map(({ retired, body: whole, ...item }) => {
      const { retired: _, ...body } = whole as { retired?: unknown };
      return {
        id: randomUUID(),
        programmeId,
        minutesCorrectedAt: null,
        correctedFactor: null,
        revision: 1,
        ...item,
        body: writeStoredEntry(body),
        retiredAt: retired ? now() : null,
      };
    }),
    {
      updateOnDuplicate: ['title', 'body', 'retiredAt'],
      conflictAttributes: ['programmeId', 'kind', 'key'],
      transaction,
    },
  );
  // What was there already is at its next revision, so that whoever has it open is told.
  if (known.length > 0)
    await ShelfItemRow.increment('revision', {
      where: { programmeId, [Op.or]: known.map(({ kind, key }) => ({ kind, key })) },
      transaction,
    });
  return items.filter(({ kind, key }) => !isKnown.has(`${kind}/${key}`)).length;
}
