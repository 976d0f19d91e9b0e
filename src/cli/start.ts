import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { DEMO } from '../server/demo.ts';
import { DATA, ownDatabase, ROOT } from './ownDatabase.ts';
import { freePort } from './postgres.ts';

const FIRST_PORT = 4321;

/** `footstool start`: database, schema, demo, build, server; Ctrl-C stops what it started. */
export async function runStart(): Promise<number> {
  mkdirSync(DATA, { recursive: true });
  const postgres = process.env.DATABASE_URL ? null : await ownDatabase(tell);
  if (postgres) tell(postgres.isOurs ? 'database started on loopback' : 'database was running already');
  const stopAll = () => postgres?.isOurs && postgres.stop();
  try {
    buildIfStale();
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
    seed({ ...environment, FOOTSTOOL_ADDRESS: environment.FOOTSTOOL_ADDRESS || `http://localhost:${port}` });
    return await serve(environment, port);
  } finally {
    stopAll();
  }
}

/** Builds when a source is newer than the last build. */
function buildIfStale(): void {
  const stamp = join(ROOT, 'dist', '.built');
  const sources = ['src', 'public', 'astro.config.mjs', 'package-lock.json'].map((name) => join(ROOT, name));
  const newest = Math.max(...sources.map(newestChange));
  if (existsSync(stamp) && statSync(stamp).mtimeMs > newest) return;
  tell('building');
  const built = spawnSync('npm', ['run', '--silent', 'build'], { cwd: ROOT, encoding: 'utf8' });
  if (built.status !== 0) throw new Error(`the build failed:\n${built.stdout}${built.stderr}`);
  writeFileSync(stamp, '');
}

function newestChange(path: string): number {
  if (!existsSync(path)) return 0;
  const entry = statSync(path);
  if (!entry.isDirectory()) return entry.mtimeMs;
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
function kept(name: string, bytes: number): string {
  const file = join(DATA, name);
  if (!existsSync(file)) writeFileSync(file, randomBytes(bytes).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

function isLoopback(host: string): boolean {
  return /^(127\.|::1$|localhost$)/.test(host);
}

function seed(environment: NodeJS.ProcessEnv): void {
  const words = environment.FOOTSTOOL_DEMO === '0' ? ['seed', '--bare'] : ['seed'];
  const seeded = spawnSync(join(ROOT, 'bin/footstool'), words, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: environment,
  });
  if (seeded.status !== 0) throw new Error('the schema or the demo could not be loaded');
}

async function serve(environment: NodeJS.ProcessEnv, port: number): Promise<number> {
  const server = spawn(join(ROOT, 'bin/footstool'), ['serve'], {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: environment,
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => server.kill('SIGTERM'));
  await answers(port, server);
  announce(environment, port);
  return new Promise((ended) => server.on('exit', (code) => ended(code ?? 0)));
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
      `on another device in this network: http://${phone.address}:${port} (set FOOTSTOOL_ADDRESS to the address homes use)`,
    );
  if (environment.FOOTSTOOL_DEMO !== '0') tell(`demo sign-in: ${owner.email}, ${environment.FOOTSTOOL_DEMO_PASSWORD}`);
  tell('Ctrl-C stops it');
}

function tell(text: string): void {
  process.stdout.write(`footstool: ${text}\n`);
}
