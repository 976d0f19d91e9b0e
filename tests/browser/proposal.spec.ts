import { expect, test } from '@playwright/test';
import { frameTerm } from './frameTerm.ts';
import { benchIsReady, signIn, TERM } from './steps.ts';

test('a proposal stopped before its first plan leaves the term as it was', async ({ page }) => {
  await signIn(page);
  await frameTerm(page, { 'What is it called?': 'Stopped at once' });
  await page.waitForURL(TERM);
  await benchIsReady(page);
  // The solver never arrives, so that there is no plan to take.
  await page.route('**/*.wasm', () => undefined);
  await page.getByRole('button', { name: 'Propose the open weeks' }).click();
  await expect(page.getByText('Looking for a first plan')).toBeVisible();
  await page.getByRole('button', { name: 'Stop and take what there is' }).click();
  await expect(page.getByText('Stopped before there was a plan; the term stands as it was.')).toBeVisible();
  await expect(page.locator('.chip-proposed')).toHaveCount(0);
});
