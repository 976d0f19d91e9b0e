import { expect, test } from '@playwright/test';
import { address, benchIsReady, isKept, lineTools, part, script, signIn, startSession } from './steps.ts';

test('what opens from the tools of a part stays within the window, by mouse and by touch, however wide it is', async ({
  browser,
}) => {
  for (const [width, hasTouch] of [
    [1280, false],
    [820, true],
    [390, true],
  ] as const) {
    const context = await browser.newContext({ viewport: { width, height: 900 }, hasTouch, isMobile: hasTouch });
    const page = await context.newPage();
    await signIn(page);
    await startSession(page, `Tools at ${width}`, []);
    await page.getByRole('button', { name: 'Add a part' }).click();
    const own = part(page, 'Something to do');
    await own.locator('.segment-head').hover();
    for (const [opener, panel] of [
      ['needs', own.getByLabel('Thing to add')],
      ['minutes', own.getByRole('table')],
    ] as const) {
      await own.locator('summary').filter({ hasText: opener }).click();
      const box = (await panel.boundingBox())!;
      const where = `${opener} at ${width}${hasTouch ? ', by touch' : ''}`;
      expect(box.x, where).toBeGreaterThanOrEqual(0);
      expect(box.x + box.width, where).toBeLessThanOrEqual(width);
      await own.locator('summary').filter({ hasText: opener }).click();
    }
    await context.close();
  }
});

test('a part of one’s own: its first line has the focus, a new line is “do”, Escape keeps what was typed', async ({
  page,
}) => {
  await startSession(page, 'By hand', []);
  await page.getByRole('button', { name: 'Add a part' }).click();
  const own = part(page, 'Something to do');
  await expect(script(page, 'Something to do')).toBeFocused();
  await page.keyboard.type('ask: How many are 6 lids?');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Count 6 lids');
  await page.keyboard.press('Escape');
  await expect(own.getByText('Count 6 lids')).toBeVisible();
  await expect(own.locator('.line').nth(0)).toContainText('ask: ');
  await expect(own.locator('.line').nth(1)).toContainText('do: ');

  await own.getByText('Count 6 lids').click();
  await lineTools(page).getByRole('button', { name: 'make 6 adjustable' }).click();
  const panel = page.getByRole('group', { name: 'Make 6 adjustable' });
  await expect(panel.getByRole('checkbox')).toHaveCount(2);
  await expect(panel.getByLabel('What is counted')).toHaveValue('lids');
  await panel.getByLabel('to', { exact: true }).fill('8');
  await panel.getByRole('button', { name: 'Make it adjustable' }).click();
  const dials = own.getByRole('spinbutton', { name: 'lids' });
  await expect(dials).toHaveCount(2);
  await dials.first().focus();
  await page.keyboard.type('8');
  await page.keyboard.press('Enter');
  await expect(dials.nth(1)).toHaveText('8');
  await isKept(page);
});

test('a thing nobody has heard of is put on the shelf where it is needed, one of our collection just comes along', async ({
  page,
}) => {
  await startSession(page, 'With a drum', []);
  await page.getByRole('button', { name: 'Add a part' }).click();
  await page.keyboard.type('Drum on it.');
  await page.keyboard.press('Escape');
  const own = part(page, 'Something to do');
  await own.getByText('needs', { exact: true }).click();
  await own.getByLabel('Thing to add').fill('hand drums');
  await page.evaluate(() =>
    addEventListener('keydown', (event) => (document.body.dataset.spent = String(event.defaultPrevented))),
  );
  await page.keyboard.press('Enter');
  // The same press must not reach the button that has the keys next.
  await expect(page.locator('body')).toHaveAttribute('data-spent', 'true');
  await expect(own.getByLabel('One', { exact: true })).toHaveValue('hand drum');
  await expect(own.getByRole('button', { name: 'put it on the shelf' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(own.getByLabel('How many hand drums')).toBeVisible();
  await isKept(page);
  await page.reload();
  await benchIsReady(page);
  await own.getByText('needs', { exact: true }).click();
  await expect(own.getByLabel('How many hand drums')).toBeVisible();
  await page.goto(address('/shelf?kind=thing&q=hand+drum'));
  await expect(page.getByRole('link', { name: 'hand drums' })).toBeVisible();
});
