import { QueryTypes } from 'sequelize';
import { randomUUID } from 'node:crypto';
import { readSettings, type ProgrammeSettings } from '../../../contracts/programme.ts';
import { ProgrammeRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';

/** A programme with its settings as they are kept, and the revision they are at. */
export interface Programme {
  readonly id: string;
  readonly slug: string;
  readonly name: string;
  readonly settings: ProgrammeSettings;
  readonly revision: number;
}

const toProgramme = ({ id, slug, name, settings, revision }: ProgrammeRow): Programme => ({
  id,
  slug,
  name,
  revision,
  settings: readSettings(settings),
});

/** A programme by its id; null when there is none. One query. */
export async function findProgramme(id: string): Promise<Programme | null> {
  tables();
  const row = await ProgrammeRow.findByPk(id);
  return row && toProgramme(row);
}

/** A programme by its name or the short name in addresses; null when there is none. One query. */
export async function findProgrammeBy(
  where: { name: string } | { slug: string },
  transaction?: Transaction,
): Promise<Programme | null> {
  tables();
  const row = await ProgrammeRow.findOne({ where, ...(transaction && { transaction }) });
  return row && toProgramme(row);
}

/** A programme held until the transaction ends: others who want it wait. One query. */
export async function holdProgramme(id: string, transaction: Transaction): Promise<Programme | null> {
  const row = await ProgrammeRow.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE });
  return row && toProgramme(row);
}

/** How many programmes there are. One query. */
export function countProgrammes(): Promise<number> {
  tables();
  return ProgrammeRow.count();
}

/** Adds a programme; gives its id. */
export async function addProgrammeRow(
  programme: Pick<Programme, 'slug' | 'name' | 'settings'>,
  transaction?: Transaction,
): Promise<string> {
  tables();
  const id = randomUUID();
  await ProgrammeRow.create({ id, ...programme }, { ...(transaction && { transaction }) });
  return id;
}

/** Removes a programme with everything in it. One query. */
export async function removeProgrammeRow(id: string): Promise<void> {
  tables();
  await ProgrammeRow.destroy({ where: { id } });
}

/** How much of what a family would miss a programme holds. One query. */
export async function findProgrammeContents(id: string): Promise<{ homes: number; sessions: number; guides: number }> {
  const [row] = await tables().query<{ homes: number; sessions: number; guides: number }>(
    `SELECT (SELECT count(*)::int FROM homes WHERE programme_id = :id) AS homes,
            (SELECT count(*)::int FROM sessions WHERE programme_id = :id) AS sessions,
            (SELECT count(*)::int FROM guide_links WHERE programme_id = :id) AS guides`,
    { replacements: { id }, type: QueryTypes.SELECT },
  );
  return row!;
}

/** What a programme has left outside the database: files of the printer, letters of the mail stand-in. One query. */
export async function readFilesOf(id: string): Promise<{ prints: string[]; letters: string[] }> {
  const [row] = await tables().query<{ prints: string[]; letters: string[] }>(
    `SELECT (SELECT coalesce(array_agg(id::text), '{}') FROM print_jobs WHERE programme_id = :id) AS prints,
            (SELECT coalesce(array_agg(mail_id), '{}') FROM messages WHERE programme_id = :id AND mail_id IS NOT NULL) AS letters`,
    { replacements: { id }, type: QueryTypes.SELECT },
  );
  return row!;
}

/** Removes a programme with all that hangs on it, and everybody who works in no other. Takes the time it takes. */
export async function removeProgrammeWhole(id: string, transaction: Transaction): Promise<void> {
  const run = (sql: string) => tables().query(sql, { replacements: { id }, transaction });
  await run('SET LOCAL statement_timeout = 0');
  await run(
    `DELETE FROM users WHERE id IN (SELECT user_id FROM memberships WHERE programme_id = :id)
       AND id NOT IN (SELECT user_id FROM memberships WHERE programme_id <> :id)`,
  );
  await run('DELETE FROM programmes WHERE id = :id');
}

/** Writes a programme's settings under the next revision. */
export async function writeSettings(
  { id, revision }: Pick<Programme, 'id' | 'revision'>,
  settings: ProgrammeSettings,
  transaction: Transaction,
): Promise<void> {
  await ProgrammeRow.update({ settings, revision: revision + 1 }, { where: { id }, transaction });
}
