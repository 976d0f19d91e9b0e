import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { startPostgres } from '../../src/cli/postgres.ts';

/** The one PostgreSQL of a run of the tests, in a folder that its processes share; stopped by whoever made the folder. */
export async function sharedCluster(folder: string): Promise<{ url: string; port: number }> {
  const release = await lock(join(folder, 'cluster.lock'));
  try {
    const home = join(folder, 'cluster');
    mkdirSync(home, { recursive: true, mode: 0o755 });
    const { url } = await startPostgres({ folder: home, isThrowAway: true });
    return { url, port: Number(new URL(url).port) };
  } finally {
    release();
  }
}

/** Stops the PostgreSQL of a folder; one that was never started is no fault. */
export async function stopSharedCluster(folder: string): Promise<void> {
  const home = join(folder, 'cluster');
  if (!existsSync(join(home, 'data/postmaster.pid'))) return;
  (await startPostgres({ folder: home, isThrowAway: true })).stop();
}

/** What a database is filled with: the same for every test that names it. `fill` leaves no connection open. */
export interface Filling<State> {
  readonly name: string;
  fill(url: string): Promise<State>;
}

/** A database of its own, copied from one that is filled once in a run; `state` is what filling it told. */
export async function copyDatabase<State>(
  clusterUrl: string,
  filling: Filling<State> | null,
): Promise<{ url: string; state: State | null; remove(): Promise<void> }> {
  const name = `test_${process.pid}_${(made += 1)}`;
  const state = await withAdmin(clusterUrl, async (admin) => {
    const template = filling ? `filled_${filling.name}` : 'template0';
    const kept = filling && (await fillOnce(admin, clusterUrl, template, filling));
    await admin.query(`CREATE DATABASE ${name} TEMPLATE ${template}`);
    return kept;
  });
  return {
    url: named(clusterUrl, name),
    state,
    remove: () =>
      withAdmin(clusterUrl, async (admin) => void (await admin.query(`DROP DATABASE ${name} WITH (FORCE)`))),
  };
}

let made = 0;

/** Fills a template under a name that nobody copies, and names it when it is whole; its state is kept as its comment. */
async function fillOnce<State>(
  admin: pg.Client,
  clusterUrl: string,
  template: string,
  { fill }: Filling<State>,
): Promise<State> {
  await admin.query('SELECT pg_advisory_lock(hashtext($1))', [template]);
  try {
    const told = async () =>
      (
        await admin.query<{ state: string }>(
          `SELECT shobj_description(oid, 'pg_database') AS state FROM pg_database WHERE datname = $1`,
          [template],
        )
      ).rows[0];
    const there = await told();
    if (there) return JSON.parse(there.state) as State;
    const unfinished = `${template}_unfinished`;
    await admin.query(`DROP DATABASE IF EXISTS ${unfinished} WITH (FORCE)`);
    await admin.query(`CREATE DATABASE ${unfinished} TEMPLATE template0`);
    const state = await fill(named(clusterUrl, unfinished));
    await admin.query(`COMMENT ON DATABASE ${unfinished} IS ${admin.escapeLiteral(JSON.stringify(state))}`);
    await admin.query(`ALTER DATABASE ${unfinished} RENAME TO ${template}`);
    return state;
  } finally {
    await admin.query('SELECT pg_advisory_unlock(hashtext($1))', [template]);
  }
}

async function withAdmin<Value>(clusterUrl: string, work: (admin: pg.Client) => Promise<Value>): Promise<Value> {
  const admin = new pg.Client({ connectionString: clusterUrl, connectionTimeoutMillis: 20_000 });
  await admin.connect();
  try {
    return await work(admin);
  } finally {
    await admin.end();
  }
}

function named(clusterUrl: string, database: string): string {
  const url = new URL(clusterUrl);
  url.pathname = `/${database}`;
  return url.href;
}

/** Waits until a folder can be made that nobody else holds; one whose holder is gone is taken over. */
async function lock(folder: string): Promise<() => void> {
  for (;;) {
    try {
      mkdirSync(folder);
      writeFileSync(join(folder, 'pid'), String(process.pid));
      return () => rmSync(folder, { recursive: true, force: true });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    if (isLeft(folder)) rmSync(folder, { recursive: true, force: true });
    await new Promise((next) => setTimeout(next, 50));
  }
}

function isLeft(folder: string): boolean {
  try {
    process.kill(Number(readFileSync(join(folder, 'pid'), 'utf8')), 0);
    return false;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'ESRCH';
  }
}
