import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import playwrightConfig from '../../playwright.config.ts';
import { payingWays } from '../../src/core/numbers/index.ts';
import { MAKERS } from '../../src/makers/index.ts';
import { startServer, startDemoDatabase } from '../support/app.ts';

type Report = (name: string, text: string) => void;

const FRAME_MS = 16;
const ROUNDS = 10;

/** In Chromium: from turning a number dial to the changed picture in the page, for every maker, in frames of 16 ms. */
export async function dialToPicture(report: Report): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-bench-'));
  const database = await startDemoDatabase();
  const server = await startServer(database.url, folder);
  const browser = await chromium.launch(playwrightConfig.use!.launchOptions);
  const page = await browser.newPage();
  await page.goto(`${server.address}/sign-in`);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor();
  let worst = { id: '', median: 0 };
  // Makers that take long are worked out in a worker, off the frame.
  for (const { id } of MAKERS.filter((maker) => !maker.isHeavy)) {
    await page.goto(`${server.address}/makers/${id}`);
    await page.locator('astro-island[ssr]').waitFor({ state: 'detached' });
    const times = (await page.evaluate(turnAndWait, ROUNDS)).sort((left, right) => left - right);
    if (times.length === 0) throw new Error(`no dial of ${id} changed its picture`);
    const median = times[Math.floor(times.length / 2)]!;
    if (median > worst.median) worst = { id, median };
    const frames = (part: number) =>
      (times[Math.min(times.length - 1, Math.floor(times.length * part))]! / FRAME_MS).toFixed(2);
    report(
      `dial to picture, ${id}`,
      `of ${times.length} turns median ${frames(0.5)} frames of ${FRAME_MS} ms, 95 in 100 within ${frames(0.95)}, slowest ${frames(1)}`,
    );
  }
  report('dial to picture, slowest maker', `${worst.id}: ${(worst.median / FRAME_MS).toFixed(2)} frames`);
  await browser.close();
  await server.stop();
  await database.remove();
  rmSync(folder, { recursive: true, force: true });
}

/**
 * Turns every dial of the room by a step and to its ends, chooses every choice, adds to every list, takes its last letter and its first entry; each turn is timed
 * from the input to the changed picture laid out in the page. Turns that are refused, or change nothing that is seen, do
 * not count. Runs in the page, so it is one function: what the compiler adds to a second one is not known there.
 */
function turnAndWait(rounds: number): number[] {
  const dials = document.querySelectorAll<HTMLInputElement | HTMLSelectElement>(
    '[aria-label="Dials"] :is(input:not([inputmode="numeric"]), select)',
  );
  const picture = document.querySelector('.maker-picture')!;
  const facts = document.querySelector('.maker-facts')!;
  const times: number[] = [];
  for (let round = 0; round < rounds; round++)
    for (const dial of dials) {
      const start = dial.value;
      const prototype = Object.getPrototypeOf(dial) as HTMLInputElement;
      const set = Object.getOwnPropertyDescriptor(prototype, 'value')!.set!;
      const values =
        dial instanceof HTMLSelectElement
          ? [...dial.options].map(({ value }) => value)
          : dial.type === 'range'
            ? [String(dial.valueAsNumber + 1), dial.max, dial.min]
            : [`${start} ${start.split(' ')[0]}`, start.slice(0, -1), start.replace(/^[^,]*, */, '')];
      for (const value of [...values, start]) {
        const before = picture.outerHTML + facts.outerHTML;
        const began = performance.now();
        set.call(dial, value);
        dial.dispatchEvent(new Event(dial instanceof HTMLSelectElement ? 'change' : 'input', { bubbles: true }));
        picture.getBoundingClientRect();
        const took = performance.now() - began;
        if (picture.outerHTML + facts.outerHTML !== before) times.push(took);
      }
    }
  return times;
}

/** A thousand coins and an amount of 500, counted, against listing handfuls one by one on a purse small enough for it. */
export function coinCounting(report: Report): void {
  const large = { 1: 250, 2: 250, 5: 250, 10: 250 };
  payingWays(large, 500, 0);
  const began = performance.now();
  const { ways } = payingWays(large, 500, 0);
  const quick = performance.now() - began;
  const small = { 1: 20, 2: 20, 5: 20, 10: 10 };
  const [slowFrom, slow] = [performance.now(), listAll(small, 60)];
  const slowMs = performance.now() - slowFrom;
  const from = performance.now();
  const same = payingWays(small, 60, 0).ways;
  const smallMs = performance.now() - from;
  if (Number(same) !== slow) throw new Error('counting and listing disagree');
  report(
    'coins, 1,000 of four kinds, 500',
    `${quick.toFixed(1)} ms, ${String(ways)} ways; on 70 coins and 60 listing takes ${(slowMs / smallMs).toFixed(0)} times as long, with the same ${slow}`,
  );
}

function listAll(purse: Readonly<Record<string, number>>, pay: number): number {
  const kinds = Object.entries(purse).map(([worth, count]) => [Number(worth), count] as const);
  const visit = (at: number, left: number): number => {
    if (at === kinds.length) return left === 0 ? 1 : 0;
    const [worth, count] = kinds[at]!;
    let ways = 0;
    for (let used = 0; used <= count && used * worth <= left; used++) ways += visit(at + 1, left - used * worth);
    return ways;
  };
  return visit(0, pay);
}
