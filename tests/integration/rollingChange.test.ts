import assert from 'node:assert/strict';
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { test } from 'node:test';
import { QueryTypes, Sequelize } from 'sequelize';
import { DEMO } from '../../src/server/demo.ts';
import { endProcess, startDemoDatabase, testEnvironment, untilUp } from '../support/app.ts';
import { testPort } from '../support/ports.ts';
import { roundRobin } from '../support/roundRobin.ts';
import { signInByPost } from '../support/signIn.ts';

const FOOTSTOOL = resolve(import.meta.dirname, '../../bin/footstool');

/** Five starts of processes: `npm run soak` makes them. */
const skip = process.env.FOOTSTOOL_SOAK !== '1' && 'part of the soak';

test(
  'webs and worker are changed one by one during a send, on tables of the next version: every page answers, every letter goes once',
  { skip },
  async (context) => {
    const records = await startDemoDatabase();
    const folder = mkdtempSync(join(tmpdir(), 'footstool-rolling-'));
    const port = await testPort();
    const ports = [await testPort(), await testPort()];
    const address = `http://127.0.0.1:${port}`;
    const around = {
      ...testEnvironment(records.url, folder, port),
      FOOTSTOOL_PROXY: '127.0.0.1',
      FOOTSTOOL_MAIL_SLOWNESS_MS: '400',
      FOOTSTOOL_LETTERS_A_SECOND: '5',
    };
    const running = new Set<ChildProcess>();
    const run = (command: string, own: NodeJS.ProcessEnv = {}) => {
      const child = spawn(FOOTSTOOL, [command], { env: { ...around, ...own }, stdio: ['ignore', 'ignore', 'inherit'] });
      running.add(child);
      return child;
    };
    const startWeb = async (own: number) => {
      const web = run('web', { PORT: String(own) });
      await untilUp(`http://127.0.0.1:${own}`, web);
      return web;
    };
    const webs = [await startWeb(ports[0]!), await startWeb(ports[1]!)];
    const worker = run('worker');
    const endProxy = await roundRobin(port, ports);
    const sequelize = new Sequelize(records.url, { logging: false });
    context.after(async () => {
      await endProxy();
      await Promise.all([...running].map((child) => endProcess(child, 'SIGTERM')));
      await sequelize.close();
      await records.remove();
      rmSync(folder, { recursive: true, force: true });
    });

    const cookie = await signInByPost(address, DEMO.people[0]);
    const get = async (path: string) => (await fetch(address + path, { headers: { cookie } })).text();
    const id = /\/sessions\/([0-9a-f-]{36})">Who is on the wall/.exec(await get('/sessions'))![1]!;
    const page = await get(`/sessions/${id}/send`);
    const fields = [...page.matchAll(/<input type="hidden" name="(\w+)" value="([^"]*)"/g)].map(([, name, value]) => [
      name!,
      value!,
    ]);
    const homes = [...page.matchAll(/name="homes" value="([^"]+)"/g)].map(([, home]) => ['homes', home!]);
    const sent = await fetch(`${address}/sessions/${id}/send`, {
      method: 'POST',
      redirect: 'manual',
      headers: { cookie, origin: address },
      body: new URLSearchParams([...fields, ...homes]),
    });
    assert.equal(sent.headers.get('location'), `/sent/${id}?sent=1`);
    const states = async () =>
      (
        await sequelize.query<{ state: string }>(
          `SELECT state FROM messages JOIN sendings ON sendings.id = sending_id WHERE sendings.session_id = '${id}'`,
          { type: QueryTypes.SELECT },
        )
      ).map(({ state }) => state);
    const out = async () => (await states()).filter((state) => state === 'sent').length;
    while ((await out()) < 2) await new Promise((next) => setTimeout(next, 20));

    const answers = new Map<number, number>();
    let isOver = false;
    const visits = (async () => {
      while (!isOver) {
        const { status } = await fetch(`${address}/sent/${id}`, { headers: { cookie } });
        answers.set(status, (answers.get(status) ?? 0) + 1);
      }
    })();
    // The tables of the next version, which the version that runs still works with.
    await sequelize.query(
      "ALTER TABLE sessions ADD COLUMN later text NOT NULL DEFAULT ''; INSERT INTO migrations (name) VALUES ('9999-later')",
    );
    for (const [index, web] of webs.entries()) {
      await endProcess(web, 'SIGTERM');
      assert.equal(web.exitCode, 0, 'a web ends by itself once it has finished');
      await startWeb(ports[index]!);
    }
    await endProcess(worker, 'SIGTERM');
    assert.equal(worker.exitCode, 0);
    run('worker');
    while ((await out()) < homes.length) await new Promise((next) => setTimeout(next, 50));
    isOver = true;
    await visits;
    assert.deepEqual([...answers.keys()], [200]);
    assert.ok(answers.get(200)! > 10);
    assert.deepEqual([...new Set(await states())], ['sent']);
    const mail = join(folder, 'mail');
    const letters = (existsSync(mail) ? readdirSync(mail) : [])
      .filter((name) => name.endsWith('.json'))
      .map((name) => readFileSync(join(mail, name), 'utf8'))
      .filter((text) => text.includes('Who is on the wall'));
    assert.equal(letters.length, homes.length);
  },
);
