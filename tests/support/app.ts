import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { startPostgres, type LocalPostgres } from '../../src/cli/postgres.ts';
import { copyDatabase, sharedCluster, type Filling } from './cluster.ts';
import { testPort } from './ports.ts';
import { roundRobin } from './roundRobin.ts';

const ROOT = resolve(import.meta.dirname, '../..');

export const SECRET = 'a-secret-for-tests-only-0123456789abcdef';

export interface TestDatabase {
  readonly url: string;
  /** Removes it with its data. */
  remove(): Promise<void>;
}

/**
 * A throw-away database of its own. With `filled`, it holds what `fill` puts into an empty one and `state` tells of it;
 * that is done once in a run of the tests and copied.
 */
export async function startTestDatabase(): Promise<TestDatabase>;
export async function startTestDatabase<State>(filled: Filling<State>): Promise<TestDatabase & { state: State }>;
export async function startTestDatabase<State>(filled?: Filling<State>): Promise<TestDatabase & { state?: State }> {
  const folder = process.env.FOOTSTOOL_TEST_TEMPLATES;
  if (!folder) return startOwnServer(filled);
  const { url } = await sharedCluster(folder);
  const { state, ...database } = await copyDatabase(url, filled ?? null);
  return filled ? { ...database, state: state as State } : database;
}

/** A PostgreSQL that a test has for itself: to stop and start it, or to freeze it. */
export interface OwnServer extends TestDatabase {
  readonly port: number;
  stop(): void;
  start(): Promise<void>;
}

async function startOwnServer<State>(filled?: Filling<State>): Promise<OwnServer & { state?: State }> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-test-'));
  chmodSync(folder, 0o755);
  const port = await testPort();
  const start = () => startPostgres({ folder, isThrowAway: true, port });
  let running: LocalPostgres = await start();
  return {
    ...(filled && { state: await filled.fill(running.url) }),
    url: running.url,
    port,
    stop: () => running.stop(),
    start: async () => void (running = await start()),
    remove: () => {
      running.stop();
      rmSync(folder, { recursive: true, force: true });
      return Promise.resolve();
    },
  };
}

/** A throw-away database that holds the demo, as the first start leaves it; its letters have gone out before. */
export function startDemoDatabase(): Promise<TestDatabase> {
  return startTestDatabase(DEMO);
}

/** The same on a PostgreSQL of its own. */
export function startDemoServer(): Promise<OwnServer> {
  return startOwnServer(DEMO);
}

const DEMO: Filling<object> = {
  name: 'demo',
  fill: (url) => {
    const folder = mkdtempSync(join(tmpdir(), 'footstool-demo-'));
    seed(testEnvironment(url, folder, 4321));
    rmSync(folder, { recursive: true, force: true });
    return Promise.resolve({});
  },
};

function seed(environment: NodeJS.ProcessEnv): void {
  execFileSync(join(ROOT, 'bin/footstool'), ['seed'], { env: environment, stdio: ['ignore', 'ignore', 'inherit'] });
}

/** The environment of a server or command that works on a test database. */
export function testEnvironment(databaseUrl: string, folder: string, port: number): NodeJS.ProcessEnv {
  return {
    ...process.env,
    DATABASE_URL: databaseUrl,
    FOOTSTOOL_SECRET: SECRET,
    FOOTSTOOL_DATA: folder,
    // Machines that tests share pause for seconds.
    FOOTSTOOL_MS_TO_CONNECT: process.env.FOOTSTOOL_MS_TO_CONNECT ?? '20000',
    FOOTSTOOL_DEMO: '1',
    FOOTSTOOL_COUNT_QUERIES: '1',
    FOOTSTOOL_UNDO_SECONDS: '0',
    FOOTSTOOL_ADDRESS: `http://127.0.0.1:${port}`,
    FOOTSTOOL_NOW: '2027-03-08T09:00:00Z',
    FOOTSTOOL_TIME_ZONE: 'Europe/London',
    HOST: '127.0.0.1',
    PORT: String(port),
    NODE_ENV: 'production',
    LOG_LEVEL: 'warn',
  };
}

export interface TestServer {
  readonly address: string;
  stop(): Promise<void>;
}

/** Serves the built application on a free port, over a database that holds the demo; answers once it is up. */
export async function startServer(
  databaseUrl: string,
  folder: string,
  further: NodeJS.ProcessEnv = {},
): Promise<TestServer> {
  const port = await testPort();
  const server = spawn(join(ROOT, 'bin/footstool'), ['serve'], {
    env: { ...testEnvironment(databaseUrl, folder, port), ...further },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const address = `http://127.0.0.1:${port}`;
  await untilUp(address, server);
  return { address, stop: () => endProcess(server, 'SIGTERM') };
}

/** Two webs and a worker on one database, each a process of its own, behind a proxy that gives each request to the next. */
export async function startTwoWebs(databaseUrl: string, folder: string): Promise<TestServer> {
  const port = await testPort();
  const ports = [await testPort(), await testPort()];
  const around = { ...testEnvironment(databaseUrl, folder, port), FOOTSTOOL_PROXY: '127.0.0.1' };
  const run = (command: string, own: NodeJS.ProcessEnv = {}) =>
    spawn(join(ROOT, 'bin/footstool'), [command], {
      env: { ...around, ...own },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
  const webs = ports.map((own) => run('web', { PORT: String(own) }));
  const worker = run('worker');
  await Promise.all(webs.map((web, index) => untilUp(`http://127.0.0.1:${ports[index]}`, web)));
  const end = await roundRobin(port, ports);
  return {
    address: `http://127.0.0.1:${port}`,
    stop: async () => {
      await end();
      await Promise.all([...webs, worker].map((child) => endProcess(child, 'SIGTERM')));
    },
  };
}

/** Ends a process and waits until it has gone; one that has gone already is no wait. */
export function endProcess(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((gone) => {
    child.once('exit', () => gone());
    child.kill(signal);
  });
}

/** Waits until a server answers at its address; fails when its process ends before. */
export async function untilUp(address: string, server: ChildProcess): Promise<void> {
  while (server.exitCode === null && server.signalCode === null) {
    if (
      await fetch(`${address}/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return;
    await new Promise((next) => setTimeout(next, 50));
  }
  throw new Error('the server ended before it answered');
}
