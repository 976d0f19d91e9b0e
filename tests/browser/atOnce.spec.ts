import { expect, test, type Page } from '@playwright/test';
import { benchIsReady, isKept, lineTools, part, script, startSession, writeLine } from './steps.ts';

const lines = (page: Page, title: string) =>
  part(page, title)
    .locator('.line')
    .evaluateAll((all) =>
      all.map((line) => `${/line-(\w+)/.exec(line.className)![1]}: ${line.querySelector('.line-text')!.textContent}`),
    );

test('what is typed, turned or held at once is never lost: the text has the keys in the same breath, a number stays put', async ({
  page,
}) => {
  let arrive = () => {};
  let arrives = Promise.resolve();
  const hold = () => (arrives = new Promise((resolve) => (arrive = resolve)));
  await page.route(/ScriptEditor/, async (route) => (await arrives, route.continue()));
  hold();
  await startSession(page, 'At once', ['Carts and lids']);
  // A part of one’s own takes words before its text has come; a space does not press “Add a part” once more.
  await page.getByRole('button', { name: 'Add a part' }).click();
  await page.keyboard.type('ask: Is it wet?\nDrum on t');
  await page.keyboard.press('ArrowLeft');
  const [box, beside] = await Promise.all([
    script(page, 'Something to do').boundingBox(),
    part(page, 'Goodbye').locator('.line-text').first().boundingBox(),
  ]);
  expect(box!.x).toBeGreaterThanOrEqual(beside!.x);
  expect(box!.x + box!.width).toBeLessThanOrEqual(beside!.x + beside!.width);
  arrive();
  await expect(script(page, 'Hello')).toBeVisible();
  await page.keyboard.type('i');
  await expect.poll(() => lines(page, 'Something to do')).toEqual(['ask: Is it wet?', 'do: Drum on it']);
  await expect(script(page, 'Something to do')).toBeFocused();
  await isKept(page);

  hold();
  await page.reload();
  await benchIsReady(page);
  const carts = part(page, 'Carts and lids');
  const dial = carts.getByRole('spinbutton', { name: 'boxes in a row' }).first();
  await dial.focus();
  arrive();
  // Every other part can be written in by now; the one that is held waits until it is let go of.
  await expect(script(page, 'Hello')).toBeVisible();
  await expect(dial).toBeFocused();
  // Two keys before the number is drawn anew.
  await dial.evaluate((element) => {
    for (let count = 0; count < 2; count++)
      element.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true, cancelable: true }));
  });
  await expect(dial).toHaveText('6');
  await dial.press('5');
  await page.keyboard.press('Enter');
  await expect(dial).toBeFocused();
  await expect(dial).toHaveText('5');
  await expect(script(page, 'Carts and lids')).toHaveCount(0);

  await page.getByRole('heading', { name: 'Goodbye' }).click();
  await writeLine(page, 'Carts and lids', 'Look at the lids');
  const hasKeys = await lineTools(page)
    .getByRole('button', { name: 'notice' })
    .evaluate((button: HTMLElement) => {
      button.focus();
      button.click();
      return document.activeElement?.getAttribute('aria-label');
    });
  expect(hasKeys).toBe('Lines of Carts and lids');
});
