import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import playwrightConfig from '../../playwright.config.ts';
import { startServer, startTestDatabase } from '../support/app.ts';

/** Takes the pictures of docs/screenshots from the demo: `npx tsx tests/tools/take-screenshots.ts` after a build. */
const FOLDER = resolve(import.meta.dirname, '../../docs/screenshots');
const PHONE = { width: 390, height: 844 };

const folder = mkdtempSync(join(tmpdir(), 'footstool-pictures-'));
const database = await startTestDatabase();
const server = await startServer(database.url, folder);
const browser = await chromium.launch(playwrightConfig.use!.launchOptions);
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();

const picture = async (name: string, of: Page = page) => {
  await of.waitForLoadState('networkidle');
  await of.screenshot({ path: join(FOLDER, `${name}.png`) });
};
const go = (path: string) => page.goto(`${server.address}${path}`);

await go('/sign-in');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('navigation', { name: 'Rooms' }).waitFor();
await picture('today');
await go('/shelf');
await picture('shelf');
await go('/shelf/activity/button-pots');
await picture('activity');
await go('/homes');
await picture('homes');
await go('/bench');
await page.getByRole('link', { name: 'The cart with no wheels' }).click();
await page.locator('astro-island[ssr]').waitFor({ state: 'detached' });
await picture('bench');
await go('/post');
await page.getByRole('link', { name: 'The cart with no wheels' }).click();
await page.locator('.apexcharts-bar-series').first().waitFor();
await picture('post');
await page.getByRole('row').filter({ hasText: 'Blue door' }).getByRole('link', { name: 'letter and code' }).click();
await picture('letter');
const guide = /http:\/\/\S+\/g\/\S+/.exec(await page.locator('article').innerText())![0];
const phone = await (await browser.newContext({ viewport: PHONE })).newPage();
await phone.goto(guide);
await picture('guide', phone);
await phone.goto(`${guide}#step-3`);
await picture('guide-step', phone);
await phone.goto(`${guide}#reply`);
await picture('guide-reply', phone);

await browser.close();
await server.stop();
database.remove();
rmSync(folder, { recursive: true, force: true });
