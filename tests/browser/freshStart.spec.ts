import { expect, test } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { testPort } from '../support/ports.ts';
import { endProcess, startTestDatabase, testEnvironment, type TestDatabase } from '../support/app.ts';
import { benchIsReady, expectAccessible, isKept } from './steps.ts';

const ROOT = resolve(import.meta.dirname, '../..');
let records: TestDatabase;
let folder: string;
let server: ChildProcess;
let base: string;
let said = '';

test.beforeAll(async () => {
  records = await startTestDatabase();
  folder = mkdtempSync(join(tmpdir(), 'footstool-fresh-'));
  const port = await testPort();
  base = `http://127.0.0.1:${port}`;
  server = spawn(join(ROOT, 'bin/start'), {
    env: { ...testEnvironment(records.url, folder, port), FOOTSTOOL_DEMO: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  server.stdout!.on('data', (chunk: Buffer) => (said += chunk.toString()));
  await expect.poll(() => said, { timeout: 60_000 }).toContain('Ctrl-C stops it');
});
test.afterAll(async () => {
  await endProcess(server, 'SIGTERM');
  await records.remove();
  rmSync(folder, { recursive: true, force: true });
});

test(
  'a fresh start without the demo leads a new owner to a first session that has been sent, and a colleague in',
  { tag: '@soak' },
  async ({ page, browser }) => {
    const code = /code ([0-9A-F-]{23})/.exec(said)![1]!;
    expect(said).not.toContain('demo sign-in');
    await page.goto(base);
    await expect(page.getByRole('heading', { name: 'Begin with Footstool' })).toBeVisible();
    await page.getByLabel('Code').fill('AAAAA-AAAAA-AAAAA-AAAAA');
    await page.getByLabel('Programme').fill('Fernbank nursery');
    await page.getByLabel('Your name').fill('Fern');
    await page.getByLabel('Your address for letters').fill('fern@fernbank.example');
    await page.locator('[name=password]').fill('short');
    await page.getByLabel('Type the password again').fill('other');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('Password must have at least 10 characters')).toBeVisible();
    await expect(page.getByText('Type the password again must be the same twice')).toBeVisible();
    await expectAccessible(page);
    for (const name of ['password', 'again']) await page.locator(`[name=${name}]`).fill('leaves-and-more');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByText('Code isn’t the one in the log')).toBeVisible();
    await page.getByLabel('Code').fill(code);
    for (const name of ['password', 'again']) await page.locator(`[name=${name}]`).fill('leaves-and-more');
    await page.getByRole('button', { name: 'Begin' }).click();
    await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
    expect((await page.request.get(`${base}/begin`)).status()).toBe(404);

    await page.goto(`${base}/homes`);
    await page.getByRole('link', { name: 'add one home' }).click();
    await benchIsReady(page);
    await page.getByLabel('Name of the home').fill('Stone step');
    await page.getByLabel('Address for letters').fill('stone-step@homes.example');
    await page.getByRole('button', { name: 'Add a child' }).click();
    await page.getByRole('group', { name: 'Child 1' }).getByLabel('Name').fill('Iver');
    await page.getByLabel('Month of birth').fill('2023-02');
    await page.getByRole('button', { name: 'Add the home' }).click();
    await expect(page.getByRole('status')).toContainText('Stone step is kept');

    await page.goto(`${base}/sessions/new`);
    await page.getByLabel('What is it called?').fill('Our first session');
    await page.getByRole('button', { name: 'Start writing' }).click();
    await benchIsReady(page);
    await page.getByRole('button', { name: 'Add a part' }).click();
    await page.keyboard.type('Roll the cushion to each other.');
    await page.keyboard.press('Escape');
    await isKept(page);
    await page.getByRole('link', { name: /^Send to/ }).click();
    await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
    await expect(page.getByRole('status')).toContainText('It’s on its way');
    await expect
      .poll(async () => {
        await page.reload();
        return page.getByRole('row').filter({ hasText: 'Stone step' }).innerText();
      })
      .toContain('letter: sent');
    const letters = () =>
      readdirSync(join(folder, 'mail'))
        .filter((name) => name.endsWith('.json'))
        .map(
          (name) =>
            JSON.parse(readFileSync(join(folder, 'mail', name), 'utf8')) as { text: string; to: { address: string }[] },
        );
    expect(letters().map(({ to }) => to[0]!.address)).toEqual(['stone-step@homes.example']);

    await page.goto(`${base}/programme/people`);
    await page.getByLabel('Name').fill('Moss');
    await page.getByLabel('E-mail').fill('moss@fernbank.example');
    await page.getByRole('button', { name: 'Send the invitation' }).click();
    await expect.poll(() => letters().length, { timeout: 20_000 }).toBe(2);
    const link = /http\S+\/join\/\S+/.exec(
      letters().find(({ to }) => to[0]!.address === 'moss@fernbank.example')!.text,
    )![0];
    const colleague = await (await browser.newContext()).newPage();
    await colleague.goto(link);
    await expect(colleague.getByRole('heading', { name: 'Join Fernbank nursery' })).toBeVisible();
    await colleague.getByLabel('Choose a password').fill('soft-and-green');
    await colleague.getByLabel('Type the password again').fill('soft-and-green');
    await expectAccessible(colleague);
    await colleague.getByRole('button', { name: 'Join' }).click();
    await expect(colleague.getByRole('navigation', { name: 'Rooms' })).toBeVisible();

    await colleague.goto(`${base}/account`);
    await colleague.getByRole('button', { name: 'Sign out everywhere' }).click();
    await colleague.getByRole('link', { name: 'I forgot my password' }).click();
    await colleague.getByLabel('E-mail').fill('moss@fernbank.example');
    await colleague.getByRole('button', { name: 'Send the letter' }).click();
    await expect(colleague.getByRole('status')).toContainText('a letter with a link is on its way');
    await expect.poll(() => letters().length, { timeout: 20_000 }).toBe(3);
    const reset = letters().flatMap(({ text }) => /http\S+\/reset\/\S+/.exec(text) ?? [])[0]!;
    await colleague.goto(reset);
    await colleague.locator('[name=password]').fill('greener-than-before');
    await colleague.getByLabel('Type the new password again').fill('greener-than-before');
    await colleague.getByRole('button', { name: 'Save' }).click();
    await colleague.getByLabel('E-mail').fill('moss@fernbank.example');
    await colleague.getByLabel('Password').fill('greener-than-before');
    await colleague.getByRole('button', { name: 'Sign in' }).click();
    await expect(colleague.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
  },
);
