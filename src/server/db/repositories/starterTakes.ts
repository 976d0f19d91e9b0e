import { QueryTypes } from 'sequelize';
import { readStoredEntry, writeStoredEntry } from '../../../core/shelf/index.ts';
import { ShelfItemRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import type { ShelfKind } from './shelf.ts';

interface KeptEntry {
  readonly kind: ShelfKind;
  readonly key: string;
  readonly body: object;
}

/** What a programme took from the starter collection, each entry as it was then. One query. */
export async function readTaken(programmeId: string, transaction?: Transaction): Promise<KeptEntry[]> {
  const rows = await tables().query<KeptEntry>(
    'SELECT kind, key, body FROM starter_takes WHERE programme_id = :programmeId',
    { replacements: { programmeId }, type: QueryTypes.SELECT, ...(transaction && { transaction }) },
  );
  return rows.map((row) => ({ ...row, body: readStoredEntry(row.body) }));
}

/** Every entry of a shelf in today's shape, removed ones too. One query. */
export async function readWholeShelf(
  programmeId: string,
  transaction?: Transaction,
): Promise<(KeptEntry & { readonly isRetired: boolean })[]> {
  tables();
  const rows = await ShelfItemRow.findAll({
    where: { programmeId },
    attributes: ['kind', 'key', 'body', 'retiredAt'],
    ...(transaction && { transaction }),
  });
  return rows.map(({ kind, key, body, retiredAt }) => ({
    kind,
    key,
    body: readStoredEntry(body),
    isRetired: retiredAt !== null,
  }));
}

/** Writes down that a programme has taken entries of a version of the collection. Two queries. */
export async function writeTaken(
  programmeId: string,
  { version, entries }: { version: number; entries: readonly KeptEntry[] },
  transaction: Transaction,
): Promise<void> {
  const taken = entries.map(({ kind, key, body }) => ({ kind, key, body: writeStoredEntry(body) }));
  await tables().query(
    `INSERT INTO starter_takes (programme_id, kind, key, body)
     SELECT :programmeId, kind, key, body FROM jsonb_to_recordset(CAST(:taken AS jsonb)) AS taken (kind text, key text, body jsonb)
     ON CONFLICT (programme_id, kind, key) DO UPDATE SET body = EXCLUDED.body, taken_at = now()`,
    { replacements: { programmeId, taken: JSON.stringify(taken) }, transaction },
  );
  await tables().query('UPDATE programmes SET starter_version = :version WHERE id = :programmeId', {
    replacements: { programmeId, version },
    transaction,
  });
}
