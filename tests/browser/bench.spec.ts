import { expect, test } from '@playwright/test';
import type { Segment, Session } from '../../src/core/session/index.ts';
import {
  BENCH,
  address,
  benchIsReady,
  expectAccessible,
  isKept,
  part,
  partTitles,
  beSignedIn,
  signIn,
  startSession,
} from './steps.ts';

test('a session is started, filled, turned and sent with the keyboard alone', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Start a session' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Start a session' })).toBeVisible();
  await page.getByLabel('What is it called?').focus();
  await page.keyboard.type('By keys');
  await page.getByRole('button', { name: 'Start writing' }).focus();
  await page.keyboard.press('Enter');
  await page.waitForURL(BENCH);
  await benchIsReady(page);

  await page.getByRole('button', { name: 'Add from the shelf' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('searchbox')).toBeFocused();
  await page.keyboard.type('owl stepz');
  await expect(page.locator('.add-panel li')).not.toHaveCount(0);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Owl steps' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Owl steps' })).toBeFocused();
  expect(await partTitles(page)).toEqual(['Hello', 'Owl steps', 'Goodbye']);

  const steps = part(page, 'Owl steps').getByRole('spinbutton', { name: 'steps', exact: true }).first();
  await steps.focus();
  await page.keyboard.press('ArrowRight');
  await expect(steps).toHaveText('13');
  await expect(steps).toBeFocused();
  await isKept(page);
  await page.getByRole('link', { name: /^Send to/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('It’s on its way.')).toBeVisible();
});

test('the panel of the shelf closes with Escape and gives the focus back; “?” shows the keys', async ({ page }) => {
  await startSession(page, 'Panels', []);
  await page.getByRole('button', { name: 'Add from the shelf' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('searchbox')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Add from the shelf' })).toBeFocused();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('levels set the dials, and just right brings them back', { tag: '@soak' }, async ({ page }) => {
  await startSession(page, 'Levels', ['Carts and lids']);
  const carts = part(page, 'Carts and lids');
  const boxes = carts.getByRole('spinbutton', { name: 'boxes in a row' }).first();
  await carts.getByRole('button', { name: 'harder' }).click();
  await expect(boxes).toHaveText('5');
  await carts.getByRole('button', { name: 'easier' }).click();
  await expect(boxes).toHaveText('2');
  await expect(carts.getByRole('spinbutton', { name: 'wheels on each' }).first()).toHaveText('3');
  await carts.getByRole('button', { name: 'just right' }).click();
  await expect(boxes).toHaveText('4');
});

test('remedies in the margin are pressed, and what is on purpose is not said again', async ({ page }) => {
  await startSession(page, 'Margin', ['Carts and lids']);
  const carts = part(page, 'Carts and lids');
  await expect(carts.getByText('not for 3 homes')).toBeVisible();
  await carts.getByRole('button', { name: 'Write it with jar lids' }).click();
  await expect(carts.getByText('Tip the jar lids into the bowl')).toBeVisible();
  await expect(carts.getByText('not for 3 homes')).toHaveCount(0);
  await expect(
    page
      .getByText(/16 jar lids/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  const sit = carts
    .locator('.finding')
    .filter({ hasText: 'one long sit' })
    .or(part(page, 'Goodbye').locator('.finding').filter({ hasText: 'one long sit' }));
  await sit.getByRole('button', { name: 'Keep it like this' }).click();
  await sit.getByLabel('Why?').fill('It is only once');
  await sit.getByRole('button', { name: 'Keep it', exact: true }).click();
  await expect(page.getByText('one long sit')).toHaveCount(0);
  await isKept(page);
  await page.reload();
  await benchIsReady(page);
  await expect(page.getByText('one long sit')).toHaveCount(0);
});

const withBrokenLine = (segment: Segment): Segment =>
  segment.title === 'Owl steps'
    ? {
        ...segment,
        lines: segment.lines.map((line, index) =>
          index === 1 ? { ...line, text: 'Share {=12/(steps-12)} out.', says: undefined } : line,
        ),
      }
    : segment;

test('a line that is not finished is said beside it, and keeps nothing else from being sent', async ({ page }) => {
  await startSession(page, 'Broken line', ['Owl steps']);
  const owl = part(page, 'Owl steps');
  // As it may come in a file.
  const session = address(`/api/sessions/${page.url().split('/').at(-1)}`);
  const kept = (await (await page.request.get(session)).json()) as { revision: number; session: Session };
  const broken = { ...kept.session, segments: kept.session.segments.map(withBrokenLine) };
  const answer = await page.request.put(session, {
    data: { revision: kept.revision, session: broken },
    headers: { origin: address('') },
  });
  expect(answer.status()).toBe(200);
  await page.reload();
  await benchIsReady(page);
  await expect(owl.getByText('This line isn’t finished')).toBeVisible();
  await expect(owl.getByText('“12/(steps-12)” divides by zero')).toBeVisible();
  await isKept(page);
  await expect(page.getByRole('link', { name: /^Send to/ })).toBeVisible();
  await owl.getByRole('spinbutton', { name: 'steps', exact: true }).first().press('ArrowUp');
  await expect(owl.getByText('Share 12 out.')).toBeVisible();
  await isKept(page);
});

test('minutes are numbers or sums over dials; one without a value is refused and the old one stays', async ({
  page,
}) => {
  await startSession(page, 'Minutes', ['Owl steps']);
  const owl = part(page, 'Owl steps');
  const likely = page.locator('.likely');
  const before = await likely.textContent();
  await owl.locator('.segment-head').hover();
  await owl.locator('.minutes-editor summary').click();
  const field = owl.getByRole('textbox', { name: 'together, likely' });
  await field.fill('steps/(steps-12)');
  await field.press('Enter');
  await expect(owl.getByRole('alert')).toContainText('divides by zero; the minutes stay as they were');
  await expect(likely).toHaveText(before!);
  await field.fill('steps+2');
  await field.press('Enter');
  await expect(likely).not.toHaveText(before!);
  const withTwelve = await likely.textContent();
  await owl.getByRole('spinbutton', { name: 'steps' }).first().press('End');
  await expect(likely).not.toHaveText(withTwelve!);
  // What dries is on the tape, and takes nobody's time.
  const meanwhile = await likely.textContent();
  const drying = owl.getByRole('textbox', { name: 'drying or rising, least' });
  await drying.fill('20');
  await drying.press('Enter');
  await expect(page.getByRole('list', { name: 'What dries or rises meanwhile' })).toHaveText(
    'Owl steps: 20 min to dry or rise, longer than the session goes on',
  );
  await expect(likely).toHaveText(meanwhile!);
  await expectAccessible(page);
  await isKept(page);
});

test('title, day and ages are changed where they stand, and the bench says when it was kept', async ({ page }) => {
  await startSession(page, 'To be renamed', ['Owl steps']);
  await page.getByRole('textbox', { name: 'Title of the session' }).fill('Renamed');
  await page.keyboard.press('Enter');
  await page.locator('.session-when summary').click();
  await page.getByLabel('date').fill('2027-04-01');
  await page.getByLabel('youngest').fill('2');
  await expect(page.locator('.session-when summary')).toHaveText('Thursday 1 April · ages 2 to 5');
  await isKept(page);
  await page.goto(address('/sessions'));
  await expect(page.getByRole('row').filter({ hasText: 'Renamed' })).toContainText('Thursday 1 April');
});

test(
  'an activity goes from the shelf into a session, found by a word of its idea',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    const bench = await startSession(page, 'From the shelf', []);
    await page.goto(address('/shelf'));
    await page.getByRole('searchbox').fill('thirsty cloud sponge');
    await page.getByRole('button', { name: 'Search' }).click();
    await page.getByRole('link', { name: 'A shower in a jar' }).click();
    await page.getByLabel('Put it into').selectOption({ label: 'From the shelf, Monday 15 March' });
    await page.getByRole('button', { name: 'Add to the session' }).click();
    expect(page.url()).toBe(bench);
    await expect(page.getByRole('heading', { name: 'A shower in a jar' })).toBeVisible();
    expect((await partTitles(page)).at(-1)).toBe('Goodbye');
  },
);

test('only chosen homes get it, and a session that changed meanwhile is shown again before it goes', async ({
  page,
  context,
}) => {
  const bench = await startSession(page, 'Chosen homes', ['Owl steps']);
  await page.getByRole('link', { name: /^Send to/ }).click();
  for (const home of ['Blue door', 'Red gate']) await page.getByRole('checkbox', { name: `Send to ${home}` }).uncheck();

  const other = await context.newPage();
  await other.goto(bench);
  await benchIsReady(other);
  await part(other, 'Owl steps').getByRole('spinbutton', { name: 'steps' }).first().press('End');
  await isKept(other);

  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  await expect(page.getByRole('alert')).toContainText('changed or sent while you were looking');
  for (const home of ['Blue door', 'Red gate'])
    await expect(page.getByRole('checkbox', { name: `Send to ${home}` })).not.toBeChecked();
  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  await expect(page.getByText('0 of 10 homes answered')).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Blue door' })).toHaveCount(0);
});

test('Today names what is late, what is due and what came back, and leads there', async ({ page }) => {
  await signIn(page);
  const due = page.getByRole('region', { name: 'Due' });
  await expect(due.getByText('Try it with the lights of the room on')).toBeVisible();
  await expect(due.getByText('Was due Sunday 7 March. It can still be done today.')).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Came back' })).toContainText('The cart with no wheels');
  await due
    .getByRole('listitem')
    .filter({ hasText: 'Send' })
    .getByRole('link', { name: 'Who is on the wall?' })
    .click();
  await expect(page.getByRole('heading', { name: 'Send “Who is on the wall?”' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Monday 8 March');
});

test('on a tablet the notes of a part stand below its lines and lie over none', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await beSignedIn(page);
  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'The cart with no wheels' }).first().click();
  await benchIsReady(page);
  const carts = part(page, 'Carts and lids');
  await expect(carts.locator('.finding')).not.toHaveCount(0);
  const covered = await carts.evaluate((section) => {
    const [lines, notes] = ['.line', '.finding'].map((name) =>
      [...section.querySelectorAll(name)].map((element) => element.getBoundingClientRect()),
    );
    return lines!.filter((line) => notes!.some((note) => note.top < line.bottom && line.top < note.bottom)).length;
  });
  expect(covered).toBe(0);
});
