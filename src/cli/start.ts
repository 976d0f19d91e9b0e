import { spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { DEMO } from '../server/demo.ts';
import { ROOT } from '../threads/root.ts';
import { DATA, ownDatabase } from './ownDatabase.ts';
import { freePort, keptSecret } from './postgres.ts';
import { serve } from './serve.ts';
import { untilEnd } from './untilEnd.ts';

const FIRST_PORT = 4321;

/** `footstool start`: database, schema, demo, build, server; Ctrl-C stops what it started. */
export async function runStart(): Promise<number> {
  mkdirSync(DATA, { recursive: true });
  // Whoever presses Ctrl-C meanwhile is heard between two steps, so that what was started is stopped again.
  const signals = ['SIGINT', 'SIGTERM'] as const;
  let isStopped = false;
  const stopAtNextStep = () => (isStopped = true);
  for (const signal of signals) process.on(signal, stopAtNextStep);
  const postgres = process.env.DATABASE_URL ? null : await ownDatabase(tell);
  if (postgres) tell(postgres.isOurs ? 'database started on loopback' : 'database was running already');
  const stopAll = () => postgres?.isOurs && postgres.stop();
  try {
    buildIfStale();
    await heard();
    if (isStopped) return STOPPED;
    const port = await findPort();
    const host = process.env.HOST ?? '0.0.0.0';
    const environment = {
      ...process.env,
      DATABASE_URL: process.env.DATABASE_URL ?? postgres!.url,
      FOOTSTOOL_SECRET: process.env.FOOTSTOOL_SECRET ?? kept('secret', 32),
      FOOTSTOOL_DATA: DATA,
      FOOTSTOOL_DEMO: process.env.FOOTSTOOL_DEMO ?? '1',
      FOOTSTOOL_ADDRESS: process.env.FOOTSTOOL_ADDRESS ?? '',
      HOST: host,
      FOOTSTOOL_DEMO_PASSWORD:
        isLoopback(host) && !existsSync(join(DATA, 'demo-password'))
          ? DEMO.people[0].password
          : kept('demo-password', 6),
      PORT: String(port),
      NODE_ENV: 'production',
    };
    const isSeeded = seed({
      ...environment,
      FOOTSTOOL_ADDRESS: environment.FOOTSTOOL_ADDRESS || `http://localhost:${port}`,
    });
    await heard();
    if (isStopped) return STOPPED;
    if (!isSeeded) throw new Error('the schema or the demo could not be loaded; the line above says why');
    for (const signal of signals) process.off(signal, stopAtNextStep);
    return await serveUntilEnd(environment, port);
  } finally {
    stopAll();
  }
}

/** What a shell expects of a command that Ctrl-C ended. */
const STOPPED = 130;

/** Lets a signal that came during a step be heard. */
const heard = () => new Promise((next) => setImmediate(next));

/** Builds when a source is newer than the last build. */
function buildIfStale(): void {
  const stamp = join(ROOT, 'dist', '.built');
  // As in bin/footstool, which runs what was built.
  const sources = ['src', 'public', 'astro.config.mjs', 'package-lock.json'].map((name) => join(ROOT, name));
  const newest = Math.max(...sources.map(newestChange));
  if (existsSync(stamp) && statSync(stamp).mtimeMs > newest) return;
  tell('building');
  const built = spawnSync('npm', ['run', '--silent', 'build'], { cwd: ROOT, encoding: 'utf8' });
  if (built.status !== 0) throw new Error(`the build failed:\n${built.stdout}${built.stderr}`);
}

function newestChange(path: string): number {
  if (!existsSync(path)) return 0;
  const entry = statSync(path);
  if (!entry.isDirectory()) return path.endsWith('.test.ts') ? 0 : entry.mtimeMs;
  return Math.max(entry.mtimeMs, ...readdirSync(path).map((name) => newestChange(join(path, name))));
}

async function findPort(): Promise<number> {
  const wanted = process.env.PORT ? Number(process.env.PORT) : FIRST_PORT;
  for (let port = wanted; port < wanted + 20; port++) {
    try {
      return await freePort(port);
    } catch {
      tell(`port ${port} is in use`);
    }
  }
  return freePort();
}

/** A secret of this installation, made up at the first start: so many random bytes. */
const kept = (name: string, bytes: number) => keptSecret(join(DATA, name), bytes);

function isLoopback(host: string): boolean {
  return /^(127\.|::1$|localhost$)/.test(host);
}

/** Brings schema and demo; whether it came to its end. */
function seed(environment: NodeJS.ProcessEnv): boolean {
  const words = environment.FOOTSTOOL_DEMO === '0' ? ['seed', '--bare'] : ['seed'];
  const seeded = spawnSync(join(ROOT, 'bin/footstool'), words, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: environment,
  });
  return seeded.status === 0;
}

async function serveUntilEnd(environment: NodeJS.ProcessEnv, port: number): Promise<number> {
  const served = serve(environment);
  void untilEnd().then(() => served.end());
  await answers(port, served.web);
  announce(environment, port);
  return served.ended;
}

async function answers(port: number, server: ChildProcess): Promise<void> {
  while (server.exitCode === null) {
    const isUp = await fetch(`http://127.0.0.1:${port}/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (isUp) return;
    await new Promise((next) => setTimeout(next, 100));
  }
  throw new Error('the server ended before it answered');
}

function announce(environment: NodeJS.ProcessEnv, port: number): void {
  const [owner] = DEMO.people;
  tell(`Footstool answers at http://localhost:${port}`);
  const phone = Object.values(networkInterfaces())
    .flat()
    .find((entry) => entry && entry.family === 'IPv4' && !entry.internal);
  if (phone)
    tell(
      `on another device in this network: http://${phone.address}:${port} (set FOOTSTOOL_ADDRESS to the address homes use; copying with one click needs HTTPS there, see docs/operations.md)`,
    );
  if (environment.FOOTSTOOL_DEMO !== '0') tell(`demo sign-in: ${owner.email}, ${environment.FOOTSTOOL_DEMO_PASSWORD}`);
  tell('Ctrl-C stops it');
}

function tell(text: string): void {
  process.stdout.write(`footstool: ${text}\n`);
}
