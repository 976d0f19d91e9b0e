import { Sequelize } from 'sequelize';
import { haveHomes } from '../support/manyHomes.ts';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { isNumberDial, writeScript } from '../../src/core/session/index.ts';
import { CHROMIUM } from '../support/chromium.ts';
import { startDemoDatabase, startServer } from '../support/app.ts';
import { readBenchFixture } from './fixture.ts';

type Report = (name: string, text: string) => void;

const FRAME_MS = 16;
const TURNS = 120;

/**
 * In Chromium, a session of twelve parts on the bench: for how long the page's thread is held at a stretch by a turn of a dial,
 * with everything that it draws, and by the worker's answer about the homes, against the same keys on a plain element.
 */
export async function dialOfTwelveParts(report: Report): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-bench-'));
  const database = await startDemoDatabase();
  const server = await startServer(database.url, folder);
  const browser = await chromium.launch(CHROMIUM);
  try {
    const id = await putOnBench(database.url);
    for (const homes of [12, 300]) {
      await haveHomes(database.url, homes);
      const page = await browser.newPage();
      await page.goto(`${server.address}/sign-in`);
      await page.getByRole('button', { name: 'Sign in' }).click();
      await page.getByRole('heading').first().waitFor();
      await page.goto(`${server.address}/sessions/${id}`);
      await page.locator('astro-island[ssr]').waitFor({ state: 'detached' });
      const [calm, held] = [await heldBy(page, 'calm'), await heldBy(page, 'turns')];
      report(
        `a dial of 12 parts in the page, ${homes} homes`,
        `${held.length} turns: median ${inFrames(held, 0.5)} frames of ${FRAME_MS} ms, 99 in 100 within ${inFrames(held, 0.99)}; with nothing turned ${inFrames(calm, 0.5)} and ${inFrames(calm, 0.99)}`,
      );
      await page.close();
    }
  } finally {
    await browser.close();
    await server.stop();
    await database.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}

const inFrames = (times: readonly number[], part: number) =>
  (times[Math.min(times.length - 1, Math.floor(times.length * part))]! / FRAME_MS).toFixed(2);

/** Milliseconds that the page's thread was held at the longest around each turn, or over as many frames of calm, shortest first. */
async function heldBy(page: Page, what: 'turns' | 'calm'): Promise<number[]> {
  const dial = page.getByRole('spinbutton', { name: /./ }).first();
  await dial.focus();
  const foot = page.locator('[aria-busy]').first();
  await foot.waitFor();
  const held = await dial.evaluate(turnAll, { turns: TURNS, isCalm: what === 'calm' });
  return held.sort((one, other) => one - other);
}

/**
 * Turns up and down, each time until the homes are judged, while a message to itself tells how long the thread is held. Runs in
 * the page, as one function.
 */
async function turnAll(chip: Element, { turns, isCalm }: { turns: number; isCalm: boolean }): Promise<number[]> {
  const { port1, port2 } = new MessageChannel();
  let last = performance.now();
  let longest = 0;
  port1.onmessage = () => {
    const now = performance.now();
    longest = Math.max(longest, now - last);
    last = now;
    port2.postMessage(0);
  };
  port2.postMessage(0);
  const held: number[] = [];
  for (let turn = 0; turn < turns; turn++) {
    for (let calm = 0; calm < 2; calm++) await new Promise((next) => requestAnimationFrame(next));
    longest = 0;
    const key = turn % 2 === 0 ? 'ArrowUp' : 'ArrowDown';
    if (!isCalm)
      document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    do await new Promise((next) => requestAnimationFrame(next));
    while (document.querySelector('[aria-busy="true"]') !== null);
    for (let calm = 0; calm < 2; calm++) await new Promise((next) => requestAnimationFrame(next));
    held.push(longest);
  }
  port1.close();
  return chip.isConnected ? held : [];
}

/** A session of twelve parts in the demo's programme. */
async function putOnBench(url: string): Promise<string> {
  const sequelize = new Sequelize(url, { logging: false });
  const { session } = readBenchFixture(12);
  const first = session.segments.findIndex(({ dials }) => dials.some(isNumberDial));
  const segments = [session.segments[first]!, ...session.segments.toSpliced(first, 1)];
  const [rows] = await sequelize.query(
    `INSERT INTO sessions (id, programme_id, title, held_on, age_from_months, age_to_months, aim, script, revision, kept_at)
     SELECT gen_random_uuid(), programme_id, :title, :on, 36, 71, '', CAST(:script AS jsonb), 1, now()
       FROM sessions ORDER BY kept_at LIMIT 1 RETURNING id`,
    {
      replacements: {
        title: session.title,
        on: session.on,
        script: JSON.stringify(writeScript({ segments, accepted: [] })),
      },
    },
  );
  await sequelize.close();
  return (rows as { id: string }[])[0]!.id;
}
