import { expect, test } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDemoDatabase, startServer } from '../support/app.ts';
import { demoEntries } from '../support/demoFile.ts';
import {
  address,
  expectAccessible,
  expectAccessibleInLightAndDark,
  expectToFitAtTwiceTheSize,
  shareOf,
  beSignedIn,
  signIn,
  signInAs,
  useServer,
} from './steps.ts';

const ROOMS = [
  { path: '/', heading: 'Monday 8 March' },
  { path: '/shelf', heading: 'Shelf' },
  { path: '/shelf?kind=thing', heading: 'Shelf' },
  { path: '/shelf/activity/carts-and-lids', heading: 'Carts and lids' },
  { path: '/sessions', heading: 'Sessions' },
  { path: '/sessions/new', heading: 'Start a session' },
  { path: '/homes', heading: 'Homes' },
  { path: '/homes/new', heading: 'Add a home' },
  { path: '/programme/people', heading: 'People' },
  { path: '/account', heading: 'Your account' },
  { path: '/shelf/have', heading: 'What we have' },
  { path: '/shelf/thing/sock', heading: 'socks' },
  { path: '/shelf/book/the-goat-who-counted-planks', heading: 'The goat who counted planks' },
  { path: '/shelf/song/slowly-rolling', heading: 'Slowly rolling' },
  { path: '/shelf/new/activity', heading: 'Add an activity' },
  { path: '/term/new', heading: 'Plan a term' },
  { path: '/makers/words-to-a-tune?tune=row-the-boat', heading: 'Words to a tune' },
  { path: '/makers/sound-page', heading: 'Sound page' },
  { path: '/makers', heading: 'Sheets and sums' },
  { path: '/makers/number-pots', heading: 'Number pots' },
  { path: '/makers/ladder?skill=sort&seen=yes', heading: 'What next?' },
  { path: '/printer', heading: 'PDFs to print' },
  { path: '/programme', heading: 'Quillbrook children’s room and the Lantern Room' },
  { path: '/programme/sounds', heading: 'Sounds in our own voice' },
  { path: '/programme/cautions', heading: 'Cautions' },
  { path: '/programme/delete', heading: 'Delete the programme' },
  { path: '/sent', heading: 'Sent' },
  { path: '/shelf/import', heading: 'Import' },
  { path: '/shelf/starter', heading: 'Our collection' },
  { path: '/homes/table', heading: 'Bring in your families' },
  { path: '/help', heading: 'How it works' },
];

/** Keys of things and activities, as no person should ever read them. */
const KEYS = ['things', 'activities'].flatMap((section) =>
  demoEntries<{ key: string; one?: string; many?: string }>(section).flatMap(({ key, one, many }) =>
    key.includes('-') && key !== one && key !== many ? [key] : [],
  ),
);
const A_KEY = new RegExp(`(?<![\\w-])(${KEYS.join('|')})(?![\\w-])`);

const ROOMS_PER_TEST = 5;
/** One theme for all: what a third of them show in the dark, the others show too. */
const IN_THE_DARK = shareOf(ROOMS);

test.describe('axe finds nothing, in the light and in the dark, and rooms fit at 200 % zoom', () => {
  test.use({ contextOptions: { reducedMotion: 'reduce' } });

  test('sign-in', async ({ page }) => {
    await page.goto(address('/sign-in'));
    await expectAccessibleInLightAndDark(page);
  });

  for (let first = 0; first < ROOMS.length; first += ROOMS_PER_TEST) {
    const rooms = ROOMS.slice(first, first + ROOMS_PER_TEST);
    test(rooms.map(({ path }) => path).join(' '), async ({ page }) => {
      await signIn(page);
      for (const room of rooms)
        await test.step(room.path, async () => {
          const { path, heading } = room;
          await page.goto(address(path));
          await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
          expect(await page.locator('body').innerText()).not.toMatch(A_KEY);
          await (IN_THE_DARK.includes(room) ? expectAccessibleInLightAndDark : expectAccessible)(page);
          await expectToFitAtTwiceTheSize(page);
        });
    });
  }

  test('what came back of a session', async ({ page }) => {
    await signIn(page);
    await page.goto(address('/sent'));
    await page.getByRole('link', { name: 'The cart with no wheels' }).click();
    await expect(page.locator('.apexcharts-bar-series')).toBeVisible();
    await expectAccessibleInLightAndDark(page);
  });
});

test('the session room fits at 200 % zoom without scrolling sideways', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
  await expectToFitAtTwiceTheSize(page);
});

test('a row of words at the top leads everywhere by keyboard', async ({ page }) => {
  await signIn(page);
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
  for (let step = 0; step < 4; step++) await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Shelf', exact: true })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shelf');
});

test('five wrong sign-ins slow the sixth down, and never say which part was wrong', async ({ page }) => {
  // A server of its own: nobody else has to wait for this.
  const folder = mkdtempSync(join(tmpdir(), 'footstool-wrong-'));
  const records = await startDemoDatabase();
  const server = await startServer(records.url, folder);
  useServer({ address: server.address, signInCookie: '' });
  try {
    const answers: string[] = [];
    for (let attempt = 0; attempt < 5; attempt++) {
      await signInAs(page, attempt % 2 ? 'nobody@quillbrook.example' : 'tamsin@quillbrook.example', 'not-the-password');
      answers.push(await page.getByRole('alert').innerText());
    }
    expect(new Set(answers)).toEqual(
      new Set(['That address and password do not go together. Check both and try again.']),
    );
    for (let attempt = 0; attempt < 2; attempt++) await signInAs(page, 'tamsin@quillbrook.example', 'still-not');
    const slowed = page.waitForResponse((response) => response.request().method() === 'POST');
    await signInAs(page, 'tamsin@quillbrook.example', 'paper-and-string');
    expect((await slowed).status()).toBe(429);
    expect(Number((await slowed).headers()['retry-after'])).toBeGreaterThan(0);
    await expect(page.getByRole('alert')).toContainText('Too many tries');
  } finally {
    useServer(null);
    await server.stop();
    await records.remove();
    rmSync(folder, { recursive: true, force: true });
  }
});

test('odd titles are shown as text', async ({ page }) => {
  await signIn(page);
  const odd = '<script>document.title="taken"</script> 🐸 שלום עולם';
  await page.goto(address('/sessions/new'));
  await page.getByLabel('What is it called?').fill(odd);
  await page.getByRole('button', { name: 'Start writing' }).click();
  await expect(page.getByRole('textbox', { name: 'Title of the session' })).toHaveValue(odd);
  expect(await page.title()).toContain('🐸');
  await page.goto(address('/sessions'));
  await expect(page.getByRole('link', { name: odd })).toBeVisible();

  await page.goto(address('/sessions/new'));
  await page.getByLabel('What is it called?').fill('x'.repeat(10_000));
  await page.getByLabel('Aim').fill('Kept while the title is mended.');
  await page.getByRole('button', { name: 'Start writing' }).click();
  await expect(page.getByRole('alert')).toContainText('one place needs another look');
  await expect(page.getByText('What is it called? must be at most 300 characters')).toBeVisible();
  await expect(page.getByLabel('What is it called?')).toBeFocused();
  await expect(page.getByLabel('Aim')).toHaveValue('Kept while the title is mended.');
});

test('a file is taken in whole, or not at all with each place named', async ({ page }) => {
  await signIn(page);
  const thing = {
    key: 'odd-lid',
    one: 'odd lid',
    many: 'odd lids',
    traits: ['flat'],
    allergens: [],
    usualQty: 2,
    common: 0.5,
  };
  const file = (things: object[]) => ({
    name: 'shelf.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ format: 'footstool', version: 1, things })),
  });
  await page.goto(address('/shelf/import'));
  await page.getByLabel('File').setInputFiles(file([thing, { ...thing, key: 'odder-lid', colour: 'red' }]));
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByRole('alert')).toContainText('things[1] has fields that are not known: colour');
  await page.goto(address('/shelf?kind=thing&q=odd'));
  await expect(page.getByText('odd lids')).toHaveCount(0);

  await page.goto(address('/shelf/import'));
  await page.getByLabel('File').setInputFiles(file([thing]));
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('Taken in: 1 added, 0 replaced.')).toBeVisible();
  await page.goto(address('/shelf?kind=thing&q=odd'));
  await expect(page.getByText('odd lids')).toBeVisible();
});

test('somebody who reads sees the bench and cannot change it', async ({ page }) => {
  await signInAs(page, 'bo@quillbrook.example', 'only-looking-on');
  await page.goto(address('/sessions'));
  await expect(page.getByRole('link', { name: 'Start a session' })).toHaveCount(0);
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
  await expect(page.getByRole('heading', { name: 'Carts and lids' })).toBeVisible();
  await expect(page.getByRole('spinbutton')).toHaveCount(0);
  await expect(page.getByRole('link', { name: /^Send to/ })).toHaveCount(0);
  const id = page.url().split('/').at(-1);
  const answer = await page.request.put(address(`/api/sessions/${id}`), {
    data: { revision: 1 },
    headers: { origin: address('') },
  });
  expect(answer.status()).toBe(403);
});
