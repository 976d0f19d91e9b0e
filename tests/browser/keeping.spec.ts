import { expect, test } from '@playwright/test';
import { startServer, startDemoServer } from '../support/app.ts';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BENCH, benchIsReady, isKept, script, startSession, writeLine } from './steps.ts';

test('a tab that is closed in the middle of a word loses nothing, and undo outlives a reload', async ({
  page,
  context,
}) => {
  const bench = await startSession(page, 'Closed', ['Owl steps']);
  await writeLine(page, 'Owl steps', 'Hoot once.');
  await isKept(page);
  await page.reload();
  await benchIsReady(page);
  await expect(script(page, 'Owl steps')).toContainText('Hoot once.');
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(script(page, 'Owl steps')).not.toContainText('Hoot once.');
  await page.getByRole('button', { name: 'redo' }).click();
  await isKept(page);
  await page.route('**/api/sessions/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await writeLine(page, 'Owl steps', 'And then the little owl sa');
  await page.close();
  // What lies on a device is its writer’s alone.
  const drafts = await context.storageState();
  expect(drafts.origins.flatMap(({ localStorage }) => localStorage.map(({ name }) => name)).join()).toMatch(
    /draft of .* by /,
  );
  const again = await context.newPage();
  await again.goto(bench);
  await benchIsReady(again);
  await expect(script(again, 'Owl steps')).toContainText('And then the little owl sa');
  await isKept(again);
});

test('when the database goes away the text stays, a banner says so, and it is kept when it is back', async ({
  page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'footstool-away-'));
  const database = await startDemoServer();
  const server = await startServer(database.url, folder);
  try {
    await page.goto(`${server.address}/sign-in`);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('link', { name: 'Sessions', exact: true }).click();
    await page.getByRole('link', { name: 'A parcel for Nim' }).click();
    await page.waitForURL(BENCH);
    await benchIsReady(page);
    database.stop();
    await page.getByLabel('Aim').fill('Written while the records were away.');
    await page.getByLabel('Aim').press('Enter');
    await expect(page.getByRole('alert')).toContainText('cannot reach its records');
    await expect(page.getByLabel('Aim')).toHaveValue('Written while the records were away.');
    const health = await page.request.get(`${server.address}/`);
    expect(health.status()).toBe(503);
    expect(await health.text()).not.toMatch(/Sequelize|ECONN|at .*\.ts/);
    await database.start();
    await isKept(page);
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.reload();
    await expect(page.getByLabel('Aim')).toHaveValue('Written while the records were away.');
  } finally {
    await server.stop();
    await database.remove();
    rmSync(folder, { recursive: true, force: true });
  }
});

test('a lasting refusal is not taken for being away: it is said, and not sent again and again', async ({ page }) => {
  const bench = await startSession(page, 'Refused for good', ['Owl steps']);
  let puts = 0;
  await page.route('**/api/sessions/*', (route) => {
    if (route.request().method() !== 'PUT') return route.continue();
    puts += 1;
    const message = 'Something went wrong on our side, and it has been noted.';
    return route.fulfill({ status: 500, json: { code: 'internal', message } });
  });
  await page.clock.install();
  await page.goto(bench);
  await benchIsReady(page);
  await page.getByLabel('Aim').fill('Once.');
  await page.getByLabel('Aim').press('Enter');
  await page.clock.runFor(2000);
  await expect(page.getByRole('alert')).toContainText('it has been noted');
  await page.clock.runFor(120_000);
  expect(puts).toBe(1);
  await expect(page.getByLabel('Aim')).toHaveValue('Once.');
});

test('an answer that is cut, is a page of another, or never comes is no answer: it is said, and kept once somebody answers', async ({
  page,
}) => {
  const bench = await startSession(page, 'No answer', ['Owl steps']);
  const answers: ('page' | 'cut' | 'never')[] = ['page', 'cut', 'never'];
  await page.route('**/api/sessions/*', (route) => {
    const next = route.request().method() === 'PUT' ? answers.shift() : undefined;
    if (next === 'page')
      return route.fulfill({ status: 200, contentType: 'text/html', body: '<h1>Sign in to the café</h1>' });
    if (next === 'cut')
      return route.fulfill({ status: 200, contentType: 'application/json', body: '{"revision": 4, "ke' });
    return next === 'never' ? undefined : route.continue();
  });
  await page.clock.install();
  await page.goto(bench);
  await benchIsReady(page);
  await page.getByLabel('Aim').fill('Kept in the end.');
  await page.getByLabel('Aim').press('Enter');
  await page.clock.runFor(1000);
  await expect(page.getByRole('alert')).toContainText('cannot be reached at the moment');
  for (let left = 60; left > 0 && answers.length > 0; left--) await page.clock.runFor(1000);
  expect(answers).toEqual([]);
  await expect(page.getByRole('status').filter({ hasText: 'saving' })).toBeVisible();
  await page.clock.runFor(21_000);
  await expect(page.getByRole('alert')).toContainText('cannot be reached at the moment');
  // Long enough for the next try, and too short for it to be given up.
  await page.clock.runFor(12_000);
  await isKept(page);
  await page.clock.resume();
  await page.reload();
  await expect(page.getByLabel('Aim')).toHaveValue('Kept in the end.');
});

test('words typed in a field that was not left yet count as not saved, and closing the page asks first', async ({
  page,
}) => {
  await startSession(page, 'Typed only', ['Owl steps']);
  await isKept(page);
  await page.getByLabel('Aim').click();
  await page.getByLabel('Aim').pressSequentially('Half a sentence');
  await expect(page.getByRole('status').filter({ hasText: 'saving' })).toBeVisible();
  const asked = page.waitForEvent('dialog').then((dialog) => dialog.dismiss().then(() => dialog.type()));
  const leaving = page.close({ runBeforeUnload: true });
  expect(await asked).toBe('beforeunload');
  await leaving;
  await page.getByLabel('Aim').press('Tab');
  await isKept(page);
});
