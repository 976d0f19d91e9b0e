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

/** Writes a programme's settings under the next revision. */
export async function writeSettings(
  { id, revision }: Pick<Programme, 'id' | 'revision'>,
  settings: ProgrammeSettings,
  transaction: Transaction,
): Promise<void> {
  await ProgrammeRow.update({ settings, revision: revision + 1 }, { where: { id }, transaction });
}
