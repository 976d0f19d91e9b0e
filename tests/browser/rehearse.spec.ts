import { expect, test } from '@playwright/test';
import { expectAccessible, part, startSession } from './steps.ts';

test('a session is rehearsed with the space bar; a note outlives a reload and stands on the sheet until it is done', async ({
  page,
}) => {
  const bench = await startSession(page, 'Said once before', ['Owl steps', 'Wheel hunt']);
  await page.getByRole('link', { name: 'rehearse' }).click();
  await expect(page.getByText(/^Line 1 of \d+$/)).toBeVisible();
  await expectAccessible(page);
  // Both activities have a line of the same id.
  await expect(async () => {
    await page.locator('body').press(' ');
    await expect(page.getByRole('heading', { name: 'Owl steps' })).toBeVisible({ timeout: 100 });
  }).toPass({ intervals: [50] });
  await page.getByLabel('A note on this line, for later').fill('Slower here.');
  await page.reload();
  await expect(page.getByLabel('A note on this line, for later')).toHaveValue('Slower here.');
  await expect(async () => {
    await page.getByRole('button', { name: /^(Go on|That was it)$/ }).click({ timeout: 500 });
    await expect(page.getByRole('heading', { name: 'How long it took' })).toBeVisible({ timeout: 100 });
  }).toPass({ intervals: [50] });
  await expect(page.getByText('Slower here.')).toHaveCount(1);
  await page.getByRole('button', { name: 'Keep what’s ticked and the notes' }).click();
  await expect(page.getByText('It’s kept.')).toBeVisible();
  await page.goto(bench);
  const note = part(page, 'Owl steps').getByRole('listitem').filter({ hasText: 'Slower here.' });
  await note.getByRole('button', { name: 'done' }).click();
  await expect(note).toHaveCount(0);
});
