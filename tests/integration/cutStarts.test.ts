import assert from 'node:assert/strict';
import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { test, type TestContext } from 'node:test';
import { Sequelize, QueryTypes } from 'sequelize';
import { startPostgres } from '../../src/cli/postgres.ts';
import { seededChance } from '../../src/core/chance.ts';
import { endProcess, startDemoServer, startTestDatabase, testEnvironment } from '../support/app.ts';
import { testPort } from '../support/ports.ts';

const FOOTSTOOL = resolve(import.meta.dirname, '../../bin/footstool');
/** In the soak starts are cut at so many random moments beside those that are always tried. */
const RANDOM_CUTS = process.env.FOOTSTOOL_SOAK ? 20 : 0;
const LONGEST_START_MS = 9000;

interface Installation {
  readonly folder: string;
  readonly webPort: number;
  readonly start: () => ChildProcess;
}

async function newInstallation(context: TestContext): Promise<Installation> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-cut-'));
  chmodSync(folder, 0o755);
  const port = await testPort();
  const { DATABASE_URL: _, ...environment } = testEnvironment('', folder, port);
  const started: ChildProcess[] = [];
  context.after(async () => {
    await Promise.all(started.map(cut));
    (await startPostgres({ folder: join(folder, 'postgres') })).stop();
    rmSync(folder, { recursive: true, force: true });
  });
  return {
    folder,
    webPort: port,
    // A group of its own, so that a kill takes what it started along, as the end of a terminal does.
    start: () => {
      const child = spawn(FOOTSTOOL, ['start'], {
        env: environment,
        detached: true,
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      started.push(child);
      return child;
    },
  };
}

const gone = (child: ChildProcess) => new Promise<void>((done) => child.once('exit', () => done()));

async function cut(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = gone(child);
  process.kill(-child.pid!, 'SIGKILL');
  await ended;
}

async function until(isTrue: () => boolean | Promise<boolean>, child: ChildProcess): Promise<void> {
  while (!(await isTrue())) {
    assert.equal(child.exitCode, null, 'the start ended by itself');
    await new Promise((next) => setTimeout(next, 5));
  }
}

/** The port of the installation's database, while one is marked as running. */
function portOf(folder: string): number | null {
  const mark = join(folder, 'postgres/data/postmaster.pid');
  return existsSync(mark) ? Number(readFileSync(mark, 'utf8').split('\n')[3]) || null : null;
}

function isOpen(port: number): Promise<boolean> {
  return new Promise((told) => {
    const socket = connect(port, '127.0.0.1');
    socket.once('connect', () => told(true)).once('error', () => told(false));
    socket.once('connect', () => socket.destroy());
  });
}

/** Starts to the end and looks whether everything is there, once. */
async function worksNow({ folder, start }: Installation): Promise<void> {
  const child = start();
  let said = '';
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (text: Buffer) => (said += text.toString()));
  while (!said.includes('Ctrl-C stops it')) {
    assert.equal(child.exitCode, null, said);
    await new Promise((next) => setTimeout(next, 20));
  }
  const { url } = await startPostgres({ folder: join(folder, 'postgres') });
  const records = new Sequelize(url, { dialect: 'postgres', logging: false });
  const count = async (sql: string) => {
    const [row] = await records.query<{ count: string }>(sql, { type: QueryTypes.SELECT });
    return Number(row!.count);
  };
  assert.equal(await count('SELECT count(*) FROM homes'), 12);
  assert.equal(await count('SELECT count(*) FROM users'), 3);
  assert.equal(await count('SELECT count(*) FROM replies'), 7);
  assert.equal(await count("SELECT count(*) FROM messages WHERE state = 'sent'"), 12);
  await records.close();
  assert.doesNotMatch(said, /\n\s+at /, 'a stack is shown');
  await endProcess(child, 'SIGTERM');
}

/** Whether the demo is being loaded at this moment, as the database itself says. */
async function isLoadingDemo(folder: string): Promise<boolean> {
  if (!existsSync(join(folder, 'postgres/data/postmaster.pid'))) return false;
  const { url } = await startPostgres({ folder: join(folder, 'postgres') });
  const records = new Sequelize(url, { dialect: 'postgres', logging: false });
  try {
    const [row] = await records.query<{ homes: string }>(
      "SELECT (SELECT count(*) FROM homes) AS homes FROM installation WHERE name = 'demo' AND value = 'loading'",
      { type: QueryTypes.SELECT },
    );
    return Number(row?.homes ?? 0) > 0;
  } catch {
    return false;
  } finally {
    await records.close();
  }
}

test('a start that is killed while its database is made, and again while the demo is half loaded, is followed by one that works', async (context) => {
  const installation = await newInstallation(context);
  const { folder, start, webPort } = installation;
  const first = start();
  await until(() => existsSync(join(folder, 'postgres/data.new/PG_VERSION')), first);
  await cut(first);
  const second = start();
  await until(() => isLoadingDemo(folder), second);
  await cut(second);
  await worksNow(installation);

  const third = start();
  await until(() => portOf(folder) !== null, third);
  const port = portOf(folder)!;
  await until(() => isOpen(webPort), third);
  third.kill('SIGKILL');
  // What it started ends by itself: the pages, the work beside them, and the database.
  while ((await isOpen(webPort)) || (await isOpen(port))) await new Promise((next) => setTimeout(next, 50));
});

for (const [round, moment] of randomMoments().entries())
  test(`start ${round + 1} of ${RANDOM_CUTS}, cut after ${moment} ms, is followed by one that works`, async (context) => {
    const installation = await newInstallation(context);
    const child = installation.start();
    await Promise.race([gone(child), new Promise((next) => setTimeout(next, moment))]);
    await cut(child);
    await worksNow(installation);
  });

function randomMoments(): number[] {
  const chance = seededChance(20);
  return Array.from({ length: RANDOM_CUTS }, () => Math.round(chance() * LONGEST_START_MS));
}

test('two starts at once on one empty database both come to their end, and the demo is there once', async () => {
  const database = await startTestDatabase();
  const folder = mkdtempSync(join(tmpdir(), 'footstool-two-'));
  try {
    const port = await testPort();
    const seeds = [1, 2].map(() => {
      const child = spawn(FOOTSTOOL, ['seed'], { env: testEnvironment(database.url, folder, port), stdio: 'ignore' });
      return gone(child).then(() => child.exitCode);
    });
    assert.deepEqual(await Promise.all(seeds), [0, 0]);
    const records = new Sequelize(database.url, { dialect: 'postgres', logging: false });
    const [programmes] = await records.query<{ count: string }>('SELECT count(*) FROM programmes', {
      type: QueryTypes.SELECT,
    });
    assert.equal(programmes!.count, '1');
    await records.close();
  } finally {
    await database.remove();
    rmSync(folder, { recursive: true, force: true });
  }
});

test(
  'a worker whose database goes away still ends when it is asked to',
  { skip: RANDOM_CUTS === 0 && 'part of the soak' },
  async () => {
    const database = await startDemoServer();
    const folder = mkdtempSync(join(tmpdir(), 'footstool-worker-'));
    const environment = testEnvironment(database.url, folder, await testPort());
    const worker = spawn(FOOTSTOOL, ['worker'], { env: environment, stdio: 'ignore' });
    try {
      const records = new Sequelize(database.url, { dialect: 'postgres', logging: false });
      const hasBegun = async () =>
        (await records.query("SELECT 1 FROM installation WHERE name = 'swept'", { type: QueryTypes.SELECT })).length >
        0;
      await until(hasBegun, worker);
      await records.close();
      database.stop();
      const ended = gone(worker);
      worker.kill('SIGTERM');
      await ended;
      assert.equal(worker.exitCode, 0);
    } finally {
      await endProcess(worker, 'SIGKILL');
      await database.remove();
      rmSync(folder, { recursive: true, force: true });
    }
  },
);
