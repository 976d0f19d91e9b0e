import assert from 'node:assert/strict';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { DEMO } from '../../src/server/demo.ts';
import { signInByPost } from '../support/signIn.ts';
import { startServer, startDemoDatabase, type TestDatabase, type TestServer } from '../support/app.ts';

let database: TestDatabase;
let server: TestServer;
let cookie = '';
let folder = '';

before(async () => {
  folder = mkdtempSync(join(tmpdir(), 'footstool-http-'));
  database = await startDemoDatabase();
  server = await startServer(database.url, folder, { FOOTSTOOL_UNDO_SECONDS: '600' });
  cookie = await signInByPost(server.address, DEMO.people[0]);
});
after(async () => {
  await server.stop();
  await database.remove();
  rmSync(folder, { recursive: true, force: true });
});

const ask = (path: string, init: RequestInit & { as?: string } = {}) => {
  const { as = cookie, headers, ...rest } = init;
  return fetch(`${server.address}${path}`, { redirect: 'manual', ...rest, headers: { cookie: as, ...headers } });
};
test('an entry whose key is of another script is retired, brought back and duplicated, and one is led to it', async () => {
  const form = (path: string, what: string) =>
    ask(path, { method: 'POST', headers: { origin: server.address }, body: new URLSearchParams({ do: what }) });
  for (const key of ['früchte', 'فصل', '積み木-2', 'ключ']) {
    const thing = { key, one: 'Thing', many: 'Things', traits: ['countable'], allergens: [], usualQty: 3, common: 0.5 };
    const sent = new FormData();
    const file = JSON.stringify({ format: 'footstool', version: 1, things: [thing] });
    sent.set('file', new File([file], 'things.json', { type: 'application/json' }));
    const taken = await ask('/shelf/import', { method: 'POST', headers: { origin: server.address }, body: sent });
    assert.ok(taken.status < 400, String(taken.status));
    const at = `/shelf/thing/${encodeURIComponent(key)}`;
    for (const what of ['retire', 'restore', 'duplicate']) {
      const answer = await form(`${at}/tools`, what);
      assert.equal(answer.status, 303, `${what} ${(await answer.text()).replace(/[\s\S]*<main/, '')}`);
      const place = answer.headers.get('location')!;
      assert.match(place, /^[!-~]+$/);
      const page = await fetch(server.address + place, { headers: { cookie } });
      assert.equal(page.status, 200, place);
    }
  }
});

test('a sending is taken back before its letters leave, and is then as if it had never been; later it stays', async () => {
  const id = /\/sessions\/([0-9a-f-]{36})">Who is on the wall/.exec(await (await ask('/sessions')).text())![1]!;
  const form = (path: string, fields: Iterable<[string, string]>) =>
    ask(path, { method: 'POST', headers: { origin: server.address }, body: new URLSearchParams([...fields]) });
  const send = async () => {
    const page = await (await ask(`/sessions/${id}/send`)).text();
    const field = (name: string): [string, string] => [
      name,
      new RegExp(`name="${name}" value="([^"]*)"`).exec(page)![1]!,
    ];
    const homes = [...page.matchAll(/name="homes" value="([^"]+)"/g)].map(([, home]): [string, string] => [
      'homes',
      home!,
    ]);
    const sent = await form(`/sessions/${id}/send`, [
      field('revision'),
      field('key'),
      field('seen'),
      ['anyway', 'yes'],
      ...homes,
    ]);
    assert.equal(sent.headers.get('location'), `/sent/${id}?sent=1`);
    return (await ask(`/sent/${id}`)).text();
  };
  assert.match(await send(), /Call them back/);
  const undone = await form(`/sent/${id}`, [['do', 'undo']]);
  assert.equal(undone.headers.get('location'), `/sessions/${id}/send?undone=1`);
  assert.match(await (await ask(undone.headers.get('location')!)).text(), /Called back\. Nothing left the house/);
  assert.doesNotMatch(await (await ask('/sent')).text(), /Who is on the wall/);
  // Sent again, and a home answers by its code before its letter leaves: then it stays.
  const link = /href="(\/sent\/[0-9a-f-]{36}\/[0-9a-f-]{36})"/.exec(await send())![1]!;
  const token = /\/g\/([A-Za-z0-9_-]{43})/.exec(await (await ask(link)).text())![1]!;
  const reply = { outcome: 'done', note: '', edition: '1', key: 'one-press', answered: '' };
  const answered = await fetch(`${server.address}/g/${token}/reply`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: server.address },
    body: new URLSearchParams(reply),
  });
  assert.equal(answered.status, 303);
  assert.equal((await form(`/sent/${id}`, [['do', 'undo']])).headers.get('location'), `/sent/${id}?done=left`);
  assert.match(await (await ask(`/sent/${id}?done=left`)).text(), /too late to call them all back/);
});
