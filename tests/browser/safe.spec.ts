import { expect, test, type Browser, type Page } from '@playwright/test';
import {
  address,
  benchIsReady,
  expectAccessible,
  guideOf,
  isKept,
  part,
  sendAndOpenLetter,
  beSignedIn,
  signIn,
  signInAs,
  startSession,
} from './steps.ts';

/** A home on a phone, with JavaScript off. */
async function openHome(browser: Browser): Promise<Page> {
  return (await browser.newContext({ viewport: { width: 390, height: 844 }, javaScriptEnabled: false })).newPage();
}

async function demoPost(page: Page): Promise<void> {
  await signIn(page);
  await page.getByRole('link', { name: 'Sent', exact: true }).click();
  await page.getByRole('link', { name: 'The cart with no wheels' }).click();
}

test('without script a home does it easier: every line follows, and what it answered is there again', async ({
  page,
  browser,
}) => {
  await demoPost(page);
  const guide = await guideOf(page, 'Mill end');
  const home = await openHome(browser);
  await home.goto(guide);
  const carts = home.locator('section.step').filter({ has: home.getByRole('heading', { name: 'Carts and lids' }) });
  await expect(carts.getByText('here are your 4 carts')).toBeVisible();
  await carts.getByRole('radio', { name: /Más fácil/ }).check();
  await expect(carts.getByText('here are your 2 carts')).toBeVisible();
  await expect(carts.getByText('here are your 4 carts')).toBeHidden();
  await expect(carts.locator('.line:visible').filter({ hasText: /\b4\b/ })).toHaveCount(0);
  await home.getByLabel('Hecho').check();
  await home.getByLabel('Minutos de «Carts and lids»').fill('6');
  await home.locator('#answer button').click();
  await home.goto(guide);
  await expect(carts.getByRole('radio', { name: /Más fácil/ })).toBeChecked();
  await expect(home.getByLabel('Minutos de «Carts and lids»')).toHaveValue('6');
  await page.reload();
  await expect(page.getByRole('row').filter({ hasText: 'Mill end' })).toContainText(
    'Carts and lids: 6 min, right, done easier',
  );
});

test('a home without the book is told how to tell it, says so, and is counted until it has it after all', async ({
  page,
  browser,
}) => {
  await demoPost(page);
  const guide = await guideOf(page, 'Corner house');
  const home = await openHome(browser);
  await home.goto(guide);
  await home.getByText('No book at hand?').click();
  await expect(home.getByText('Somebody takes a wheel for a clock')).toBeVisible();
  await home.getByRole('button', { name: 'We don’t have this book' }).click();
  await expect(home.getByText('You told us that you have no book.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('row').filter({ hasText: 'Corner house' })).toContainText('no book at hand');
  await expect(page.getByText('1 has no book at hand')).toBeVisible();
  await page.getByRole('link', { name: 'Open the session' }).click();
  await benchIsReady(page);
  await expect(page.getByText('1 without the book')).toBeVisible();
  await home.getByRole('button', { name: 'We have it after all' }).click();
  await page.reload();
  await expect(page.getByText('1 without the book')).toHaveCount(0);
});

test('what no permitted thing serves is left out of a toddler’s guide, and the author sees it before sending', async ({
  page,
  browser,
}) => {
  await startSession(page, 'Ice and a toddler', ['Who melts last?']);
  await expect(part(page, 'Who melts last?').locator('.finding').filter({ hasText: 'Lamp post' })).toBeVisible();
  const guide = await sendAndOpenLetter(page, 'Lamp post');
  const home = await openHome(browser);
  await home.goto(guide);
  const ice = home.locator('section.step').filter({ has: home.getByRole('heading', { name: 'Who melts last?' }) });
  await expect(ice.getByText('We left this part out')).toBeVisible();
  await expect(ice.locator('.line')).toHaveCount(0);
  await expect(home.getByText(/ice cube/)).toHaveCount(0);
  const other = await openHome(browser);
  await other.goto(await guideOf(page, 'Corner house'));
  await expect(other.getByText(/ice cube/).first()).toBeVisible();
});

test('an owner adds a rule, tightens one and keeps one unsaid; homes get it so, and nobody else may', async ({
  page,
  browser,
}) => {
  await beSignedIn(page);
  await page.goto(address('/programme'));
  await page.getByRole('link', { name: 'Cautions' }).click();
  await page.getByText('Add a rule').click();
  await page.getByLabel('What homes are told').fill('No jar lids here: ours have sharp rims.');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('Tick what it is about');
  await expect(page.getByLabel('What homes are told')).toHaveValue('No jar lids here: ours have sharp rims.');
  await page
    .locator('summary')
    .filter({ hasText: /^Things$/ })
    .click();
  await page.getByRole('checkbox', { name: 'jar lids', exact: true }).check();
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('status')).toContainText('Kept.');
  await page.getByText('Make a rule stricter').click();
  const stricter = page.getByRole('region', { name: 'Stricter than usual' });
  await stricter.getByLabel('Rule').selectOption({ label: 'Small parts' });
  await stricter.getByLabel('How much care').selectOption({ label: 'good to know' });
  await stricter.getByRole('button', { name: 'Make it stricter' }).click();
  await expect(page.getByRole('alert')).toContainText('That is not stricter than it is already');
  await stricter.getByLabel('How much care').selectOption({ label: 'an adult does it' });
  await stricter.getByRole('button', { name: 'Make it stricter' }).click();
  await page.getByText('Keep a caution unsaid').click();
  const unsaid = page.getByRole('region', { name: 'Not said to homes' });
  await unsaid.getByLabel('Rule').selectOption({ label: 'Jumping, dancing, eyes closed' });
  await unsaid.getByLabel('Why').fill('We say it aloud every week.');
  await unsaid.getByRole('button', { name: 'Save unsaid' }).click();
  await expect(unsaid).toContainText('Odile Marrow, Monday 8 March: We say it aloud every week.');
  await expectAccessible(page);

  await startSession(page, 'By our own rules', ['Carts and lids', 'Wheel hunt']);
  const guide = await sendAndOpenLetter(page, 'Blue door');
  const home = await openHome(browser);
  await home.goto(guide);
  await expect(home.getByText('building blocks').first()).toBeVisible();
  await expect(home.getByText('jar lids')).toHaveCount(0);
  await expect(home.getByText('Clear the floor first')).toHaveCount(0);
  await home.goto(await guideOf(page, 'Mill end'));
  await expect(home.getByText('Esto lo hace la persona adulta').first()).toBeVisible();

  await page.goto(address('/programme/cautions'));
  await page.getByRole('button', { name: /^Take out the rule/ }).click();
  await page.getByRole('button', { name: 'As usual again: Small parts' }).click();
  await page.getByRole('button', { name: /^Say it again/ }).click();
  await expect(page.getByText('None yet.')).toHaveCount(2);
  await page.context().clearCookies();
  await signInAs(page, 'bo@quillbrook.example', 'only-looking-on');
  await page.goto(address('/programme/cautions'));
  await expect(page.getByText('Add a rule')).toHaveCount(0);
  const tried = await page.request.post(address('/programme/cautions'), {
    form: { do: 'hide', rule: 'movement', by: 'me', why: 'no' },
    headers: { origin: new URL(address('/')).origin },
  });
  expect(tried.status()).toBe(403);
});

test(
  'two who change one activity see each other, and nothing that was written is lost',
  { tag: '@soak' },
  async ({ page, context }) => {
    await signIn(page);
    const other = await context.newPage();
    for (const window of [page, other]) {
      await window.goto(address('/shelf/activity/owl-steps'));
      await window.getByRole('link', { name: 'Change it' }).click();
      await benchIsReady(window);
    }
    await page.getByLabel('Aim').fill('Says the row past ten, a step to a word.');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL('**/shelf/activity/owl-steps');
    await other.getByLabel('Title').fill('Owl strides');
    await other.getByRole('button', { name: 'Save' }).click();
    await expect(other.getByRole('alert')).toContainText('Somebody kept a newer version of this');
    await expect(other.getByLabel('Title')).toHaveValue('Owl strides');
    await other.getByRole('button', { name: 'Go on from theirs' }).click();
    await expect(other.getByLabel('Aim')).toHaveValue('Says the row past ten, a step to a word.');
    await expect(other.getByLabel('Title')).toHaveValue('Owl steps');
  },
);

test('while a change is still on its way the bench says that it is being saved, not that something is to mend', async ({
  page,
}) => {
  await startSession(page, 'On its way', ['Owl steps']);
  let letGo = () => {};
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route('**/api/sessions/*', (route) => held.then(() => route.continue()));
  await part(page, 'Owl steps').getByRole('spinbutton', { name: 'steps', exact: true }).first().press('ArrowUp');
  await expect(page.getByText('Still being saved; then it can be sent.')).toBeVisible();
  await expect(page.getByText('Put right what’s in the margin')).toHaveCount(0);
  letGo();
  await isKept(page);
});
