import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../support/chromium.ts';
import { startServer, startDemoDatabase } from '../support/app.ts';

type Report = (name: string, text: string) => void;

const FRAME_MS = 16;
const TEXT = 'The ship sat in the mud, and a fish met a chair on the path to the shop with socks.';
const ROUNDS = 4;

/** In Chromium: from a letter to the painted frame, in a line whose words are checked, against the same line unchecked. */
export async function typingInALine(report: Report): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-bench-'));
  const database = await startDemoDatabase();
  const server = await startServer(database.url, folder);
  const browser = await chromium.launch(CHROMIUM);
  try {
    const page = await browser.newPage();
    await page.goto(`${server.address}/sign-in`);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.goto(`${server.address}/sessions`);
    await page.getByRole('link', { name: 'Who is on the wall?' }).first().click();
    await page.locator('astro-island[ssr]').waitFor({ state: 'detached' });
    await page.getByRole('textbox', { name: 'Lines of Hello' }).waitFor();
    const unchecked = await typed(page);
    await page.locator('.line-bar').getByRole('button', { name: 'words' }).click();
    await page.getByRole('group', { name: 'Words of this line' }).getByLabel('In this line').waitFor();
    await page.getByLabel('In this line').selectOption('the child can read them');
    const checked = await typed(page);
    const inFrames = (times: readonly number[], part: number) =>
      (times[Math.min(times.length - 1, Math.floor(times.length * part))]! / FRAME_MS).toFixed(2);
    const told = (times: readonly number[]) =>
      `median ${inFrames(times, 0.5)} frames of ${FRAME_MS} ms, 95 in 100 within ${inFrames(times, 0.95)}, slowest ${inFrames(times, 1)}`;
    report('typing in a line, checks on', `${checked.length} letters: ${told(checked)}; off: ${told(unchecked)}`);
  } finally {
    await browser.close();
    await server.stop();
    await database.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Milliseconds that the page is at work on each letter of the text, typed a few times over in a line of its own. */
async function typed(page: Page): Promise<number[]> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    await page.getByRole('textbox', { name: 'Lines of Hello' }).focus();
    await page.keyboard.press('Control+End');
    await page.keyboard.press('Enter');
    times.push(...(await page.evaluate(typeAll, TEXT)));
    await page.keyboard.press('Control+End');
  }
  return times.sort((one, other) => one - other);
}

/** Types letter by letter, each in a frame of its own, timed from the input to the layout. Runs in the page, as one function. */
async function typeAll(text: string): Promise<number[]> {
  const times: number[] = [];
  for (const letter of text) {
    const began = performance.now();
    document.execCommand('insertText', false, letter);
    document.activeElement!.getBoundingClientRect();
    times.push(performance.now() - began);
    await new Promise((next) => requestAnimationFrame(next));
  }
  return times;
}
