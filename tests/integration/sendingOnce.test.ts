import assert from 'node:assert/strict';
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { test } from 'node:test';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { DEMO } from '../../src/server/demo.ts';
import { signInByPost } from '../support/signIn.ts';
import { startDemoDatabase, testEnvironment, untilUp } from '../support/app.ts';
import { testPort } from '../support/ports.ts';

const ROOT = resolve(import.meta.dirname, '../..');

/** Ten times in `npm run soak`, twice with the other tests. */
const KILLS = process.env.FOOTSTOOL_SOAK ? 10 : 2;

/** Kills a process and what it started. */
async function killed(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise<void>((ended) => child.once('exit', () => ended()));
  process.kill(-child.pid!, 'SIGKILL');
  await gone;
}

test('a hundred presses at once, and kills in the middle: one letter a home, none stranded', async () => {
  const records = await startDemoDatabase();
  const folder = mkdtempSync(join(tmpdir(), 'footstool-outbox-'));
  const port = await testPort();
  const environment = { ...testEnvironment(records.url, folder, port), FOOTSTOOL_MAIL_SLOWNESS_MS: '150' };
  const address = `http://127.0.0.1:${port}`;
  const mail = join(folder, 'mail');
  const letters = () => (existsSync(mail) ? readdirSync(mail).filter((name) => name.endsWith('.json')) : []);
  const before = letters().length;
  let child: ChildProcess | undefined;
  const serve = async () => {
    child = spawn(join(ROOT, 'bin/footstool'), ['serve'], {
      env: environment,
      stdio: 'ignore',
      // A group of its own, so that a kill takes web and worker along.
      detached: true,
    });
    await untilUp(address, child);
  };
  try {
    await serve();
    const cookie = await signInByPost(address, DEMO.people[0]);
    const ask = (path: string, body?: URLSearchParams) =>
      fetch(address + path, {
        redirect: 'manual',
        headers: { cookie, origin: address },
        ...(body && { method: 'POST', body }),
      });
    const bench = await (await ask('/sessions')).text();
    const id = /\/sessions\/([0-9a-f-]{36})">Who is on the wall/.exec(bench)![1]!;
    const page = await (await ask(`/sessions/${id}/send`)).text();
    const field = (name: string) => new RegExp(`name="${name}" value="([^"]*)"`).exec(page)![1]!;
    const form = new URLSearchParams(['revision', 'key', 'seen', 'anyway'].map((name) => [name, field(name)]));
    const homes = [...page.matchAll(/name="homes" value="([^"]+)"/g)].map((match) => match[1]!);
    assert.equal(homes.length, 12);
    for (const home of homes) form.append('homes', home);
    const answers = await Promise.all(
      Array.from({ length: 100 }, () => ask(`/sessions/${id}/send`, new URLSearchParams(form))),
    );
    assert.deepEqual([...new Set(answers.map(({ status }) => status))], [303]);
    for (let times = 0; times < KILLS; times++) {
      await killed(child!);
      const out = letters().length;
      await serve();
      // Killed anew once it has gone on: while it posts the letter after the one that came out.
      while (letters().length === out && out < before + homes.length) await new Promise((next) => setTimeout(next, 5));
    }
    process.env.DATABASE_URL = records.url;
    const states = async () =>
      (
        await database().query(
          `SELECT messages.state, count(*)::int AS count FROM messages JOIN sendings ON sendings.id = messages.sending_id
          WHERE sendings.session_id = '${id}' GROUP BY messages.state`,
        )
      )[0] as { state: string; count: number }[];
    const began = Date.now();
    while ((await states()).some(({ state }) => state !== 'sent') && Date.now() - began < 60_000)
      await new Promise((next) => setTimeout(next, 200));
    assert.deepEqual(await states(), [{ state: 'sent', count: 12 }]);
    const sent = letters().map((name) => readFileSync(join(folder, 'mail', name), 'utf8'));
    const tos = sent
      .filter((text) => text.includes('Who is on the wall'))
      .map((text) => /"address":"([^"]+@homes[^"]+)"/.exec(text)![1]!);
    assert.deepEqual([tos.length, new Set(tos).size, letters().length - before], [12, 12, 12]);
  } finally {
    if (child) await killed(child);
    await closeDatabase();
    await records.remove();
    rmSync(folder, { recursive: true, force: true });
  }
});
