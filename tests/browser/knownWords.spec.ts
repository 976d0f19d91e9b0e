import { expect, test } from '@playwright/test';
import { address, expectAccessible, sendAndOpenLetter, signIn, startSession } from './steps.ts';

test(
  'words are pressed off by keyboard, rest and come as sheets; where a programme asks, a home presses too, without script',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/programme'));
    await page.getByLabel('Words at a time').fill('0');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('must be greater than or equal to 1')).toBeVisible();
    await page.getByLabel('Words in the order they are met').fill('boat, don’t');
    await page.getByLabel('Minutes a child sits, for each year of age').fill('3.5');
    await page.getByLabel('Words at a time').fill('3');
    await page.getByLabel('A word rests once it’s been right on this many days').fill('1');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('holds “don’t”, which is no word')).toBeVisible();
    // What was written in other fields stays as well.
    await expect(page.getByLabel('Words in the order they are met')).toHaveValue('boat, don’t');
    await expect(page.getByLabel('Words at a time')).toHaveValue('3');
    await expect(page.getByLabel('A word rests once it’s been right on this many days')).toHaveValue('1');
    await expect(page.getByLabel('Minutes a child sits, for each year of age')).toHaveValue('3.5');
    await page.getByLabel('Words in the order they are met').fill('boat, we, dig, mud');
    await page.getByLabel('Which words were read is written down by').selectOption('homes');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('status')).toHaveText('Kept.');

    await page.goto(address('/homes'));
    await page.getByRole('link', { name: 'Words at Corner house' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Words at Corner house');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'boat: read' }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByText(/boat until Monday 15 March/)).toBeVisible();
    await page.getByRole('button', { name: 'dig: not yet' }).click();
    await page.getByRole('button', { name: 'take dig back' }).click();
    await expect(page.getByRole('button', { name: 'dig: not yet' })).toBeVisible();
    await page.getByRole('link', { name: 'A sheet for next time' }).click();
    await expect(page.getByRole('textbox', { name: 'words' })).toHaveValue('we, dig, mud');

    await startSession(page, 'Words along the way', []);
    const guide = await sendAndOpenLetter(page, 'Corner house');
    const plain = await page
      .context()
      .browser()!
      .newContext({ javaScriptEnabled: false, viewport: { width: 390, height: 844 } });
    const atHome = await plain.newPage();
    await atHome.goto(guide);
    await atHome.getByRole('link', { name: 'Words your child is reading' }).click();
    await atHome.getByRole('button', { name: 'we: read it' }).click();
    await expect(atHome.getByText('read today').first()).toBeVisible();
    await page.goto(atHome.url());
    await expect(page.getByText('read today').first()).toBeVisible();
    await expectAccessible(page);
    await plain.close();
    await page.goto(address('/homes'));
    await page.getByRole('link', { name: 'Words at Corner house' }).click();
    await expect(page.getByRole('button', { name: 'take we back' })).toBeVisible();

    await page.goto(address('/programme'));
    await page.getByLabel('Minutes a child sits, for each year of age').fill('3');
    await page.getByLabel('Words in the order they are met').fill('');
    await page.getByLabel('Words at a time').fill('5');
    await page.getByLabel('A word rests once it’s been right on this many days').fill('3');
    await page.getByLabel('Which words were read is written down by').selectOption('author');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByLabel('Words in the order they are met')).toHaveValue(/^see the/);
  },
);
