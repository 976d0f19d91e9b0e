import { expect, test } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { address, expectAccessible, expectToFitAtTwiceTheSize, isKept, beSignedIn, startSession } from './steps.ts';

test('from a session to what has to be done before it: tasks are ticked, bags are listed, and labels lead to the tray', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'A parcel for Nim' }).click();
  await page.getByRole('link', { name: 'prepare', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Prepare');
  await expectAccessible(page);
  await expectToFitAtTwiceTheSize(page);
  const boxes = page.getByRole('button', { name: /^Tick off: / });
  const count = await boxes.count();
  expect(count).toBeGreaterThan(0);
  const name = (await boxes.first().getAttribute('aria-label'))!.replace('Tick off: ', '');
  await boxes.first().click();
  await expect(boxes).toHaveCount(count - 1);
  await page.goto(address('/'));
  await expect(page.getByRole('button', { name: `Not done after all: ${name}` })).toBeVisible();
  await page.goBack();
  await page.getByRole('button', { name: `Not done after all: ${name}` }).click();
  await expect(boxes).toHaveCount(count);
});

test('a session is taken along as text, page and captions; the text comes back as a script', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'Who is on the wall?' }).first().click();
  const lines = page.locator('.line-text');
  await expect(lines.first()).toBeVisible();
  await page.getByRole('link', { name: 'prepare', exact: true }).click();
  const fileOf = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name, exact: true }).click(),
    ]);
    return { name: download.suggestedFilename(), text: await readFile(await download.path(), 'utf8') };
  };
  const script = await fileOf('The script as text');
  expect(script.name).toBe('who-is-on-the-wall-script.md');
  const captions = await fileOf('Captions');
  const chapters = await fileOf('Chapters');
  const whole = await fileOf('The script as one page');

  // Chromium's own reader of captions and of pages.
  const cuesOf = (text: string) =>
    page.evaluate(async (vtt) => {
      const track = document.createElement('track');
      track.src = URL.createObjectURL(new Blob([vtt], { type: 'text/vtt' }));
      const film = document.body.appendChild(document.createElement('video'));
      film.append(track);
      track.track.mode = 'hidden';
      await new Promise((loaded, failed) => {
        track.onload = loaded;
        track.onerror = failed;
      });
      return [...track.track.cues!].map((cue) => [cue.startTime, cue.endTime, (cue as VTTCue).text]);
    }, text);
  await page.goto('about:blank');
  const cues = await cuesOf(captions.text);
  expect(cues.length).toBeGreaterThan(20);
  for (const [at, [from, to]] of cues.entries()) {
    expect(Number(to)).toBeGreaterThan(Number(from));
    if (at > 0) expect(Number(from)).toBeGreaterThanOrEqual(Number(cues[at - 1]![0]));
  }
  const titles = (await cuesOf(chapters.text)).map(([, , text]) => text);
  expect(titles).toContain('Long, longer, longest');
  await page.setContent(whole.text);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Who is on the wall?');
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(titles.length);

  await startSession(page, 'Brought back', []);
  await page.getByRole('button', { name: 'Paste a page' }).click();
  await page
    .getByLabel('Or choose a file of text')
    .setInputFiles({ name: script.name, mimeType: 'text/markdown', buffer: Buffer.from(script.text) });
  const part = page.locator('section.segment').filter({
    has: page.getByRole('textbox', { name: 'Title of this part' }).and(page.locator('[value="Long, longer, longest"]')),
  });
  await expect(part.locator('.line').first()).toBeVisible();
  await isKept(page);
});
