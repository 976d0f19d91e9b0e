import { expect, test, type Page } from '@playwright/test';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from '../support/chromium.ts';
import { humFile } from '../support/humFile.ts';
import { address, benchIsReady, expectAccessible, sendAndOpenLetter, beSignedIn, signIn } from './steps.ts';

/** What the microphone of this browser hears: somebody who hums once, a moment after it is switched on. */
const folder = mkdtempSync(join(tmpdir(), 'footstool-voice-'));
const heard = join(folder, 'hum.wav');
writeFileSync(heard, humFile({ before: 300, hum: 500, behind: 4000, loud: 0.1 }));
test.use({
  launchOptions: {
    ...CHROMIUM,
    args: [
      ...CHROMIUM.args,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${heard}`,
    ],
  },
});

const rowOf = (page: Page, letters: string) =>
  page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: letters, exact: true }) });

/** Seconds that a sound lasts once it is loaded; proves that the browser can play it. */
const secondsOf = (page: Page, label: string) =>
  page.getByLabel(label).evaluate(
    (element) =>
      new Promise<number>((loaded, failed) => {
        const audio = element as HTMLAudioElement;
        audio.onloadedmetadata = () => loaded(audio.duration);
        audio.onerror = () => failed(new Error('cannot be played'));
        audio.preload = 'auto';
        audio.load();
      }),
  );

test(
  'a sound is recorded in the browser, cut and kept, heard in the maker’s room, on the bench and in a home’s guide',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/programme/sounds'));
    await benchIsReady(page);
    const row = rowOf(page, 'm');
    await row.getByRole('button', { name: 'Record m' }).click();
    await expect(row.getByRole('button', { name: /^Stop/ })).toBeVisible();
    await expect(row.getByRole('status')).toHaveText('“m” is kept. Listen to it once.');
    await expect(page.getByText(/^1 of \d+ are recorded/)).toBeVisible();
    // Three seconds were recorded; what is silent around the hum was cut off.
    const seconds = await secondsOf(page, 'The sound of m');
    expect(seconds).toBeGreaterThan(0.4);
    expect(seconds).toBeLessThan(0.9);
    await expectAccessible(page);

    await page.goto(address('/makers/sound-page?sound=m'));
    await benchIsReady(page);
    await expect(page.getByLabel('The sound of m')).toBeVisible();
    await page.getByRole('combobox', { name: 'letter or pair' }).selectOption('t');
    await expect(page.getByLabel('The sound of m')).toHaveCount(0);

    await page.goto(address('/sessions/new?sound=m#one-press'));
    await page.getByRole('button', { name: 'Make the session' }).click();
    await expect(page.getByLabel('The sound of m').first()).toBeVisible();
    const guide = await sendAndOpenLetter(page, 'Blue door');
    const home = await page.context().browser()!.newContext({ javaScriptEnabled: false });
    const atHome = await home.newPage();
    await atHome.goto(guide);
    const player = atHome.getByLabel('The sound of m').first();
    await expect(player).toBeVisible();
    const source = (await player.getAttribute('src'))!;
    const sound = await atHome.request.get(new URL(source, guide).href);
    expect([sound.status(), sound.headers()['content-type']]).toEqual([200, 'audio/wav']);
    await home.close();

    await page.goto(address('/programme/sounds'));
    await benchIsReady(page);
    await row.getByRole('button', { name: 'Take m out' }).click();
    await expect(row.getByRole('status')).toHaveText('The recording of “m” was taken out.');
    await page.goto(guide);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByLabel('The sound of m')).toHaveCount(0);
  },
);

test('a microphone that is refused is said in words, and a file does instead, by keyboard and without script', async ({
  page,
  browser,
}) => {
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError'));
  });
  await beSignedIn(page);
  await page.goto(address('/programme/sounds'));
  await benchIsReady(page);
  const row = rowOf(page, 'sh');
  await row.getByRole('button', { name: 'Record sh' }).focus();
  await page.keyboard.press('Enter');
  await expect(row.getByRole('alert')).toContainText('Allow the microphone for this page');

  const plain = await browser.newContext({
    javaScriptEnabled: false,
    storageState: await page.context().storageState(),
  });
  const still = await plain.newPage();
  await still.goto(address('/programme/sounds'));
  await still.getByRole('combobox', { name: 'Sound' }).selectOption('sh');
  const file = still.getByLabel(/WAV file/);
  await file.setInputFiles({ name: 'sh.wav', mimeType: 'audio/wav', buffer: Buffer.from('not a sound') });
  await still.getByRole('button', { name: 'Keep this file' }).click();
  await expect(still.getByRole('alert')).toContainText('is not a WAV file that can be read');
  await file.setInputFiles({ name: 'sh.wav', mimeType: 'audio/wav', buffer: Buffer.from(humFile({})) });
  await still.getByRole('button', { name: 'Keep this file' }).click();
  await expect(still.getByRole('status').first()).toHaveText('Kept.');
  await expect(still.getByLabel('The sound of sh')).toHaveCount(1);
  await plain.close();
  await page.reload();
  await benchIsReady(page);
  await row.getByRole('button', { name: 'Take sh out' }).click();
  await expect(row.getByRole('status')).toContainText('was taken out');
});
