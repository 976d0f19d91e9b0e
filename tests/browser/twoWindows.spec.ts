import { expect, test, type Page } from '@playwright/test';
import { benchIsReady, expectAccessible, isKept, part, script, signInAs, startSession, writeLine } from './steps.ts';

/** Types behind words of the line that was added to “Owl steps”. */
async function typeAfter(page: Page, words: string, typed: string): Promise<void> {
  const line = script(page, 'Owl steps').locator('.line-text').filter({ hasText: 'lids' });
  await line.click({ position: { x: 30, y: 8 } });
  await page.keyboard.press('Home');
  for (let step = 0; step < (await line.innerText()).indexOf(words) + words.length; step++)
    await page.keyboard.press('ArrowRight');
  await page.keyboard.type(typed);
}

test('two windows on one session: what each does comes together, words of one line too, and both versions stand where they clash', async ({
  page,
  context,
}) => {
  const bench = await startSession(page, 'Two windows', ['Owl steps']);
  await writeLine(page, 'Owl steps', 'Tip the lids out and count them.');
  await isKept(page);
  const other = await context.newPage();
  await other.goto(bench);
  await benchIsReady(other);
  await expect(script(other, 'Owl steps')).toBeVisible();

  await part(page, 'Owl steps').getByRole('spinbutton', { name: 'steps' }).first().press('End');
  await typeAfter(page, 'Tip the', ' jar');
  await isKept(page);
  await other.getByLabel('Aim').fill('Says the row past ten.');
  await other.getByLabel('Aim').press('Enter');
  await typeAfter(other, 'count', ' all of');
  await isKept(other);
  await expect(script(other, 'Owl steps')).toContainText('Tip the jar lids out and count all of them.');
  await expect(part(other, 'Owl steps').getByRole('spinbutton', { name: 'steps' }).first()).toHaveText('20');
  await expect(other.getByRole('alert')).toHaveCount(0);
  // Undo takes back one’s own, and nothing of the other’s.
  await other.getByRole('button', { name: 'undo' }).click();
  await other.getByRole('button', { name: 'undo' }).click();
  await expect(other.getByLabel('Aim')).not.toHaveValue('Says the row past ten.');
  await expect(script(other, 'Owl steps')).toContainText('Tip the jar lids out and count them.');
  await isKept(other);

  // Each window hears of the other by itself.
  await expect(script(page, 'Owl steps')).toContainText('Tip the jar lids out and count them.');
  await other.getByLabel('Aim').fill('Counts lids.');
  await other.getByLabel('Aim').press('Enter');
  await expect(page.getByLabel('Aim')).toHaveValue('Counts lids.');
  await isKept(page);

  await other.route('**/api/sessions/*', (route) =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  );
  await typeAfter(page, 'Tip the', ' red');
  await isKept(page);
  await typeAfter(other, 'Tip the', ' blue');
  const clash = other.getByRole('group', { name: 'Written at the same time' });
  await expect(clash).toContainText('blue');
  await clash.getByRole('button', { name: 'take this instead' }).click();
  await expect(clash).toHaveCount(0);
  await expect(script(other, 'Owl steps')).toContainText('Tip the blue jar lids out');
  await isKept(other);
});

test('who else is there is told, with their line, and what they keep comes at once and without asking', async ({
  page,
  context,
  browser,
}) => {
  const bench = await startSession(page, 'Two at once', ['Owl steps']);
  await writeLine(page, 'Owl steps', 'Hoot once.');
  await isKept(page);
  const others = page.getByRole('status').filter({ hasText: 'here too' });
  await expect(others).toHaveCount(0);
  const mine = await context.newPage();
  await mine.goto(bench);
  await expect(page.getByText('You have this open in another window.')).toBeVisible();
  await mine.close();
  await expect(page.getByText('You have this open in another window.')).toHaveCount(0);
  const other = await (await browser.newContext()).newPage();
  await signInAs(other, 'tamsin@quillbrook.example', 'paper-and-string');
  await expect(other.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
  await other.goto(bench);
  await benchIsReady(other);
  await expect(others).toHaveText('Tamsin Reed is here too.');
  await script(other, 'Owl steps').locator('.line-text').filter({ hasText: 'Hoot' }).click();
  await expect(others).toHaveText('Tamsin Reed is here too, in “Owl steps”.');
  await expect(script(page, 'Owl steps').locator('.line').filter({ hasText: 'Hoot' }).locator('.line-here')).toHaveText(
    'Tamsin Reed',
  );
  // A window that is told has no need to ask.
  await page.clock.install();
  const asked: string[] = [];
  page.on('request', (request) => request.method() === 'GET' && asked.push(request.url()));
  await page.clock.runFor(30_000);
  expect(asked).toEqual([]);
  // Whoever is in a line hears that somebody else changed it.
  await script(page, 'Owl steps').locator('.line-text').filter({ hasText: 'Hoot' }).click();
  await other.bringToFront();
  await other.keyboard.press('End');
  await other.keyboard.type(' Then twice.');
  await expect(page.getByRole('status').filter({ hasText: 'this line' })).toContainText('Hoot once. Then twice.');
  await other.getByLabel('Aim').fill('Hoots along.');
  await other.getByLabel('Aim').press('Enter');
  await expect(page.getByLabel('Aim')).toHaveValue('Hoots along.');
  await other.close();
  await expect(others).toHaveCount(0);
  await other.context().close();
});

test('what arrived though its answer was lost is not put in again over what others made of it', async ({
  page,
  context,
}) => {
  const bench = await startSession(page, 'Arrived', ['Owl steps']);
  // The first that is kept from now on arrives, and its answer is lost; after that nobody can be reached.
  let puts = 0;
  await page.route('**/api/sessions/*', async (route) => {
    if (route.request().method() !== 'PUT') return route.continue();
    puts += 1;
    if (puts === 1) await route.fetch();
    return route.abort();
  });
  await page.getByLabel('Aim').fill('Mine, that arrived.');
  await page.getByLabel('Aim').press('Enter');
  await expect(page.getByRole('alert')).toContainText('cannot be reached');
  await writeLine(page, 'Owl steps', 'And one that did not.');
  await page.close();

  const other = await context.newPage();
  await other.addInitScript(() => localStorage.clear());
  const drafts = await context.storageState();
  await other.goto(bench);
  await benchIsReady(other);
  await expect(other.getByLabel('Aim')).toHaveValue('Mine, that arrived.');
  await other.getByLabel('Aim').fill('Theirs, that came after.');
  await other.getByLabel('Aim').press('Enter');
  await isKept(other);
  await other.close();

  const again = await context.newPage();
  const kept = drafts.origins.flatMap(({ localStorage }) => localStorage);
  await again.addInitScript((all) => {
    for (const { name, value } of all) localStorage.setItem(name, value);
  }, kept);
  await again.goto(bench);
  await benchIsReady(again);
  await expect(script(again, 'Owl steps')).toContainText('And one that did not.');
  await isKept(again);
  await expect(again.getByLabel('Aim')).toHaveValue('Theirs, that came after.');
});

test('a session is given a name as it is, and is had back as it was then', async ({ page }) => {
  await startSession(page, 'Named', ['Owl steps']);
  await page.getByLabel('Aim').fill('Hoots along.');
  await page.getByLabel('Aim').press('Enter');
  await isKept(page);
  await page.getByRole('link', { name: 'earlier versions' }).click();
  await page.getByLabel('Give it a name now').fill('Ready for Thursday');
  await page.getByRole('button', { name: 'Name it' }).click();
  await page.getByRole('link', { name: 'Back to the session' }).click();
  await benchIsReady(page);
  await page.getByLabel('Aim').fill('Says nothing at all.');
  await page.getByLabel('Aim').press('Enter');
  await isKept(page);
  await page.getByRole('link', { name: 'earlier versions' }).click();
  await page.getByRole('link', { name: '“Ready for Thursday”' }).click();
  await expect(page.getByRole('heading', { name: '“Ready for Thursday”' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Bring all of it back' }).click();
  await benchIsReady(page);
  await expect(page.getByLabel('Aim')).toHaveValue('Hoots along.');
});
