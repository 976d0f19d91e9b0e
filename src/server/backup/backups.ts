import { existsSync } from 'node:fs';
import { mkdir, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PassThrough } from 'node:stream';
import { addDays } from '../../core/calendar/index.ts';
import { now, timeZone, today } from '../clock.ts';
import { holdingInstallation } from '../db/hold.ts';
import { migrate, NEWEST_SCHEMA, readSchema } from '../db/migrations/migrate.ts';
import {
  clearDatabase,
  countPeopleAndProgrammes,
  isServing,
  markLettersUnclear,
} from '../db/repositories/wholeDatabase.ts';
import { log } from '../log.ts';
import { NotABackup, readBackupHead, unpackBackup, writeBackup, type BackupHead } from './backupFile.ts';
import { dumpDatabase, restoreDatabase } from './dump.ts';

/** Days that the backup of each night is kept. */
const DAYS_KEPT = 14;
/** Backups from before a change of the schema that are kept, the newest. */
const CHANGES_KEPT = 5;
/** From this hour on, in the programme's time zone, the backup of the night is made. */
const HOUR_OF_NIGHT = 2;

const databaseUrl = () => process.env.DATABASE_URL!;

/** Where backups that are made by themselves lie. */
export const backupFolder = () => join(process.env.FOOTSTOOL_DATA ?? '.data', 'backups');

export interface BackupSettings {
  /** Encrypts it; then it holds the secret of links too. */
  readonly passphrase?: string | undefined;
  /** The secret that links of homes are made with. */
  readonly secret: string | null;
}

/** Writes everything that is kept into a file: the database, with recordings. */
export async function makeBackup(
  path: string,
  { passphrase, secret }: BackupSettings,
  schema?: string,
): Promise<BackupHead> {
  const known = schema ?? (await readSchema());
  if (!known) throw new Error('there is nothing to back up yet: the database is empty');
  const { dump, ended } = dumpDatabase(databaseUrl());
  // A dump that breaks off must not look like one that came to its end.
  const whole = new PassThrough();
  dump.pipe(whole, { end: false });
  dump.once(
    'end',
    () =>
      void ended.then(
        () => whole.end(),
        (error: Error) => whole.destroy(error),
      ),
  );
  dump.once('error', (error) => whole.destroy(error));
  return writeBackup(path, whole, {
    schema: known,
    madeAt: new Date(),
    secret,
    ...(passphrase !== undefined && { passphrase }),
  });
}

/** What backups that are made by themselves are made with. */
const ownSettings = (): BackupSettings => ({
  passphrase: process.env.FOOTSTOOL_BACKUP_PASSPHRASE || undefined,
  secret: process.env.FOOTSTOOL_SECRET ?? null,
});

/** Makes the backup of the night, once a day, and takes away those that have been kept long enough. Gives its path when it was made now. */
export async function backUpNightly(): Promise<string | null> {
  const hour = Number(
    new Intl.DateTimeFormat('en-GB', { hour: '2-digit', hourCycle: 'h23', timeZone: timeZone() }).format(now()),
  );
  const folder = backupFolder();
  const path = join(folder, `night-${today()}.backup`);
  if (hour < HOUR_OF_NIGHT || existsSync(path)) return null;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  await makeBackup(path, ownSettings());
  const oldest = addDays(today(), -DAYS_KEPT);
  const nights = (await readdir(folder)).flatMap((name) => /^night-(\d{4}-\d\d-\d\d)\.backup$/.exec(name) ?? []);
  for (let index = 0; index < nights.length; index += 2)
    if (nights[index + 1]! <= oldest) await rm(join(folder, nights[index]!), { force: true });
  log.info({ path }, 'backed up');
  return path;
}

/** Makes a backup of a database whose tables are about to be changed, and keeps the last few of those. */
export async function backUpBeforeChange(schema: string): Promise<void> {
  if (process.env.FOOTSTOOL_WITHOUT_BACKUP === '1') return;
  const folder = backupFolder();
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const stamp = new Date().toISOString().replace(/[:.]/g, '-');
  try {
    await makeBackup(join(folder, `before-change-${stamp}.backup`), ownSettings(), schema);
  } catch (error) {
    throw new Error(
      `the database is backed up before it is changed, and that failed: ${(error as Error).message}. ` +
        'Nothing was changed. FOOTSTOOL_WITHOUT_BACKUP=1 goes on without, if you have a backup of your own',
      { cause: error },
    );
  }
  const made = (await readdir(folder)).filter((name) => name.startsWith('before-change-')).sort();
  for (const name of made.slice(0, -CHANGES_KEPT)) await rm(join(folder, name), { force: true });
}

export interface RestoreSettings {
  readonly passphrase?: string | undefined;
  /** What is in the database is backed up and then replaced; otherwise a database that holds something is refused. */
  readonly replaces?: boolean;
  /** The secret of this installation, for the backup of what is replaced. */
  readonly secret: string | null;
}

/**
 * Puts a backup into the database, whole or not at all, and brings its schema up to date. Letters that waited then are
 * marked as perhaps sent: since then they may have gone out. Gives what the file said of itself and the secret in it.
 */
export async function restoreBackup(
  path: string,
  { passphrase, replaces = false, secret }: RestoreSettings,
): Promise<{ head: BackupHead; secret: string | null; replaced: string | null }> {
  const { head } = await readBackupHead(path);
  if (head.schema > NEWEST_SCHEMA)
    throw new NotABackup(`was made by a newer version of Footstool (${head.schema}); use that one to restore it`);
  const folder = await mkdtemp(join(tmpdir(), 'footstool-restore-'));
  try {
    const dumpPath = join(folder, 'dump');
    const { inside } = await unpackBackup(path, dumpPath, passphrase);
    return await holdingInstallation(async () => {
      if (await isServing())
        throw new Error('Footstool is running on this database; stop it first. Nothing was changed');
      const replaced = await makeRoom(replaces, { secret, passphrase });
      await restoreDatabase(databaseUrl(), dumpPath);
      await migrate();
      await markLettersUnclear();
      return { head, secret: inside.secret, replaced };
    });
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** Empties a database for a restore; gives the backup of what was in it. One in which somebody works is left as it is, unless it may be replaced. */
async function makeRoom(replaces: boolean, settings: BackupSettings): Promise<string | null> {
  const schema = await readSchema();
  const isHeld = schema !== null && (await countPeopleAndProgrammes()) > 0;
  if (isHeld && !replaces)
    throw new Error(
      'this database holds something already. Restore into an empty one, or add --replace: what is there is then backed up first',
    );
  let replaced: string | null = null;
  if (isHeld) {
    await mkdir(backupFolder(), { recursive: true, mode: 0o700 });
    replaced = join(backupFolder(), `before-restore-${new Date().toISOString().replace(/[:.]/g, '-')}.backup`);
    await makeBackup(replaced, settings, schema);
  }
  await clearDatabase();
  return replaced;
}
