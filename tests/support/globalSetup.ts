import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { FullConfig } from '@playwright/test';
import { DEMO } from '../../src/server/demo.ts';
import { SIGN_IN_COOKIE } from '../../src/server/http/signInCookie.ts';
import { signInByPost } from './signIn.ts';
import { startDemoDatabase, startServer, startTwoWebs } from './app.ts';

const ROOT = resolve(import.meta.dirname, '../..');

/** What a worker needs of its server: where it is, and a sign-in of the demo's owner. */
export interface WorkerServer {
  readonly address: string;
  readonly signInCookie: string;
}

/** In the soak every test goes by way of two webs; otherwise those of the whole path do. */
const inSoak = process.env.FOOTSTOOL_SOAK === '1';

/** One database with the demo, and what serves it, for each worker of the tests; all are gone afterwards. */
export default async function globalSetup({ workers }: FullConfig): Promise<() => Promise<void>> {
  if (!existsSync(join(ROOT, 'dist/server/entry.mjs'))) throw new Error('build first: npm run build');
  const started = await Promise.all(Array.from({ length: workers }, startOne));
  process.env.TEST_SERVERS = JSON.stringify(
    started.map(({ address, signInCookie }): WorkerServer => ({ address, signInCookie })),
  );
  return async () => void (await Promise.all(started.map(({ end }) => end())));
}

async function startOne() {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-data-'));
  const database = await startDemoDatabase();
  const server = await (inSoak ? startTwoWebs : startServer)(database.url, folder);
  const end = async () => {
    await server.stop();
    await database.remove();
    rmSync(folder, { recursive: true, force: true });
  };
  return { address: server.address, signInCookie: await signInOwner(server.address), end };
}

/** The value of the cookie that the sign-in form gives the demo's owner. */
export async function signInOwner(address: string): Promise<string> {
  return (await signInByPost(address, DEMO.people[0])).slice(SIGN_IN_COOKIE.length + 1);
}
