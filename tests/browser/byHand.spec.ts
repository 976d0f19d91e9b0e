import { expect, test } from '@playwright/test';
import {
  address,
  benchIsReady,
  expectAccessible,
  isKept,
  lineTools,
  part,
  script,
  beSignedIn,
  signIn,
  signInAs,
  startSession,
  writeLine,
} from './steps.ts';

test('a part that has worked goes onto the shelf, is copied, and colleagues note on its lines and answer', async ({
  page,
}) => {
  await startSession(page, 'Worked', []);
  await page.getByRole('button', { name: 'Add a part' }).click();
  const title = page.getByRole('textbox', { name: 'Title of this part' });
  await title.fill('Lids on the line');
  await title.press('Enter');
  await writeLine(page, 'Lids on the line', 'Lay four lids along the edge of the table.');
  const own = page.locator('section.segment').filter({ has: title });
  await own.locator('.line-text').filter({ hasText: 'four lids' }).click();
  await lineTools(page).getByRole('button', { name: 'note', exact: true }).click();
  await page.getByLabel('A note for whoever writes here').fill('Four was too many for Ada.');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  const notes = page.getByRole('list', { name: 'Notes on Lids on the line' });
  await expect(notes).toContainText('“Lay four lids along the edge of the table.”');
  await expect(notes).toContainText('Four was too many for Ada. Odile Marrow');
  await notes.getByRole('button', { name: 'answer' }).click();
  await notes.getByLabel('A note for whoever writes here').fill('Three, then.');
  await notes.getByRole('button', { name: 'Keep the note' }).click();
  await expect(notes.getByRole('listitem')).toHaveCount(2);
  await notes.getByRole('button', { name: 'done' }).first().click();
  await expect(notes.getByRole('listitem')).toHaveCount(1);

  await own.locator('.segment-head').hover();
  await own.getByRole('button', { name: 'copy Lids on the line' }).click();
  await expect(own).toHaveCount(2);
  await page.getByRole('button', { name: 'undo' }).click();
  await expect(own).toHaveCount(1);
  await own.getByRole('button', { name: 'put Lids on the line on the shelf' }).click();
  await expect(page.getByRole('button', { name: 'fetch again Lids on the line from the shelf' })).toBeAttached();
  await expect(page.getByRole('status').filter({ hasText: 'It’s on the shelf now' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Lids on the line' })).toBeFocused();
  await isKept(page);
  await expectAccessible(page);
  await page.goto(address('/shelf/activity/lids-on-the-line'));
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Lids on the line');
  await expect(page.getByRole('main')).toContainText('Lay four lids along the edge of the table.');
});

test('a part of one’s own, its needs, a part renewed from the shelf, a copy, and a session deleted and brought back', async ({
  page,
}) => {
  const bench = await startSession(page, 'By hand', ['Owl steps']);
  await page.getByRole('button', { name: 'Add a part' }).click();
  const title = page.getByRole('textbox', { name: 'Title of this part' });
  await title.fill('Socks in a row');
  await title.press('Enter');
  const own = page.locator('section.segment').filter({ has: title });
  await own.getByText('needs', { exact: true }).click();
  await own.getByLabel('Thing to add').fill('flying carpets');
  await own.getByRole('button', { name: 'add this thing' }).click();
  await expect(own.getByRole('group', { name: 'Put flying carpets on the shelf' })).toBeVisible();
  await own.getByLabel('Thing to add').fill('socks');
  await own.getByRole('button', { name: 'add this thing' }).click();
  await own.getByLabel('How many socks').fill('6');
  await own.getByLabel('How many socks').press('Enter');
  await own.getByLabel('socks: for whom').selectOption('child');
  await isKept(page);
  await expectAccessible(page);
  await page.reload();
  await benchIsReady(page);
  await expect(title).toHaveValue('Socks in a row');

  const owl = part(page, 'Owl steps');
  await script(page, 'Owl steps').focus();
  await page.keyboard.press('Control+Home');
  await lineTools(page).getByRole('button', { name: 'take out' }).click();
  const lines = await owl.locator('.line').count();
  await owl.locator('.segment-head').hover();
  await owl.getByRole('button', { name: 'fetch again Owl steps from the shelf' }).click();
  await expect(owl.getByText('It is as on the shelf now')).toBeVisible();
  await expect(owl.locator('.line')).toHaveCount(lines + 1);
  await owl.getByRole('button', { name: 'fetch again Owl steps from the shelf' }).click();
  await expect(owl.getByText('It is as on the shelf already')).toBeVisible();
  await isKept(page);

  await page.getByRole('link', { name: 'copy or delete' }).click();
  await page.getByLabel('Title').fill('');
  await page.getByRole('button', { name: 'Copy it' }).click();
  await expect(page.getByText('Title must not be empty')).toBeVisible();
  await page.getByLabel('Title').fill('By hand, once more');
  await page.getByLabel('Date').fill('2027-05-20');
  await page.getByRole('button', { name: 'Copy it' }).click();
  await benchIsReady(page);
  await expect(page.getByRole('textbox', { name: 'Title of the session' })).toHaveValue('By hand, once more');
  expect(page.url()).not.toBe(bench);
  await page.getByRole('link', { name: 'copy or delete' }).click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('status')).toContainText('It was deleted');
  await expect(page.getByRole('link', { name: 'By hand, once more' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring back By hand, once more' }).click();
  await benchIsReady(page);
  await expect(page.getByRole('textbox', { name: 'Title of the session' })).toHaveValue('By hand, once more');
});

test('a task is ticked off Today and stays so, and a second term starts from the term’s room', async ({ page }) => {
  await signIn(page);
  const name = /^Tick off: Send “A parcel for Nim”/;
  await page.getByRole('button', { name }).click();
  await expect(page.getByRole('button', { name })).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('Ticked off (1)')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Not done after all: Send “A parcel for Nim”/ }).click();
  await expect(page.getByRole('button', { name })).toBeVisible();

  await page.goto(address('/term?all'));
  await page.getByRole('link').filter({ hasText: /term/i }).last().click();
  await benchIsReady(page);
  await page.getByRole('link', { name: 'Start another term' }).click();
  await page.getByLabel('First day').fill('2027-09-06');
  await page.getByRole('button', { name: 'Plan a term' }).click();
  await expect(page.getByText('What is it called? must not be empty')).toBeVisible();
  await expect(page.getByLabel('What is it called?')).toBeFocused();
  await expect(page.getByLabel('First day')).toHaveValue('2027-09-06');
});

test('sending says who has it, ticks all or none, and a second press sends nothing more', async ({ page, context }) => {
  await startSession(page, 'Sent once', ['Owl steps']);
  await page.getByRole('link', { name: /^Send to/ }).click();
  await page.getByRole('link', { name: 'no home' }).click();
  await expect(page.getByRole('checkbox', { checked: true })).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'Send to Blue door' }).check();
  const again = await context.newPage();
  await again.goto(page.url());
  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  await expect(page.getByRole('status')).toContainText('It’s on its way');
  await again.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  await expect(again.getByRole('alert')).toContainText('choose at least one home', { ignoreCase: true });
  await again.getByRole('link', { name: 'all homes' }).click();
  await expect(again.getByRole('row').filter({ hasText: 'Blue door' })).toContainText('since');
  await expect(again.getByRole('row').filter({ hasText: 'Red gate' }).first()).toContainText('no');
  await page.goBack();
  await page.getByRole('checkbox', { name: 'Send to Blue door' }).check();
  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  await page.waitForURL(/\/(sent|sessions)\//);
  await page.goto(address('/sent'));
  await expect(page.getByRole('row').filter({ hasText: 'Sent once' })).toContainText(/\b1\b/);
});

test('by touch nothing covers the words of a line, and what a control is called holds the words it shows', async ({
  browser,
}) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  await beSignedIn(page);
  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
  await benchIsReady(page);
  await script(page, 'Carts and lids').getByText('These carts have lost').tap();
  const [words, bar] = await Promise.all([
    script(page, 'Carts and lids').locator('.line-text').nth(1).boundingBox(),
    lineTools(page).boundingBox(),
  ]);
  expect(words!.y + words!.height).toBeLessThanOrEqual(bar!.y);
  const small = await page
    .locator('.line-bar button, .line-bar select, .segment-tools button')
    .evaluateAll((buttons) =>
      buttons.filter((button) => button.getBoundingClientRect().height < 40).map((button) => button.textContent),
    );
  expect(small).toEqual([]);
  const wrong = await page
    .locator('button[aria-label], a[aria-label], summary[aria-label]')
    .evaluateAll((controls) =>
      controls
        .map((control) => [
          control.getAttribute('aria-label')!.toLowerCase(),
          (control as HTMLElement).innerText.replace(/\s+/g, ' ').trim().toLowerCase(),
        ])
        .filter(([name, shown]) => shown && !name!.includes(shown)),
    );
  expect(wrong).toEqual([]);
  await context.close();
});

test('the print tray holds the guide of one home; a guide read from the right is printed from its own page', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
  await benchIsReady(page);
  await page.getByRole('link', { name: 'Print tray' }).click();
  await page.getByLabel('For whom').selectOption({ label: 'for one home' });
  await page.getByLabel('which home').selectOption({ label: 'Blue door' });
  await page.getByRole('button', { name: 'Show the pages' }).click();
  await expect(page.locator('figcaption', { hasText: 'The cart with no wheels, for Blue door' }).first()).toBeVisible();
  await page.getByLabel('For whom').selectOption({ label: 'for all homes' });
  await page.getByRole('button', { name: 'Show the pages' }).click();
  await expect(page.getByRole('img', { name: /Page 1: Contents/ })).toContainText('is read from the right');
});

test('an owner asks somebody to join, gives another part and takes out; an author has no such page', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/programme'));
  await page.getByRole('link', { name: 'People' }).click();
  await page.getByLabel('E-mail').fill('not an address');
  await page.getByRole('button', { name: 'Send the invitation' }).click();
  await expect(page.getByText('Name is needed')).toBeVisible();
  await expect(page.getByText('E-mail must be one address')).toBeVisible();
  await page.getByLabel('Name').fill('Wilma');
  await page.getByLabel('E-mail').fill('wilma@quillbrook.example');
  await page.getByRole('button', { name: 'Send the invitation' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'wilma@quillbrook.example' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take back the invitation of Wilma' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'wilma@quillbrook.example' })).toHaveCount(0);
  await page.goto(address('/account'));
  await expectAccessible(page);
});

test('who only reads sees no link of a home', async ({ page }) => {
  await signInAs(page, 'bo@quillbrook.example', 'only-looking-on');
  await page.goto(address('/sent'));
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
  await expect(page.getByRole('link', { name: 'letter and code' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Add a home' })).toHaveCount(0);
});
