import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addProgramme } from '../../src/cli/seed.ts';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { DEMO } from '../../src/server/demo.ts';
import { startDemoDatabase, startServer } from '../support/app.ts';
import { haveHomes } from '../support/manyHomes.ts';
import { signInByPost } from '../support/signIn.ts';

type Report = (name: string, text: string) => void;

const SIZES = [100, 1000, 10_000];

/** What each page takes with so many homes, beside copying the rows of the homes out; and how long another programme’s page waits. */
export async function pagesWithManyHomes(report: Report): Promise<void> {
  const records = await startDemoDatabase();
  const folder = mkdtempSync(join(tmpdir(), 'footstool-pages-'));
  const server = await startServer(records.url, folder);
  process.env.DATABASE_URL = records.url;
  try {
    const other = { name: 'Wren', email: 'wren@millrace.example', password: 'over-the-weir', role: 'owner' as const };
    await addProgramme({ slug: 'millrace', name: 'Millrace' }, [other]);
    const theirs = await signInByPost(server.address, other);
    const cookie = await signInByPost(server.address, DEMO.people[0]);
    const [sessions] = (await database().query('SELECT id FROM sessions ORDER BY held_on LIMIT 1')) as [
      { id: string }[],
      unknown,
    ];
    const id = sessions[0]!.id;
    const paths = ['/', '/homes', `/sessions/${id}`, `/sessions/${id}/send`, `/sent/${id}`, '/shelf/have'];
    const get = async (path: string, who = cookie) =>
      (await fetch(server.address + path, { headers: { cookie: who } })).text();
    const before: Record<string, number> = {};
    for (const [index, size] of SIZES.entries()) {
      await haveHomes(records.url, size);
      const copy = await quickest(() => Promise.resolve(copyOut(records.url)));
      report(`${size} homes: COPY of their rows`, `${Math.round(copy)} ms`);
      for (const path of paths) {
        const took = await quickest(() => get(path));
        const slope =
          index > 0
            ? `, ${(((took - before[path]!) / (size - SIZES[index - 1]!)) * 1000).toFixed(0)} µs a home more`
            : '';
        before[path] = took;
        const worst = await waitBeside(
          () => get(path),
          () => get('/sessions', theirs),
        );
        report(
          `${size} homes: ${path.replace(id, '…')}`,
          `${Math.round(took)} ms, ${(took / copy).toFixed(2)} of the copy${slope}; another programme’s page waited ${Math.round(worst)} ms at most`,
        );
      }
    }
  } finally {
    await closeDatabase();
    await server.stop();
    await records.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}

function copyOut(url: string): void {
  for (const table of ['homes', 'children', 'home_things'])
    execFileSync('psql', ['-q', '-d', url, '-c', `COPY ${table} TO STDOUT`], {
      stdio: ['ignore', 'pipe', 'inherit'],
      maxBuffer: 1e9,
    });
}

async function quickest(work: () => Promise<unknown>): Promise<number> {
  const times: number[] = [];
  for (let time = 0; time < 4; time++) {
    const began = performance.now();
    await work();
    times.push(performance.now() - began);
  }
  return Math.min(...times);
}

async function waitBeside(work: () => Promise<unknown>, ask: () => Promise<unknown>): Promise<number> {
  let isDone = false;
  let worst = 0;
  const done = work().then(() => (isDone = true));
  while (!isDone) {
    const began = performance.now();
    await ask();
    worst = Math.max(worst, performance.now() - began);
  }
  await done;
  return worst;
}
