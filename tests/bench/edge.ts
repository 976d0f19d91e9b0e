import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import autocannon from 'autocannon';
import { closeDatabase, database } from '../../src/server/db/connection.ts';
import { DEMO } from '../../src/server/demo.ts';
import { guideToken, hashToken } from '../../src/server/http/secrets.ts';
import { signInByPost } from '../support/signIn.ts';
import { CHROMIUM } from '../support/chromium.ts';
import { waiting } from './waiting.ts';
import { SECRET, startServer, startDemoDatabase } from '../support/app.ts';

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
  const records = await startDemoDatabase();
  Object.assign(process.env, { DATABASE_URL: records.url, FOOTSTOOL_SECRET: SECRET });
  const server = await startServer(records.url, folder);
  try {
    await weights(report, server.address);
    await servedGuides(report, server.address, folder);
    await database().query(
      `UPDATE homes SET taken_out_at = now() WHERE nickname LIKE 'Bench home %'
          AND id NOT IN (SELECT id FROM homes WHERE nickname LIKE 'Bench home %' LIMIT ${HOMES})`,
    );
    await waiting(report, server.address, { homes: HOMES + 12 });
  } finally {
    await closeDatabase();
    await server.stop();
    await records.remove();
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

/** What a browser takes in over the wire until a session can be written in. */
async function weights(report: Report, address: string): Promise<void> {
  const cookie = await signInByPost(address, DEMO.people[0]);
  const browser = await chromium.launch(CHROMIUM);
  const context = await browser.newContext();
  const [name, value] = cookie.split('=') as [string, string];
  await context.addCookies([{ name, value, url: address }]);
  const page = await context.newPage();
  const bench = /\/sessions\/[0-9a-f-]{36}/.exec(
    await (await fetch(`${address}/sessions`, { headers: { cookie } })).text(),
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
