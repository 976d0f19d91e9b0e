import assert from 'node:assert/strict';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
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
  server = await startServer(database.url, folder);
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
const write = (path: string, body: unknown, headers: Record<string, string> = {}) =>
  ask(path, {
    method: 'PUT',
    body: typeof body === 'string' ? body : JSON.stringify(body),
    headers: { origin: server.address, 'content-type': 'application/json', ...headers },
  });

async function firstSession(): Promise<string> {
  const page = await (await ask('/sessions')).text();
  return /\/sessions\/([0-9a-f-]{36})/.exec(page)![1]!;
}

async function firstTerm(): Promise<string> {
  return /\/term\/([0-9a-f-]{36})/.exec(await (await ask('/term?all')).text())![1]!;
}

test('somebody who is not signed in is led to sign in and back, and an endpoint says so', async () => {
  const page = await ask('/sessions?x=1', { as: '' });
  assert.equal(page.status, 303);
  assert.equal(page.headers.get('location'), '/sign-in?next=%2Fsessions%3Fx%3D1');
  const endpoint = await ask(`/api/sessions/${await firstSession()}`, { as: '' });
  assert.equal(endpoint.status, 401);
  assert.equal(((await endpoint.json()) as { code: string }).code, 'not-signed-in');
  assert.equal((await ask('/sessions', { as: 'footstool_sign_in=made-up' })).status, 303);
});

test('the sign-in cookie is out of reach of scripts, and signing out ends it', async () => {
  const answer = await fetch(`${server.address}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ ...DEMO.people[1], next: '' }),
    headers: { origin: server.address },
  });
  const set = answer.headers.get('set-cookie')!;
  assert.match(set, /HttpOnly/);
  assert.match(set, /SameSite=Lax/);
  const mine = set.split(';')[0]!;
  assert.equal((await ask('/sessions', { as: mine })).status, 200);
  await ask('/sign-out', { as: mine, method: 'POST', headers: { origin: server.address } });
  assert.equal((await ask('/sessions', { as: mine })).status, 303);
});

test('after signing in one is not led to another site', async () => {
  for (const next of [
    'https://elsewhere.example/',
    '//elsewhere.example',
    '/\\elsewhere.example',
    'javascript:alert(1)',
  ]) {
    const answer = await fetch(`${server.address}/sign-in?next=${encodeURIComponent(next)}`, {
      method: 'POST',
      redirect: 'manual',
      body: new URLSearchParams({ email: DEMO.people[0].email, password: DEMO.people[0].password }),
      headers: { origin: server.address },
    });
    assert.equal(answer.headers.get('location'), '/', next);
  }
});

test('a write from another site is refused, by form and by JSON', async () => {
  const path = `/api/sessions/${await firstSession()}`;
  for (const origin of ['https://elsewhere.example', 'null', 'http://127.0.0.1:1']) {
    assert.equal((await write(path, {}, { origin })).status, 403, origin);
    const form = await ask('/sign-out', { method: 'POST', headers: { origin } });
    assert.equal(form.status, 403, origin);
  }
  const withoutOrigin = await ask(path, { method: 'PUT', body: '{}', headers: { 'content-type': 'application/json' } });
  assert.equal(withoutOrigin.status, 403);
});

test('what cannot be read, does not fit or is too large has its status and a sentence, and no stack', async () => {
  const path = `/api/sessions/${await firstSession()}`;
  const kept = (await (await ask(path)).json()) as { revision: number; session: Record<string, unknown> };
  const answers = [
    { answer: await write(path, 'not json'), status: 400, says: /could not be read/ },
    {
      answer: await write(path, { revision: kept.revision, session: { ...kept.session, title: '' } }),
      status: 422,
      says: /session\.title must not be empty/,
    },
    {
      answer: await write(path, { revision: kept.revision, session: { ...kept.session, on: '2027-02-30' } }),
      status: 422,
      says: /session\.on .*not a day that exists/,
    },
    {
      answer: await write(path, { revision: kept.revision, session: { ...kept.session, title: 'x'.repeat(10_000) } }),
      status: 422,
      says: /at most 300 characters/,
    },
    {
      answer: await write(path, { revision: 'one', session: kept.session }),
      status: 422,
      says: /revision must be a whole number/,
    },
    {
      answer: await write(path, { revision: 99_999, session: kept.session }),
      status: 409,
      says: /kept a newer version/,
    },
    { answer: await write(path, `"${'x'.repeat(2_200_000)}"`), status: 413, says: /too large/ },
    {
      answer: await write('/api/sessions/00000000-0000-0000-0000-000000000000', { revision: 1, session: kept.session }),
      status: 404,
      says: /nothing here/,
    },
    {
      answer: await write('/api/sessions/not-an-id', { revision: 1, session: kept.session }),
      status: 404,
      says: /nothing here/,
    },
  ];
  for (const { answer, status, says } of answers) {
    const text = await answer.text();
    assert.equal(answer.status, status, text);
    assert.match((JSON.parse(text) as { message: string }).message, says);
    assert.doesNotMatch(text, /\bat .*\.(ts|mjs):\d+|node_modules/);
  }
  assert.deepEqual(
    ((await (await ask(path)).json()) as typeof kept).session,
    kept.session,
    'nothing was changed by any of them',
  );
});

test('a form that somebody may not send is answered with its status and a kind page, though its body was read', async () => {
  const reader = await signInByPost(
    server.address,
    DEMO.people.find(({ role }) => role === 'reader')!,
  );
  const id = await firstSession();
  const forms: Record<string, Record<string, string>> = {
    '/programme/cautions': { do: 'hide', rule: 'movement', by: 'me', why: 'no' },
    '/shelf/activity/carts-and-lids': { session: id },
    [`/sent/${id}`]: { do: 'revoke', link: id },
    '/shelf/thing/sock': { item: 'bowl', verdict: 'never', why: 'no' },
  };
  for (const [path, fields] of Object.entries(forms)) {
    const answer = await ask(path, {
      as: reader,
      method: 'POST',
      body: new URLSearchParams(fields),
      headers: { origin: server.address },
    });
    assert.equal(answer.status, 403, path);
    assert.doesNotMatch(await answer.text(), /at .*\.(ts|mjs)/);
  }
});

test('whether it can serve is told to everybody, and how everything is to this machine alone', async () => {
  const here = await fetch(`${server.address}/ready`);
  const facts = (await here.json()) as Record<string, unknown>;
  assert.deepEqual(
    [here.status, facts.ready, facts.database, facts.schema, facts.lettersDue],
    [200, true, 'there', 'fits', 0],
  );
  assert.ok((facts.freeMegabytes as number) > 0 && 'workerSeconds' in facts && 'backupHours' in facts);
  const elsewhere = await fetch(`${server.address}/ready`, { headers: { 'x-forwarded-for': '203.0.113.9' } });
  assert.deepEqual(await elsewhere.json(), { ready: true });
});

test('a picture is asked for anew after an hour, and comes again only when it has changed', async () => {
  const first = await fetch(`${server.address}/pictures/ant.svg`);
  assert.deepEqual([first.status, first.headers.get('cache-control')], [200, 'public, max-age=3600']);
  const headers = { 'if-none-match': first.headers.get('etag')! };
  assert.equal((await fetch(`${server.address}/pictures/ant.svg`, { headers })).status, 304);
});

test('pages, commands and threads are one build: there is one class of errors that cross the edge', () => {
  const built = join(import.meta.dirname, '../../dist/server');
  const files = readdirSync(built, { recursive: true, encoding: 'utf8' }).filter((name) => name.endsWith('.mjs'));
  const holding = files.filter((name) => /class EdgeError/.test(readFileSync(join(built, name), 'utf8')));
  assert.equal(holding.length, 1, holding.join());
});

test('unknown pages, and pages of what is not there, are kind and have the right status', async () => {
  for (const path of [
    '/nowhere',
    '/sessions/00000000-0000-0000-0000-000000000000',
    '/sent/00000000-0000-0000-0000-000000000000',
    '/shelf/activity/unheard-of',
    '/shelf/weapon/x',
  ]) {
    const answer = await ask(path);
    assert.equal(answer.status, 404, path);
    assert.match(await answer.text(), /There is nothing here/, path);
  }
});

test('every answer carries the headers that keep it to itself', async () => {
  for (const path of ['/', '/sign-in', '/sessions', `/g/${'A'.repeat(43)}`]) {
    const { headers } = await ask(path);
    assert.equal(headers.get('x-content-type-options'), 'nosniff', path);
    assert.equal(headers.get('referrer-policy'), 'same-origin', path);
    const policy = headers.get('content-security-policy')!;
    for (const part of [
      "default-src 'self'",
      "object-src 'none'",
      "base-uri 'none'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ])
      assert.ok(policy.includes(part), `${path}: ${part}`);
    const scripts = /script-src ([^;]*)/.exec(policy)![1]!;
    assert.doesNotMatch(scripts, /unsafe|https?:|\*/);
  }
});

test('the number of queries of each page over HTTP is fixed', async () => {
  const id = await firstSession();
  const expected = {
    '/': 9,
    '/shelf': 2,
    '/shelf?kind=thing': 2,
    '/sessions': 4,
    [`/sessions/${id}`]: 11,
    [`/sessions/${id}/send`]: 9,
    '/homes': 6,
    '/term': 2,
    [`/term/${await firstTerm()}/sounds`]: 3,
    '/shelf/have': 5,
    '/shelf/thing/sock': 4,
    '/shelf/book/the-goat-who-counted-planks': 8,
    '/sent': 2,
    '/search?q=wheel': 3,
    '/api/search': 3,
    '/shelf/import': 1,
    '/programme/sounds': 2,
    '/makers/sound-page': 4,
    '/health': 0,
  };
  for (const [path, queries] of Object.entries(expected)) {
    assert.equal(Number((await ask(path)).headers.get('x-queries')), queries, path);
  }
});

test('the shelf is saved as a file that names its format', async () => {
  const answer = await ask('/shelf/export');
  assert.match(answer.headers.get('content-disposition')!, /footstool-shelf\.json/);
  const file = (await answer.json()) as { format: string; version: number; activities: unknown[]; homes: unknown[] };
  assert.deepEqual([file.format, file.version, file.homes.length], ['footstool', 1, 0]);
  assert.ok(file.activities.length > 80);
});

test('tries to sign in are counted by the connection, whatever address a header claims', async () => {
  const attempt = (from: string) =>
    fetch(`${server.address}/sign-in`, {
      method: 'POST',
      redirect: 'manual',
      headers: { origin: server.address, 'x-forwarded-for': from, forwarded: `for=${from}` },
      body: new URLSearchParams({ email: 'tamsin@quillbrook.example', password: 'wrong' }),
    });
  const statuses: number[] = [];
  for (let index = 0; index < 6; index++) statuses.push((await attempt(`203.0.113.${index}`)).status);
  assert.deepEqual(statuses, [401, 401, 401, 401, 401, 429]);
});
