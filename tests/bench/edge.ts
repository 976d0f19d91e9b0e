import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import autocannon from 'autocannon';
import { addProgramme } from '../../src/cli/seed.ts';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { DEMO } from '../../src/server/demo.ts';
import { guideToken, hashToken } from '../../src/server/http/secrets.ts';
import { SECRET, startServer, startTestDatabase } from '../support/app.ts';

type Report = (name: string, text: string) => void;

const GUIDES = 2000;
const SECONDS = 5;
/** Two thousand homes that all answer within a quarter of an hour or so. */
const REPLIES_A_SECOND = 2;
/** A programme has so many homes at most. */
const HOMES = 288;

/** What the server gives out, how heavy it is, and how long others wait while somebody has much to do. */
export async function edgeOfServer(report: Report): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-bench-'));
  const records = await startTestDatabase();
  Object.assign(process.env, { DATABASE_URL: records.url, FOOTSTOOL_SECRET: SECRET });
  const server = await startServer(records.url, folder);
  try {
    await weights(report, server.address);
    await servedGuides(report, server.address, folder);
    await database().query(
      `UPDATE homes SET taken_out_at = now() WHERE nickname LIKE 'Bench home %'
          AND id NOT IN (SELECT id FROM homes WHERE nickname LIKE 'Bench home %' LIMIT ${HOMES})`,
    );
    await waiting(report, server.address);
  } finally {
    await closeDatabase();
    await server.stop();
    records.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function servedGuides(report: Report, address: string, folder: string): Promise<void> {
  const tokens = await manyGuides();
  const texts: Record<string, string> = {};
  for (let at = 0; at < tokens.length; at += 20)
    await Promise.all(
      tokens.slice(at, at + 20).map(async (token) => {
        const answer = await fetch(`${address}/g/${token}`);
        if (!answer.ok) throw new Error(`a guide answered ${answer.status}`);
        texts[`/g/${token}`] = await answer.text();
      }),
    );
  const file = join(folder, 'pages.json');
  writeFileSync(file, JSON.stringify(texts));
  const bare = spawn(process.execPath, [join(import.meta.dirname, 'bareServer.mjs'), file], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const port = await new Promise<string>((up) =>
    bare.stdout.once('data', (data: Buffer) => up(data.toString().trim())),
  );
  const baseline = `http://127.0.0.1:${port}`;
  const perSecond = async (url: string, paths: readonly string[]) => {
    const answer = await autocannon({
      url,
      connections: 10,
      duration: SECONDS,
      requests: paths.map((path) => ({ path })),
    });
    if (answer.non2xx > 0) throw new Error(`${answer.non2xx} answers were none`);
    return answer.requests.average;
  };
  const one = [`/g/${tokens[0]!}`];
  await perSecond(address, one);
  const [ours, bareOne] = [await perSecond(address, one), await perSecond(baseline, one)];
  report(
    'guides served',
    `${Math.round(ours)}/s; bare node:http with the same ${texts[one[0]!]!.length} bytes ${Math.round(bareOne)}/s; ratio ${(ours / bareOne).toFixed(2)}`,
  );
  const paths = Object.keys(texts);
  const replies = keepReplying(address, tokens);
  const mixed = await perSecond(address, paths);
  const replied = await replies.end();
  const bareMixed = await perSecond(baseline, paths);
  report(
    `${GUIDES} guides, replies coming in`,
    `${Math.round(mixed)}/s with ${replied} replies meanwhile; bare ${Math.round(bareMixed)}/s; ratio ${(mixed / bareMixed).toFixed(2)}`,
  );
  bare.kill();
}

/** So many homes with a guide each, made from those of the demo. */
async function manyGuides(): Promise<string[]> {
  await database().query(
    `INSERT INTO homes (id, programme_id, nickname, language)
       SELECT gen_random_uuid(), programme_id, 'Bench home ' || number, 'en'
         FROM (SELECT programme_id FROM guide_links LIMIT 1) one, generate_series(1, ${GUIDES}) number`,
  );
  const [made] = (await database().query(
    `SELECT id, home_id AS "homeId" FROM (SELECT gen_random_uuid() AS id, id AS home_id FROM homes WHERE nickname LIKE 'Bench home %') rows`,
  )) as unknown as [{ id: string; homeId: string }[]];
  const values = made
    .map(({ id, homeId }) => `('${id}'::uuid, '${homeId}'::uuid, '${hashToken(guideToken(id))}')`)
    .join();
  await database().query(
    `INSERT INTO guide_links (id, programme_id, session_id, home_id, token_hash, created_at)
       SELECT made.id, one.programme_id, one.session_id, made.home_id, made.hash, now()
         FROM (SELECT programme_id, session_id FROM guide_links LIMIT 1) one, (VALUES ${values}) made (id, home_id, hash)`,
  );
  await database().query(
    `INSERT INTO guide_copies (link_id, sending_id, edition, guide, language, sent_at)
       SELECT guide_links.id, one.sending_id, 1, jsonb_set(one.guide, '{home}', to_jsonb(homes.nickname)), 'en', now()
         FROM guide_links JOIN homes ON homes.id = guide_links.home_id,
              (SELECT sending_id, guide FROM guide_copies WHERE language = 'en' LIMIT 1) one
        WHERE homes.nickname LIKE 'Bench home %'`,
  );
  return made.map(({ id }) => guideToken(id));
}

function keepReplying(address: string, tokens: readonly string[]) {
  let count = 0;
  const timer = setInterval(() => {
    count += 1;
    void fetch(`${address}/g/${tokens[count % tokens.length]!}/reply`, {
      method: 'POST',
      redirect: 'manual',
      headers: { origin: address },
      body: new URLSearchParams({ outcome: 'done', note: `Reply ${count}` }),
    });
  }, 1000 / REPLIES_A_SECOND);
  return {
    end: () => {
      clearInterval(timer);
      return Promise.resolve(count);
    },
  };
}

async function signIn(address: string, { email, password }: { email: string; password: string }): Promise<string> {
  const answer = await fetch(`${address}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: address },
    body: new URLSearchParams({ email, password }),
  });
  return answer.headers.get('set-cookie')!.split(';')[0]!;
}

/** What a browser takes in over the wire until a session can be written in. */
async function weights(report: Report, address: string): Promise<void> {
  const cookie = await signIn(address, DEMO.people[0]);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const context = await browser.newContext();
  const [name, value] = cookie.split('=') as [string, string];
  await context.addCookies([{ name, value, url: address }]);
  const page = await context.newPage();
  const bench = /\/bench\/[0-9a-f-]{36}/.exec(
    await (await fetch(`${address}/bench`, { headers: { cookie } })).text(),
  )![0];
  const sums: Record<string, number> = {};
  page.on('requestfinished', (request) => {
    void request.sizes().then(({ responseBodySize }) => {
      const kind = request.resourceType();
      sums[kind] = (sums[kind] ?? 0) + responseBodySize;
    });
  });
  await page.goto(address + bench);
  await page.locator('astro-island[ssr]').waitFor({ state: 'detached' });
  await page.waitForLoadState('networkidle');
  const kilobytes = (bytes = 0) => `${(bytes / 1000).toFixed(1)} kB`;
  report(
    'a session’s page over the wire',
    `HTML ${kilobytes(sums.document)} (limit 60), script ${kilobytes(sums.script)} (limit 150), styles ${kilobytes(sums.stylesheet)}`,
  );
  await browser.close();
}

/** How long a page of another programme waits while one programme has the most to do that is permitted. */
async function waiting(report: Report, address: string): Promise<void> {
  const other = { name: 'Wren', email: 'wren@millrace.example', password: 'over-the-weir', role: 'owner' as const };
  await addProgramme({ slug: 'millrace', name: 'Millrace' }, [other]);
  const theirs = await signIn(address, other);
  const cookie = await signIn(address, DEMO.people[0]);
  const ask = (path: string, init: RequestInit = {}) =>
    fetch(address + path, {
      redirect: 'manual',
      ...init,
      headers: { cookie, origin: address, ...(init.headers as Record<string, string>) },
    });
  const longest = async (work: Promise<Response>) => {
    let isDone = false;
    let worst = 0;
    const began = performance.now();
    const done = work.then((answer) => {
      isDone = true;
      return answer;
    });
    while (!isDone) {
      const asked = performance.now();
      await (await fetch(`${address}/bench`, { headers: { cookie: theirs } })).text();
      worst = Math.max(worst, performance.now() - asked);
      await new Promise((next) => setTimeout(next, 5));
    }
    return { worst, took: performance.now() - began, status: (await done).status };
  };
  const say = (name: string, { worst, took, status }: Awaited<ReturnType<typeof longest>>) =>
    report(
      name,
      `another programme’s page waited ${Math.round(worst)} ms at most; it answered ${status} after ${(took / 1000).toFixed(2)} s`,
    );
  const json = (body: string, method = 'PUT') => ({ method, body, headers: { 'content-type': 'application/json' } });
  const file = (text: string) => {
    const form = new FormData();
    form.set('file', new Blob([text]), 'file.json');
    return { method: 'POST', body: form };
  };
  const demo = <Entry>(name: string) =>
    (JSON.parse(readFileSync(join(import.meta.dirname, `../../demo/${name}.json`), 'utf8')) as Record<string, Entry[]>)[
      name
    ]!;
  const activities = demo<{ key: string; title: string }>('activities');
  const many = Array.from({ length: 2000 }, (_, index) => {
    const entry = activities[index % activities.length]!;
    return { ...entry, key: `${entry.key.slice(0, 60)}-${index}`, title: `${entry.title} ${index}` };
  });
  const whole = JSON.stringify({ format: 'footstool', version: 1, activities: many });
  report('the largest import', `${(whole.length / 1e6).toFixed(1)} MB`);
  say('while it is taken in', await longest(ask('/shelf/import', file(whole))));
  const million = (open: string, item: string, close: string) =>
    open +
    Array(Math.floor(900_000 / (item.length + 1)))
      .fill(item)
      .join() +
    close;
  const bench = /\/bench\/([0-9a-f-]{36})/.exec(await (await ask('/bench')).text())![1]!;
  const term = /\/term\/([0-9a-f-]{36})/.exec((await ask('/term')).headers.get('location') ?? '')![1]!;
  const tries: [string, () => Promise<Response>][] = [
    [
      '1 MB of empty parts',
      () => ask(`/api/sessions/${bench}`, json(million('{"revision":1,"session":{"segments":[', '{}', ']}}'))),
    ],
    [
      '1 MB of empty weeks',
      () => ask(`/api/terms/${term}`, json(million('{"revision":1,"term":{"weeks":[', '{}', ']}}'))),
    ],
    ['1 MB of empty rows', () => ask('/api/shelf/rows', json(million('{"kind":"thing","rows":[', '{}', ']}'), 'POST'))],
    [
      '1 MB of empty things',
      () => ask('/shelf/import', file(million('{"format":"footstool","version":1,"things":[', '{}', ']}'))),
    ],
    ['1 MB of brackets', () => ask(`/api/sessions/${bench}`, json('['.repeat(900_000)))],
    [
      '1 MB of fields',
      () =>
        ask('/programme', {
          method: 'POST',
          body: 'a=1&'.repeat(60_000),
          headers: { 'content-type': 'application/x-www-form-urlencoded' },
        }),
    ],
  ];
  for (const [name, work] of tries) say(name, await longest(work()));
  say('while a tray is printed for all', await longest(printed(ask, bench)));
  say('while the term’s room is read', await longest(ask(`/term/${term}`)));
  say(`while a session is read, ${HOMES + 12} homes`, await longest(ask(`/bench/${bench}`)));
  say('while its page of sending is read', await longest(ask(`/bench/${bench}/send`)));
  say('while it is sent to all', await longest(sent(ask, bench)));
  say('while the homes are read', await longest(ask('/homes')));
}

/** A tray for all homes, from the press until it came out or was refused. */
async function printed(
  ask: (path: string, init?: RequestInit) => Promise<Response>,
  session: string,
): Promise<Response> {
  const started = await ask(`/api/printer/${session}`, {
    method: 'POST',
    body: JSON.stringify({ for: 'all', version: 'usual' }),
    headers: { 'content-type': 'application/json' },
  });
  if (!started.ok) return started;
  const { job } = (await started.json()) as { job: string };
  for (;;) {
    const answer = await ask(`/api/printer/${job}`);
    const { state } = (await answer.clone().json()) as { state: string };
    if (state !== 'waiting') return answer;
    await new Promise((next) => setTimeout(next, 100));
  }
}

/** A session sent to every home, as its form sends it. */
async function sent(ask: (path: string, init?: RequestInit) => Promise<Response>, session: string): Promise<Response> {
  const page = await (await ask(`/bench/${session}/send?tick=all`)).text();
  const field = (name: string) => new RegExp(`name="${name}" value="([^"]*)"`).exec(page)![1]!;
  const form = new URLSearchParams(['revision', 'key', 'seen'].map((name) => [name, field(name)]));
  for (const [, home] of page.matchAll(/name="homes" value="([^"]+)"/g)) form.append('homes', home!);
  return ask(`/bench/${session}/send`, { method: 'POST', body: form });
}
