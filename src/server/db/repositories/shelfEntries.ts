import { col, fn, literal, Op, where } from 'sequelize';
import { now } from '../../clock.ts';
import { starter } from '../../starter.ts';
import { ShelfItemRow } from '../models.ts';
import { tables } from '../tables.ts';
import { asKnown, type ShelvedThing } from '../../../core/materials/index.ts';
import { readStoredEntry, writeStoredEntry } from '../../../core/shelf/index.ts';
import { inTransaction, type Transaction } from '../transaction.ts';
import type { ShelfKind } from './shelf.ts';

/** An entry of the shelf as it is stored. */
export interface StoredEntry {
  readonly key: string;
  readonly title: string;
  readonly body: object;
  readonly isRetired: boolean;
  readonly revision: number;
}

/** One entry, held while there is a transaction; null when it is not this programme's. One query. */
export async function readEntry(
  programmeId: string,
  { kind, key }: { kind: ShelfKind; key: string },
  transaction?: Transaction,
): Promise<StoredEntry | null> {
  tables();
  const row = await ShelfItemRow.findOne({
    where: { programmeId, kind, key },
    ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
  });
  if (!row) return null;
  const { title, body, retiredAt, revision } = row;
  return { key, title, body: readStoredEntry(body), isRetired: retiredAt !== null, revision };
}

/** Whether an entry of a kind bears a title, in capitals or small. One query. */
export async function isTitleTaken(
  programmeId: string,
  { kind, title }: { kind: ShelfKind; title: string },
  transaction: Transaction,
): Promise<boolean> {
  const same = { [Op.and]: where(fn('lower', col('title')), title.toLowerCase()) };
  return (await ShelfItemRow.count({ where: { programmeId, kind, ...same }, transaction })) > 0;
}

/** The keys of a kind. One query. */
export async function readKeys(programmeId: string, kind: ShelfKind): Promise<Set<string>> {
  tables();
  const rows = await ShelfItemRow.findAll({ where: { programmeId, kind }, attributes: ['key'] });
  return new Set(rows.map(({ key }) => key));
}

/** Takes an entry off the shelf, or puts it back; whether there was one. */
export async function setRetired(
  programmeId: string,
  { kind, key }: { kind: ShelfKind; key: string },
  isRetired: boolean,
): Promise<boolean> {
  tables();
  const [changed] = await ShelfItemRow.update(
    { retiredAt: isRetired ? now() : null },
    { where: { programmeId, kind, key } },
  );
  return changed > 0;
}

/** Writes down that somebody looked at a thing: its traits and allergens are as they are shown, those that its name calls for too. One transaction. */
export async function markThingChecked(programmeId: string, key: string): Promise<void> {
  await inTransaction(async (transaction) => {
    const row = await ShelfItemRow.findOne({
      where: { programmeId, kind: 'thing', key },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (!row) return;
    const thing = readStoredEntry<ShelvedThing>(row.body);
    const { traits, allergens } = asKnown(thing);
    const body = writeStoredEntry({ ...thing, traits, allergens, checked: true });
    await row.update({ body, revision: row.revision + 1 }, { transaction });
  });
}

/** What scripts may name: things with their places, those of the starter collection too, and the keys of activities. One query. */
export async function readNameable(
  programmeId: string,
): Promise<{ things: { key: string; places: number | undefined }[]; activities: string[] }> {
  tables();
  const rows = await ShelfItemRow.findAll({
    where: { programmeId, kind: ['thing', 'activity'] },
    attributes: ['kind', 'key', [literal("body -> 'places'"), 'places']],
  });
  const things = rows
    .filter(({ kind }) => kind === 'thing')
    .map((row) => ({ key: row.key, places: (row.get('places') as number | null) ?? undefined }));
  const own = new Set(things.map(({ key }) => key));
  const collected = Object.values(starter().things).flatMap(({ key, places }) =>
    own.has(key) ? [] : [{ key, places }],
  );
  return {
    things: [...collected, ...things],
    activities: rows.filter(({ kind }) => kind === 'activity').map(({ key }) => key),
  };
}
