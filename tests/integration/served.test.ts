import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { DEMO } from '../../src/server/demo.ts';
import { guideToken } from '../../src/server/http/secrets.ts';
import { signInByPost } from '../support/signIn.ts';
import { SECRET, startServer, startDemoServer, type OwnServer, type TestServer } from '../support/app.ts';

let records: OwnServer;
let servers: TestServer[];
let folder: string;
let links: { id: string; language: string }[];

before(async () => {
  records = await startDemoServer();
  folder = mkdtempSync(join(tmpdir(), 'footstool-served-'));
  // A database that is frozen here is given up as soon as one is in use.
  const patience = { FOOTSTOOL_MS_TO_CONNECT: '3000' };
  Object.assign(process.env, { DATABASE_URL: records.url, FOOTSTOOL_SECRET: SECRET, ...patience });
  servers = [await startServer(records.url, folder), await startServer(records.url, folder)];
  [links] = (await database().query(
    'SELECT guide_links.id, homes.language FROM guide_links JOIN homes ON homes.id = guide_links.home_id ORDER BY homes.nickname',
  )) as unknown as [typeof links];
});
after(async () => {
  await closeDatabase();
  await Promise.all(servers.map((server) => server.stop()));
  await records.remove();
  rmSync(folder, { recursive: true, force: true });
});

const visit = (server: number, token: string, headers: Record<string, string> = {}) =>
  fetch(`${servers[server]!.address}/g/${token}`, { headers });
/** Nothing here is about how long it takes: a busy machine may take so long to get round to it. */
const LONG_MS = 30_000;
/** Whether an answer comes to be so. */
async function within(ms: number, isSo: () => Promise<boolean>): Promise<boolean> {
  const began = Date.now();
  while (Date.now() - began < ms) {
    if (await isSo()) return true;
    await new Promise((next) => setTimeout(next, 20));
  }
  return false;
}

/** The text of a page without what is marked as English: the author's own words and makers' lines. */
const unmarkedText = (html: string) =>
  html
    .replace(/<head>[\s\S]*?<\/head>/g, ' ')
    .replace(/<bdi lang="en"[^>]*>[^<]*<\/bdi>/g, ' ')
    .replace(/<[^>]*>/g, ' ')
    .replace(/&[a-z#0-9]+;/g, ' ');
const ENGLISH =
  /\b(the|and|you|your|with|for|from|what|this|that|put|take|after|page|read|sing|how|many|which|minutes|home|book|song)\b/i;

test('guides in Spanish and Arabic hold no English but what is marked as such', async () => {
  const inLanguage = (wanted: string) => links.filter(({ language }) => language === wanted);
  const [spanish, arabic] = [inLanguage('es'), inLanguage('ar')];
  assert.ok(spanish.length > 0 && arabic.length > 0);
  for (const { id, language } of [spanish, arabic].flatMap((all) =>
    process.env.FOOTSTOOL_SOAK ? all : all.slice(0, 3),
  )) {
    const html = await (await visit(0, guideToken(id))).text();
    assert.match(html, /<bdi lang="en">/, 'what an author wrote is marked');
    const text = unmarkedText(html);
    const stray = language === 'ar' ? /[A-Za-z]{2,}/.exec(text) : ENGLISH.exec(text);
    assert.equal(
      stray,
      null,
      `${language}: ${text.slice(Math.max(0, (stray?.index ?? 0) - 60), (stray?.index ?? 0) + 60)}`,
    );
  }
});

test('a guide is rendered once and then served from memory, unchanged for who has it already', async () => {
  const token = guideToken(links[0]!.id);
  const first = await visit(0, token);
  const text = await first.text();
  const etag = first.headers.get('etag')!;
  assert.equal(first.headers.get('x-queries'), '1');
  const second = await visit(0, token);
  assert.equal(await second.text(), text);
  assert.equal(second.headers.get('content-security-policy'), first.headers.get('content-security-policy'));
  assert.equal((await visit(0, token, { 'if-none-match': etag })).status, 304);
  assert.match(text, /<h1[\s>]/);
  const levels = [...text.matchAll(/<h([1-6])[\s>]/g)].map((match) => Number(match[1]));
  levels.forEach((level, index) =>
    assert.ok(index === 0 || level <= levels[index - 1]! + 1, `a heading skips: ${levels.join()}`),
  );
});

test('a reply renews what is stored, in every process within a second', async () => {
  const token = guideToken(links[1]!.id);
  await Promise.all([visit(0, token), visit(1, token)]);
  const answer = await fetch(`${servers[0]!.address}/g/${token}/reply`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: servers[0]!.address },
    body: new URLSearchParams({ outcome: 'done', note: 'We sang it to the cat.' }),
  });
  assert.equal(answer.status, 303);
  assert.match(await (await visit(0, token)).text(), /We sang it to the cat/);
  assert.ok(
    await within(LONG_MS, async () => (await (await visit(1, token)).text()).includes('We sang it to the cat')),
  );
});

test('a guide asks for words as soon as a child is old enough or has begun, in every process, and no longer when not', async () => {
  await database().query(`UPDATE programmes SET settings = jsonb_set(settings, '{words,keptBy}', '"homes"')`);
  const [[link]] = (await database().query(
    `SELECT guide_links.id, guide_links.home_id AS home FROM guide_links
      WHERE EXISTS (SELECT 1 FROM children WHERE children.home_id = guide_links.home_id) AND NOT EXISTS (
       SELECT 1 FROM children WHERE children.home_id = guide_links.home_id AND birth_month <= '2023-03') LIMIT 1`,
  )) as unknown as [{ id: string; home: string }[]];
  const token = guideToken(link!.id);
  const asks = async (server: number) => (await (await visit(server, token)).text()).includes(`/g/${token}/words`);
  assert.deepEqual([await asks(0), await asks(1)], [false, false]);
  await database().query(
    `INSERT INTO word_readings (home_id, child, read_on, word, is_right)
     SELECT home_id, nickname, '2027-03-08', 'see', true FROM children WHERE home_id = '${link!.home}' LIMIT 1`,
  );
  for (const server of [0, 1]) assert.ok(await within(LONG_MS, () => asks(server)));
  await database().query(`DELETE FROM word_readings WHERE home_id = '${link!.home}'`);
  for (const server of [0, 1]) assert.ok(await within(LONG_MS, async () => !(await asks(server))));
  await database().query(`UPDATE children SET birth_month = '2021-01' WHERE home_id = '${link!.home}'`);
  for (const server of [0, 1]) assert.ok(await within(LONG_MS, () => asks(server)));
});

test('a revoked guide is gone in every process within a second', async () => {
  const token = guideToken(links[2]!.id);
  for (const server of [0, 1, 0, 1]) assert.equal((await visit(server, token)).status, 200);
  await database().query(`UPDATE guide_links SET revoked_at = now() WHERE id = '${links[2]!.id}'`);
  for (const server of [0, 1])
    assert.ok(await within(LONG_MS, async () => (await visit(server, token)).status === 404));
});

test('a recorded sound is heard in guides in every process within a second, and no longer once screens are none', async () => {
  const { id } = links[3]!;
  const token = guideToken(id);
  await database().query(
    `UPDATE guide_copies SET guide = jsonb_set(guide, '{segments,0,sounds}', '[{"sound":"m","letters":"m"}]') WHERE link_id = '${id}'`,
  );
  const isHeard = async (server: number) => (await (await visit(server, token)).text()).includes(`/g/${token}/sound/m`);
  assert.deepEqual([await isHeard(0), await isHeard(1)], [false, false]);
  await database().query(
    `INSERT INTO sound_recordings SELECT programme_id, 'm', decode(repeat('00', 50), 'hex'), repeat('a', 64), 300, now(), NULL
       FROM guide_links WHERE id = '${id}'`,
  );
  for (const server of [0, 1]) assert.ok(await within(LONG_MS, () => isHeard(server)));
  const played = await fetch(`${servers[0]!.address}/g/${token}/sound/m`);
  assert.deepEqual([played.status, played.headers.get('content-type')], [200, 'audio/wav']);
  await database().query(`UPDATE programmes SET settings = settings || '{"screens":"none"}'`);
  for (const server of [0, 1]) assert.ok(await within(LONG_MS, async () => !(await isHeard(server))));
});

test('a frozen database is given up after seconds, with a page that says so, to homes in the language of their guide', async () => {
  const spanish = guideToken(links.find(({ language }) => language === 'es')!.id);
  await visit(0, spanish);
  const cookie = await signInByPost(servers[0]!.address, DEMO.people[0]);
  const processes = postgresProcesses(records.port);
  assert.ok(processes.length > 3);
  for (const id of processes) process.kill(id, 'SIGSTOP');
  try {
    // The store stops serving what it can no longer vouch for.
    assert.ok(
      await within(LONG_MS, async () => {
        const began = Date.now();
        await visit(0, spanish);
        return Date.now() - began > 1000;
      }),
    );
    const began = Date.now();
    const [page, guide, sent] = await Promise.all([
      fetch(`${servers[0]!.address}/sessions`, { headers: { cookie } }),
      visit(0, spanish),
      fetch(`${servers[0]!.address}/g/${'b'.repeat(43)}/without`, {
        method: 'POST',
        headers: { origin: servers[0]!.address, 'accept-language': 'ar' },
        body: new URLSearchParams({ is: 'away' }),
      }),
    ]);
    assert.ok(Date.now() - began < 2 * LONG_MS, `given up after ${Date.now() - began} ms`);
    assert.deepEqual([page.status, guide.status, sent.status], [503, 503, 503]);
    assert.match(await page.text(), /cannot reach its records/);
    assert.match(await guide.text(), /lang="es"[\s\S]*No se ha perdido nada/);
    assert.match(await sent.text(), /dir="rtl"[\s\S]*لم يُحفظ/);
    assert.equal((await fetch(`${servers[0]!.address}/health`)).status, 200);
  } finally {
    for (const id of processes) process.kill(id, 'SIGCONT');
  }
  assert.ok(await within(15_000, async () => (await visit(0, spanish)).status === 200));
});

/** The database's processes: the one that listens at a port, and what it started. */
function postgresProcesses(port: number): number[] {
  const all = execFileSync('ps', ['-eo', 'pid,ppid,args'], { encoding: 'utf8' })
    .split('\n')
    .map((line) => /^\s*(\d+)\s+(\d+)\s+(.*)$/.exec(line))
    .filter((match) => match !== null);
  const main = Number(all.find((match) => match[3]!.includes(`port=${port}`) && match[3]!.includes('postgres'))![1]);
  return [main, ...all.filter((match) => Number(match[2]) === main).map((match) => Number(match[1]))];
}

test('a session’s page and its scripts weigh what they may, as they come over the wire', async () => {
  const cookie = await signInByPost(servers[1]!.address, DEMO.people[0]);
  const head = await fetch(`${servers[1]!.address}/sessions`, { headers: { cookie, 'accept-encoding': 'gzip' } });
  assert.equal(head.headers.get('content-encoding'), 'gzip');
  const file = /\/_astro\/[^"]+\.js/.exec(
    await (await fetch(`${servers[1]!.address}/shelf/new/book`, { headers: { cookie } })).text(),
  )![0];
  const script = await fetch(servers[1]!.address + file, { headers: { 'accept-encoding': 'br' } });
  assert.deepEqual(
    [script.headers.get('content-encoding'), script.headers.get('cache-control')],
    ['br', 'public, max-age=31536000, immutable'],
  );
});
