import { expect, test } from '@playwright/test';
import { address, benchIsReady, expectAccessible, beSignedIn } from './steps.ts';

test('a home is added by form, with an allergy and a toddler, and its guide follows', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/homes'));
  await page.getByRole('link', { name: 'Add a home' }).click();
  await page.waitForURL('**/homes/new');
  await benchIsReady(page);
  await page.getByRole('button', { name: 'Add a child' }).click();
  await page.getByLabel('Address for letters').fill('one@homes.example, two@homes.example');
  await page.getByRole('button', { name: 'Add the home' }).click();
  await expect(page.getByRole('alert')).toContainText('4 places need another look');
  await expect(page.getByText('Name of the home must be filled in')).toBeVisible();
  await expect(page.getByText('Address for letters must be one address')).toBeVisible();
  await expect(page.getByText('Month of birth must be filled in')).toBeVisible();
  await expect(page.getByLabel('Name of the home')).toBeFocused();
  await expectAccessible(page);

  await page.getByLabel('Name of the home').fill('Brick arch');
  await page.getByLabel('Address for letters').fill('brick-arch@homes.example');
  const child = page.getByRole('group', { name: 'Child 1' });
  await child.getByLabel('Name').fill('Ottoline');
  await child.getByLabel('Month of birth').fill('2025-11');
  await page.getByRole('checkbox', { name: 'wheat' }).check();
  for (const [index, [thing, count]] of [
    ['bottle lids', '20'],
    ['jar lids', '20'],
    ['small boxes', '6'],
  ].entries()) {
    await page.getByRole('button', { name: 'Add a thing' }).click();
    const row = page.getByRole('group', { name: `Thing ${index + 1}`, exact: true });
    await row.getByLabel('Thing', { exact: true }).fill(thing!);
    await row.getByLabel('How many').fill(count!);
  }
  await page.getByRole('button', { name: 'Add the home' }).click();
  await expect(page.getByRole('status')).toContainText('Brick arch is kept.');
  await expect(page.getByRole('row').filter({ hasText: 'Brick arch' })).toContainText('wheat');

  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
  await benchIsReady(page);
  await page.goto(`${page.url()}/send`);
  const row = page.getByRole('row').filter({ hasText: 'Brick arch' });
  await expect(row.getByRole('checkbox')).toBeChecked();
  await expect(row).toContainText('no');
  await row.getByRole('link', { name: 'Look at the guide of Brick arch' }).click();
  await expect(page.getByText('This is how Brick arch will see it. Nothing was sent.')).toBeVisible();
  await expect(page.getByText('Ottoline').first()).toBeVisible();
  // Bottle lids are too small for a child of one; jar lids serve in their place.
  await expect(page.getByRole('listitem').filter({ hasText: 'jar lids' }).first()).toBeVisible();
  await expectAccessible(page);

  await page.goto(address('/homes'));
  await page.getByRole('link', { name: 'Change Brick arch' }).click();
  await benchIsReady(page);
  await page.getByRole('button', { name: 'Take Brick arch out' }).click();
  await expect(page.getByRole('status')).toContainText('Brick arch was taken out');
  await page.getByRole('button', { name: 'Bring back Brick arch' }).click();
  await expect(page.getByRole('status')).toContainText('Brick arch is back');
  await page.getByRole('link', { name: 'Change Brick arch' }).click();
  await page.getByRole('button', { name: 'Take Brick arch out' }).click();
});

test('a home is added by keyboard alone', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/homes/new'));
  await benchIsReady(page);
  await page.getByLabel('Name of the home').focus();
  await page.keyboard.type('Dot');
  await page.keyboard.press('Tab');
  await page.keyboard.type('Spanish');
  await page.keyboard.press('Tab');
  await page.keyboard.type('keyed-door@homes.example');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await page.getByRole('group', { name: 'Child 1' }).getByLabel('Name').focus();
  await page.keyboard.type('Uli');
  await page.keyboard.press('Tab');
  await page.keyboard.type('2023-04');
  await page.getByRole('button', { name: 'Add a thing' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('group', { name: 'Thing 1', exact: true }).getByLabel('Thing', { exact: true }).focus();
  await page.keyboard.type('socks');
  await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toContainText('Dot is kept.');
  const row = page.getByRole('row').filter({ hasText: 'Dot' });
  await expect(row).toContainText('Spanish');
  await expect(row).toContainText('Uli');
  // A short name and one child make a low row: its two links are still large enough for a finger.
  await expectAccessible(page);
  await row.getByRole('link', { name: 'Change Dot' }).press('Enter');
  await benchIsReady(page);
  await page.getByRole('button', { name: 'Take Dot out' }).press('Enter');
  await expect(page.getByRole('status')).toContainText('was taken out');
});

test('of two who change a home the second chooses which to go on from', async ({ page, context }) => {
  await beSignedIn(page);
  await page.goto(address('/homes'));
  const href = (await page.getByRole('link', { name: 'Change Hill cottage' }).getAttribute('href'))!;
  const other = await context.newPage();
  for (const window of [page, other]) {
    await window.goto(address(href));
    await benchIsReady(window);
  }
  await page.getByLabel('Address for letters').fill('cottage@homes.example');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('Hill cottage is kept');
  await other.getByLabel('Address for letters').fill('hill@homes.example');
  await other.getByRole('button', { name: 'Save' }).click();
  await expect(other.getByRole('alert')).toContainText('Somebody kept a newer version');
  await other.getByRole('button', { name: 'Go on from theirs' }).click();
  await expect(other.getByLabel('Address for letters')).toHaveValue('cottage@homes.example');
});
