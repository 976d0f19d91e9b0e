import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import playwrightConfig from '../../playwright.config.ts';
import { payingWays } from '../../src/core/numbers/coins.ts';
import { MAKERS } from '../../src/core/makers/makers.ts';
import { startServer, startTestDatabase } from '../support/app.ts';

type Report = (name: string, text: string) => void;

const FRAME_MS = 16;
const TURNS = 40;

/** In Chromium: from turning a number dial to the changed picture in the page, for every maker, in frames of 16 ms. */
export async function dialToPicture(report: Report): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-bench-'));
  const database = await startTestDatabase();
  const server = await startServer(database.url, folder);
  const browser = await chromium.launch(playwrightConfig.use!.launchOptions);
  const page = await browser.newPage();
  await page.goto(`${server.address}/sign-in`);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor();
  let worst = { id: '', median: 0 };
  for (const { id } of MAKERS) {
    await page.goto(`${server.address}/makers/${id}`);
    await page.locator('astro-island[ssr]').waitFor({ state: 'detached' });
    const times = await page.evaluate(turnAndWait, TURNS);
    const sorted = times.sort((left, right) => left - right);
    const median = sorted[Math.floor(sorted.length / 2)] ?? NaN;
    if (median > worst.median) worst = { id, median };
    report(
      `dial to picture, ${id}`,
      sorted.length === 0
        ? 'has no number dial; its lists are typed'
        : `median ${median.toFixed(1)} ms = ${(median / FRAME_MS).toFixed(2)} frames, slowest of ${sorted.length} ${sorted.at(-1)!.toFixed(1)} ms`,
    );
  }
  report('dial to picture, slowest maker', `${worst.id}: ${(worst.median / FRAME_MS).toFixed(2)} frames`);
  await browser.close();
  await server.stop();
  database.remove();
  rmSync(folder, { recursive: true, force: true });
}

/** Turns the first slider to and fro; each turn is timed until the page shows another picture or facts. Runs in the page. */
function turnAndWait(turns: number): number[] {
  const slider = document.querySelector<HTMLInputElement>('.maker-dial input[type=range]');
  if (!slider) return [];
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
  const [least, most] = [Number(slider.min), Number(slider.max)];
  const start = Number(slider.value);
  const shown = () =>
    document.querySelector('.maker-picture')!.outerHTML + document.querySelector('.maker-facts')!.outerHTML;
  const times: number[] = [];
  for (let turn = 0; turn < turns; turn++) {
    const to = turn % 2 === 0 ? (start < most ? start + 1 : start - 1) : start;
    if (to < least) continue;
    const before = shown();
    const began = performance.now();
    set.call(slider, String(to));
    slider.dispatchEvent(new Event('input', { bubbles: true }));
    const took = performance.now() - began;
    if (shown() !== before) times.push(took);
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
