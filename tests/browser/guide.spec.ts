import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { expect, test, type Browser, type Page, type Response } from '@playwright/test';
import {
  BENCH,
  address,
  expectAccessible,
  guideOf,
  isKept,
  benchIsReady,
  part,
  sendAndOpenLetter,
  beSignedIn,
  signIn,
  startSession,
} from './steps.ts';

const phone = { viewport: { width: 390, height: 844 } };

async function openWithoutScript(browser: Browser): Promise<Page> {
  return (await browser.newContext({ ...phone, javaScriptEnabled: false })).newPage();
}

/** The demo's first session has been sent to every home; this is one home's guide of it. */
async function demoGuide(page: Page, home: string): Promise<string> {
  await signIn(page);
  await page.getByRole('link', { name: 'Sent', exact: true }).click();
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
  return guideOf(page, home);
}

test('without script: steps one at a time, a reply, the same reply sent twice, a changed mind', async ({
  page,
  browser,
}) => {
  const guide = await demoGuide(page, 'Weir cottage');
  const home = await openWithoutScript(browser);
  await home.goto(guide);
  await home.getByRole('link', { name: 'One step at a time' }).click();
  await expect(home.getByRole('heading', { name: 'Hello' })).toBeVisible();
  await expect(home.getByRole('heading', { name: 'Wheel hunt' })).toBeHidden();
  for (let step = 0; step < 5; step++) await home.getByRole('link', { name: 'Next' }).click();
  await home.getByLabel('Partly').check();
  await home.getByLabel('Minutes for “Wheel hunt”').fill('7.5');
  await home.getByLabel('What did your child do or say?').fill('<b>Rolled</b> 🐸 away');
  const sent = await home
    .locator('#answer')
    .evaluate((form: HTMLFormElement) =>
      [...new FormData(form)].map(([name, value]) => [name, String(value)] as [string, string]),
    );
  await home.getByRole('button', { name: 'Send' }).click();
  await expect(home.getByRole('heading', { name: 'Thank you. It is saved.' })).toBeVisible();

  const again = await home.request.post(`${guide}/reply`, {
    form: Object.fromEntries(sent),
    headers: { origin: new URL(guide).origin },
  });
  expect(again.url()).toContain('again=1');
  await page.reload();
  const row = page.getByRole('row').filter({ hasText: 'Weir cottage' });
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('<b>Rolled</b> 🐸 away');
  await expect(row).toContainText('Wheel hunt: 7.5 min');

  await home.goto(`${guide}#reply`);
  await home.getByLabel('Done').check();
  await home.getByLabel('What did your child do or say?').fill('We went on after supper.');
  await home.getByRole('button', { name: 'Send' }).click();
  await page.reload();
  await expect(row).toContainText('We went on after supper.');
  await expect(row).not.toContainText('Rolled');
});

test('a reply that does not fit keeps what was written and says so', async ({ page, browser }) => {
  const guide = await demoGuide(page, 'Green steps');
  const home = await openWithoutScript(browser);
  const answer = await home.request.post(`${guide}/reply`, {
    form: { note: 'Almost lost words' },
    headers: { origin: new URL(guide).origin },
  });
  expect(answer.status()).toBe(422);
  expect(await answer.text()).toContain('Almost lost words');
  const elsewhere = await home.request.post(`${guide}/reply`, {
    form: { outcome: 'done' },
    headers: { origin: 'https://elsewhere.example' },
  });
  expect(elsewhere.status()).toBe(403);
});

test('what was sent stays as it was until it is sent again, and then the guide says that it changed', async ({
  page,
  browser,
}) => {
  const bench = await startSession(page, 'Fixed copy', ['Owl steps']);
  const guide = await sendAndOpenLetter(page, 'Corner house');
  const home = await openWithoutScript(browser);

  await page.goto(bench);
  await benchIsReady(page);
  await part(page, 'Owl steps').getByRole('spinbutton', { name: 'steps', exact: true }).first().press('End');
  await isKept(page);
  await home.goto(guide);
  await expect(home.getByText('go on until you say 12')).toBeVisible();
  await expect(home.getByText('This guide changed')).toHaveCount(0);

  const later = await sendAndOpenLetter(page, 'Corner house');
  expect(later).toBe(guide);
  await home.goto(guide);
  await expect(home.getByText('go on until you say 20')).toBeVisible();
  await expect(home.getByText('This guide changed on Monday 8 March.')).toBeVisible();

  await home.getByRole('link', { name: 'See how it was before' }).click();
  await expect(home.getByText('go on until you say 12')).toBeVisible();
  await home.getByRole('link', { name: 'Go to the new one' }).click();
  await expect(home.getByText('go on until you say 20')).toBeVisible();
  for (const odd of ['3', '0', '1.5', '99999999999'])
    expect((await home.request.get(`${guide}/${odd}`)).status()).toBe(404);
});

test('a link that was taken back and one that never was show the same kind page', async ({ page, browser }) => {
  const guide = await demoGuide(page, 'Lamp post');
  const home = await openWithoutScript(browser);
  expect((await home.goto(guide))!.status()).toBe(200);
  await page.getByRole('button', { name: 'Take back the link of Lamp post' }).click();
  await expect(page.getByText('The link was taken back.')).toBeVisible();

  const revoked = (await home.goto(guide))!;
  const revokedPage = await home.content();
  const never = (await home.goto(address(`/g/${'A'.repeat(43)}`)))!;
  expect([revoked.status(), never.status()]).toEqual([404, 404]);
  expect(await home.content()).toBe(revokedPage);
  await expect(home.getByRole('heading', { name: 'There is no guide here' })).toBeVisible();
  await expectAccessible(
    await (await browser.newContext(phone)).newPage().then(async (other) => (await other.goto(guide), other)),
  );
});

test('a guide weighs less than 90 kB, asks no other host and brings a strict policy', async ({ page, browser }) => {
  const guide = await demoGuide(page, 'Blue door');
  const home = await (await browser.newContext(phone)).newPage();
  const answers: Response[] = [];
  home.on('response', (response) => answers.push(response));
  const response = (await home.goto(guide, { waitUntil: 'networkidle' }))!;
  expect([...new Set(answers.map((answer) => new URL(answer.url()).host))]).toEqual([new URL(guide).host]);
  const weighed = answers.filter((answer) => /html|css|javascript/.test(answer.headers()['content-type'] ?? ''));
  expect(weighed.some((answer) => answer.url().endsWith('.css'))).toBe(true);
  const bodies = await Promise.all(weighed.map((answer) => answer.body()));
  const weight = bodies.reduce((sum, body) => sum + gzipSync(body).length, 0);
  expect(weight).toBeLessThan(90_000);
  expect(weight).toBeGreaterThan(1_000);
  console.log(`a guide's HTML, CSS and script: ${(weight / 1000).toFixed(1)} kB gzipped`);
  const policy = response.headers()['content-security-policy']!;
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toContain('unsafe-inline');
  expect(policy).not.toContain('unsafe-eval');
  expect(response.headers()['x-robots-tag']).toContain('noindex');
});

test('a guide prints on at most two pages, with everything that is folded up on the screen', async ({
  page,
  browser,
}) => {
  const text = await printed(browser, `${await demoGuide(page, 'Red gate')}#step-2`);
  for (const words of [
    'Fetch',
    'They bring a handful: Count into your palm together',
    'here are your 4 carts',
    'The adult in the room decides',
  ]) {
    expect(text).toContain(words);
  }
  for (const onScreenOnly of ['How did it go?', 'One step at a time']) expect(text).not.toContain(onScreenOnly);
});

test('a longer session, in Spanish, prints on at most two pages, too', async ({ page, browser }) => {
  await beSignedIn(page);
  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'Who is on the wall?' }).click();
  await page.waitForURL(BENCH);
  await benchIsReady(page);
  expect(await page.locator('section.segment').count()).toBe(6);
  const text = await printed(browser, await sendAndOpenLetter(page, 'Mill end'));
  for (const words of ['Busquen', 'Who stands in the light?', 'Decide la persona adulta'])
    expect(text).toContain(words);
});

/** The words of a guide on paper; it takes at most two pages of A4. */
async function printed(browser: Browser, guide: string): Promise<string> {
  const home = await (await browser.newContext(phone)).newPage();
  await home.goto(guide);
  const file = join(mkdtempSync(join(tmpdir(), 'footstool-print-')), 'guide.pdf');
  writeFileSync(file, await home.pdf({ format: 'A4' }));
  const pages = /Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [file], { encoding: 'utf8' }))![1];
  expect(Number(pages)).toBeLessThanOrEqual(2);
  return execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
}

test('a guide in Arabic reads from right to left, with the author’s lines in their own direction', async ({
  page,
  browser,
}) => {
  const guide = await demoGuide(page, 'Quay side');
  const home = await (await browser.newContext(phone)).newPage();
  await home.goto(guide);
  await expect(home.locator('html')).toHaveAttribute('dir', 'rtl');
  await expect(home.getByRole('heading', { name: 'أحضروا' })).toBeVisible();
  expect(
    await home
      .getByRole('heading', { name: 'Carts and lids' })
      .locator('bdi[lang=en]')
      .evaluate((title) => getComputedStyle(title).direction),
  ).toBe('ltr');
  await expectAccessible(home);
});

test('without script a home says what it has not got, reads its guide written again, and takes it back', async ({
  page,
  browser,
}) => {
  const guide = await demoGuide(page, 'Flat nine');
  const home = await openWithoutScript(browser);
  await home.goto(guide);
  const lids = home.getByRole('listitem').filter({ hasText: 'bottle lids' });
  await lids.getByRole('button', { name: /^We haven’t got this/ }).click();
  await expect(home.getByText('You told us you haven’t got bottle lids')).toBeVisible();
  await expect(lids.getByRole('button', { name: /^We haven’t got this/ })).toHaveCount(0);
  await home.getByText('No book at hand?').click();
  await home.getByRole('button', { name: 'We don’t have this book' }).click();
  await expect(home.getByText('Sit close together. You don’t need the book for this.')).toBeVisible();
  await expect(home.getByText(/After page/)).toHaveCount(0);
  await home.getByRole('button', { name: 'We have bottle lids after all' }).click();
  await expect(home.getByText('You told us you haven’t got bottle lids')).toHaveCount(0);
  await home.getByRole('button', { name: 'We have it after all' }).click();
  await expect(home.getByText(/After page/).first()).toBeVisible();
});

test('coming back the next day: ticks, level and place are on this phone, and on no other', async ({
  page,
  browser,
}) => {
  const guide = await demoGuide(page, 'Weir cottage');
  const phoneOfHome = await browser.newContext(phone);
  const home = await phoneOfHome.newPage();
  await home.goto(guide);
  await home.getByRole('checkbox').nth(1).check();
  await expectAccessible(home);
  await home.goto(`${guide}#step-3`);
  await home.getByRole('radio', { name: 'Easier' }).first().check();
  await home.goto('about:blank');
  await home.goto(guide);
  await expect(home.getByRole('checkbox').nth(1)).toBeChecked();
  await expect(home.getByRole('radio', { name: 'Easier' }).first()).toBeChecked();
  await home.getByRole('link', { name: 'Go on where you stopped' }).click();
  await expect(home).toHaveURL(/#step-3$/);
  const other = await (await browser.newContext(phone)).newPage();
  await other.goto(guide);
  await expect(other.getByRole('checkbox').nth(1)).not.toBeChecked();
  await expect(other.getByRole('link', { name: 'Go on where you stopped' })).toBeHidden();
});
