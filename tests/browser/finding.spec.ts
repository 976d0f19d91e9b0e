import { expect, test } from '@playwright/test';
import { address, benchIsReady, expectAccessible, isKept, partTitles, signIn, startSession } from './steps.ts';

test('“/” goes to the field, a slip of typing is forgiven, arrows choose, and what is chosen is opened', async ({
  page,
}) => {
  await signIn(page);
  const field = page.getByRole('combobox', { name: 'Find anything' });
  await expect(async () => {
    await page.keyboard.press('/');
    await expect(field).toBeFocused({ timeout: 500 });
  }).toPass();
  await page.keyboard.type('wheell hunt');
  const first = page.getByRole('option').first();
  await expect(first).toContainText('Wheel hunt');
  await page.keyboard.press('ArrowDown');
  await expect(first).toHaveAttribute('aria-selected', 'true');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/shelf\/activity\/wheel-hunt/);
  await expect(page.getByRole('heading', { name: 'Wheel hunt' }).first()).toBeVisible();
});

test('on a session what is found on the shelf is put in, and a number opens a maker so', async ({ page }) => {
  await startSession(page, 'Found and put in', []);
  const field = page.getByRole('combobox', { name: 'Find anything' });
  await field.fill('wheel hunt');
  await page.getByRole('option').filter({ hasText: 'Wheel hunt' }).first().click();
  await expect(page.getByRole('heading', { name: 'Wheel hunt' })).toBeVisible();
  expect((await partTitles(page)).at(-1)).toBe('Goodbye');
  await isKept(page);
  await field.fill('pots to 5');
  await page.getByRole('option').filter({ hasText: 'set to 5' }).first().click();
  await page.waitForURL(/\/makers\/number-pots\?\w+=5/);
});

test.describe('without script', () => {
  test.use({ javaScriptEnabled: false, viewport: { width: 390, height: 844 } });

  test('a page shows what was found, and the rooms fold into a menu in one line', async ({ page }) => {
    await signIn(page);
    await page.goto(address('/search?q=flashlight'));
    await expect(page.getByRole('main').getByRole('link', { name: 'torches' })).toBeVisible();
    for (const path of ['/search?q=pegs', '/sessions', '/makers']) {
      await page.goto(address(path));
      const head = await page.locator('header').first().boundingBox();
      expect(head!.height, path).toBeLessThan(64);
    }
    await page.getByRole('navigation', { name: 'Rooms' }).locator('summary').click();
    await page.getByRole('link', { name: 'Homes' }).click();
    await page.waitForURL(/\/homes$/);
  });
});

test('what does not come is asked for once more, then said; whoever comes back to the field asks anew', async ({
  page,
}) => {
  await signIn(page);
  await benchIsReady(page);
  let asked = 0;
  await page.route('**/api/search', (route) => {
    asked += 1;
    return asked <= 2 ? route.abort() : route.continue();
  });
  const field = page.getByRole('combobox', { name: 'Find anything' });
  await field.fill('bridge');
  await expect(page.getByRole('alert')).toContainText('The list didn’t come.');
  expect(asked).toBe(2);
  await field.press('Escape');
  await field.fill('bridges');
  await expect(page.getByRole('option').first()).toBeVisible();
  expect(asked).toBe(3);
});
