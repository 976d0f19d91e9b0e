import { chromium } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import playwrightConfig from '../../playwright.config.ts';
import { startServer, startTestDatabase } from '../support/app.ts';
import { execFileSync } from 'node:child_process';
import { testEnvironment } from '../support/app.ts';
const folder = mkdtempSync('/tmp/footstool-zz-');
const db = await startTestDatabase();
execFileSync('bin/footstool', ['owner', 'fern@x.example', 'Fern', 'Fernbank'], { env: { ...testEnvironment(db.url, folder, 1), FOOTSTOOL_DEMO: '0' }, input: 'leaves-and-more\n' });
const server = await startServer(db.url, folder, { FOOTSTOOL_DEMO: '0' });
const browser = await chromium.launch(playwrightConfig.use!.launchOptions);
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
const shot = (n: string) => page.screenshot({ path: `/tmp/shots/${n}.png` });
try {
  await page.goto(`${server.address}/sign-in`);
  await page.locator('[name=email]').fill('fern@x.example');
  await page.locator('[name=password]').fill('leaves-and-more');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor();
  await shot('today');
  await page.goto(`${server.address}/homes/table`);
  await page.locator('astro-island[ssr]').waitFor({ state: 'detached' });
  await page.getByRole('textbox').first().fill('Family\tChildren\tBorn\tAllergies\tLanguage\tE-mail\nOrtega\tAva & Tom\tMarch 2024 & 06/2021\tegg, dairy, kiwi\tSpanish\tines@post.example\nMiller\tLena Miller\t4 years\tnone\t\t07700 900123\nReed\tBo\tsoon\t\tPolish\tbo@post\nHale\tKit\t12/05/2022\tnuts\t\thale@post.example');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByText('Is this right?').waitFor();
  await page.screenshot({ path: '/tmp/shots/table.png', fullPage: true });
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.screenshot({ path: '/tmp/shots/table820.png', fullPage: true });
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${server.address}/sessions/new`);
  await shot('new');
  await page.goto(`${server.address}/shelf/starter`); await shot('starter');
  await page.goto(`${server.address}/shelf?kind=book`); await shot('books');
} finally {
  await browser.close(); await server.stop(); await db.remove();
}
