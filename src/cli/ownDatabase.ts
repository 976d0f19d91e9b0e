import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ROOT } from '../threads/root.ts';
import { closeDatabase } from '../server/db/connection.ts';
import { guardDatabase, whileGuardStops } from './guardDatabase.ts';
import { isReachable, postgresFolder, startPostgres, type LocalPostgres } from './postgres.ts';

/** Where this installation keeps what is its own. */
export const DATA = resolve(process.env.FOOTSTOOL_DATA ?? join(ROOT, '.data'));

/** The installation's own database on loopback, started when it is not running yet. */
export async function ownDatabase(tell: (text: string) => void): Promise<LocalPostgres> {
  mkdirSync(DATA, { recursive: true });
  if (!postgresFolder()) installPostgres(tell);
  const inProject = join(DATA, 'postgres');
  const folder = isReachable(inProject)
    ? inProject
    : join('/var/lib/footstool', createHash('sha256').update(ROOT).digest('hex').slice(0, 12));
  if (folder !== inProject) tell(`PostgreSQL’s user cannot reach ${inProject}; its data is kept in ${folder}`);
  await whileGuardStops(folder);
  const postgres = await startPostgres({ folder });
  if (!postgres.isOurs) return postgres;
  const guard = guardDatabase(folder, postgres);
  const stop = () => {
    guard.end();
    postgres.stop();
  };
  return { ...postgres, stop };
}

/** Runs a command on the database that DATABASE_URL names, or on the installation's own, which is started for it. */
export async function withDatabase(work: () => Promise<number>): Promise<number> {
  const tell = (text: string) => process.stderr.write(`footstool: ${text}\n`);
  const postgres = process.env.DATABASE_URL ? null : await ownDatabase(tell);
  process.env.DATABASE_URL ??= postgres!.url;
  process.env.FOOTSTOOL_DATA ??= DATA;
  try {
    return await work();
  } finally {
    await closeDatabase();
    if (postgres?.isOurs) postgres.stop();
  }
}

function installPostgres(tell: (text: string) => void): void {
  tell('installing Debian’s postgresql');
  // What an install that was cut short left half done is put right first.
  spawnSync('dpkg', ['--configure', '-a'], {
    stdio: 'ignore',
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  for (const words of [['update'], ['install', '-y', '--no-install-recommends', 'postgresql']]) {
    const result = spawnSync('apt-get', words, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (result.status !== 0)
      throw new Error(`apt-get ${words[0]} failed; install postgresql by hand or set DATABASE_URL`);
  }
}
