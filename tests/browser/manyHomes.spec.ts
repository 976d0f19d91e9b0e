import { expect, test } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDemoDatabase, startServer, type TestDatabase, type TestServer } from '../support/app.ts';
import { signInOwner } from '../support/globalSetup.ts';
import { haveHomes } from '../support/manyHomes.ts';
import { address, benchIsReady, expectAccessible, isKept, part, signIn, useServer } from './steps.ts';

const HOMES = 130;
let records: TestDatabase;
let server: TestServer;
let folder: string;

test.beforeAll(async () => {
  records = await startDemoDatabase();
  await haveHomes(records.url, HOMES);
  folder = mkdtempSync(join(tmpdir(), 'footstool-many-'));
  server = await startServer(records.url, folder);
  useServer({ address: server.address, signInCookie: await signInOwner(server.address) });
});
test.afterAll(async () => {
  useServer(null);
  await server.stop();
  await records.remove();
  rmSync(folder, { recursive: true, force: true });
});

test(
  'with more homes than a page is given, the server counts what is turned, lists go over pages, and ticks are kept on the way',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/homes'));
    await expect(page.getByRole('row')).toHaveCount(101);
    await expectAccessible(page);
    await page.getByLabel('Find a home by its name').fill('corner house 1');
    await page.getByRole('button', { name: 'Find' }).click();
    await expect(page.getByRole('link', { name: /^Change Corner house 1/ })).not.toHaveCount(0);
    await expect(page.getByRole('link', { name: 'Change Blue door', exact: true })).toHaveCount(0);
    await page.goto(address('/homes'));
    await page.getByRole('link', { name: 'The homes after' }).click();
    await expect(page.getByText(`Homes 101 to ${HOMES} of ${HOMES}`)).toBeVisible();

    await page.goto(address('/sessions'));
    await page.getByRole('link', { name: 'A parcel for Nim' }).click();
    await benchIsReady(page);
    const homes = page.getByRole('button', { name: /can do it as written/ });
    await expect(homes).toContainText('109 homes');
    // The first time nobody answers: it is not taken for an answer, and asked again.
    await page.route('**/judgement', (route) => route.abort(), { times: 1 });
    const judged = page.waitForResponse((answer) => answer.url().endsWith('/judgement'));
    await part(page, 'Tea for the letter carrier').getByRole('spinbutton').first().press('End');
    expect((await judged).ok()).toBe(true);
    await expect(homes).not.toContainText('109 homes');
    await homes.click();
    await expect(page.getByText(`and ${HOMES - 60} more homes`)).toBeVisible();
    await homes.click();
    await isKept(page);

    await page.getByRole('link', { name: `Send to ${HOMES}` }).click();
    await page.getByRole('checkbox', { name: 'Send to Blue door', exact: true }).uncheck();
    await page.getByRole('button', { name: 'The homes after' }).click();
    await expect(page.getByText(`${HOMES - 1} are ticked in all`)).toBeVisible();
    await page.getByRole('button', { name: 'The homes before' }).click();
    await expect(page.getByRole('checkbox', { name: 'Send to Blue door', exact: true })).not.toBeChecked();
    await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
    await page.waitForURL(/\/sent\//);
    const sent = page.url().split('?')[0]!;
    await expect
      .poll(async () => (await page.goto(sent), page.getByText(`of ${HOMES - 1} homes answered`).count()), {
        timeout: 60_000,
      })
      .toBe(1);
    await expect(page.getByText(/still being written/)).toHaveCount(0);
    await page.getByRole('link', { name: 'The homes after' }).click();
    await expect(page.getByText(`Homes 101 to ${HOMES - 1} of ${HOMES - 1}`)).toBeVisible();
  },
);
