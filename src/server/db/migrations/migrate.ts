import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { database, withPatientDatabase } from '../connection.ts';
import { log } from '../../log.ts';
import { up as firstPath } from './0001-first-path.ts';
import { up as printing } from './0003-printing.ts';
import { up as rightAndSafe } from './0004-right-and-safe.ts';
import { up as sturdyEdge } from './0005-sturdy-edge.ts';
import { up as ownVoiceAndWords } from './0006-own-voice-and-words.ts';
import { up as nothingLost } from './0007-nothing-lost.ts';
import { up as languagesAreListedOnce } from './0008-languages-are-listed-once.ts';
import { up as idsOfChoices } from './0009-ids-of-choices.ts';
import { up as twoWorkAsOne } from './0010-two-work-as-one.ts';
import { up as manyHomes } from './0011-many-homes.ts';
import { up as whatIsKept } from './0012-what-is-kept.ts';
import { up as starter } from './0013-starter.ts';
import { up as notThere } from './0014-not-there.ts';
import { up as sessionEdits } from './0015-session-edits.ts';
import { up as keysOfEdits } from './0016-keys-of-edits.ts';
import { up as term } from './0002-term.ts';
import { queriesWithin, type MigrationQueries } from './migrationQueries.ts';
import { prepareQueue } from '../queue.ts';

const MIGRATIONS: Readonly<Record<string, (queries: MigrationQueries) => Promise<void>>> = {
  '0001-first-path': firstPath,
  '0002-term': term,
  '0003-printing': printing,
  '0004-right-and-safe': rightAndSafe,
  '0005-sturdy-edge': sturdyEdge,
  '0006-own-voice-and-words': ownVoiceAndWords,
  '0007-nothing-lost': nothingLost,
  '0008-languages-are-listed-once': languagesAreListedOnce,
  '0009-ids-of-choices': idsOfChoices,
  '0010-two-work-as-one': twoWorkAsOne,
  '0011-many-homes': manyHomes,
  '0012-what-is-kept': whatIsKept,
  '0013-starter': starter,
  '0014-not-there': notThere,
  '0015-session-edits': sessionEdits,
  '0016-keys-of-edits': keysOfEdits,
};

/** The name of the newest schema that this version knows. */
export const NEWEST_SCHEMA = Object.keys(MIGRATIONS).at(-1)!;

export interface MigrateOptions {
  /** Called before a database that holds something is changed, with the name of the schema it has. */
  readonly beforeChange?: ((schema: string) => Promise<void>) | undefined;
}

/**
 * Brings the database up to date; migrations are only ever added. Each of them and its mark are one transaction: one that
 * is cut short leaves nothing behind. Who calls holds the installation, so that two starts come one after the other.
 * Returns the names of those applied now.
 */
export async function migrate({ beforeChange }: MigrateOptions = {}): Promise<string[]> {
  const applied = await withPatientDatabase(async (sequelize) => {
    const umzug = umzugFor(sequelize);
    const done = await umzug.executed();
    const pending = await umzug.pending();
    if (done.length > 0 && pending.length > 0) await beforeChange?.(done.at(-1)!.name);
    return (await umzug.up()).map(({ name }) => name);
  });
  await prepareQueue();
  if (applied.length > 0) log.info({ applied }, 'migrated');
  return applied;
}

/** The name of the newest schema that a database has; null for one that is empty. */
export async function readSchema(): Promise<string | null> {
  return withPatientDatabase(async (sequelize) => (await umzugFor(sequelize).executed()).at(-1)?.name ?? null);
}

/** A database whose tables this version does not work with. */
export class UnfitSchema extends Error {}

/** So many schemas newer than the newest it knows does a version still work with: migrations work with the code before them. */
const NEWER_ALLOWED = 1;

/** Whether the database has tables that this version works with. Reads on the pool of this process. */
export async function isSchemaFitting(): Promise<boolean> {
  return whyUnfit((await umzugFor(database()).executed()).map(({ name }) => name)) === null;
}

/** Throws `UnfitSchema` for a database with tables older than this version needs, or newer than it can know. */
export async function requireFittingSchema(): Promise<void> {
  const done = await withPatientDatabase(async (sequelize) =>
    (await umzugFor(sequelize).executed()).map(({ name }) => name),
  );
  const why = whyUnfit(done);
  if (why) throw new UnfitSchema(why);
}

function whyUnfit(done: readonly string[]): string | null {
  if (Object.keys(MIGRATIONS).some((name) => !done.includes(name)))
    return 'the tables of this database are older than this version needs; run bin/footstool migrate first';
  const unknown = done.filter((name) => !Object.hasOwn(MIGRATIONS, name));
  return unknown.length > NEWER_ALLOWED
    ? `the tables of this database are of a newer version (${done.at(-1)}); start that version`
    : null;
}

function umzugFor(sequelize: Sequelize): Umzug {
  const storage = new SequelizeStorage({ sequelize, tableName: 'migrations' });
  return new Umzug({
    migrations: Object.entries(MIGRATIONS).map(([name, up]) => ({ name, up: () => apply(sequelize, name, up) })),
    // The mark is written by `apply`, in the transaction of the migration.
    storage: {
      executed: () => storage.executed(),
      logMigration: () => Promise.resolve(),
      unlogMigration: () => Promise.resolve(),
    },
    logger: undefined,
  });
}

async function apply(
  sequelize: Sequelize,
  name: string,
  up: (queries: MigrationQueries) => Promise<void>,
): Promise<void> {
  try {
    await sequelize.transaction(async (transaction) => {
      const queries = queriesWithin(sequelize, transaction);
      await up(queries);
      await queries.sequelize.query('INSERT INTO migrations (name) VALUES (:name)', { replacements: { name } });
    });
  } catch (error) {
    if (isThereAlready(error)) throw new HalfMadeDatabase(name, { cause: error });
    throw error;
  }
}

/** Tables that a migration is to make are there, though it never ended: left by a start before starts could be cut short. */
class HalfMadeDatabase extends Error {
  constructor(migration: string, options: ErrorOptions) {
    super(
      `an earlier start was cut short and left this database half made (at ${migration}). Nothing in it was changed now. ` +
        'If nobody has worked in it yet, remove it and start again; otherwise put your newest backup into an empty one with bin/footstool restore FILE',
      options,
    );
  }
}

/** PostgreSQL: duplicate_table, duplicate_column, duplicate_object, duplicate_function. */
const THERE_ALREADY = ['42P07', '42701', '42710', '42723'];

function isThereAlready(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause ?? (cause as { parent?: unknown }).parent)
    if (THERE_ALREADY.includes((cause as { code?: string }).code ?? '')) return true;
  return false;
}
