import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Locator, type Page } from '@playwright/test';
import type { Segment, Session } from '../../src/core/session/index.ts';
import { SIGN_IN_COOKIE } from '../../src/server/http/signInCookie.ts';
import { demoEntries } from '../support/demoFile.ts';
import type { WorkerServer } from '../support/globalSetup.ts';

let ownServer: WorkerServer | null = null;

/** Lets the tests of one file go to a server of their own; null to the worker's again. */
export function useServer(server: WorkerServer | null): void {
  ownServer = server;
}

/** The server of this worker; each has a database of its own. */
const server = (): WorkerServer =>
  ownServer ?? (JSON.parse(process.env.TEST_SERVERS!) as WorkerServer[])[Number(process.env.TEST_PARALLEL_INDEX)]!;

export const address = (path: string): string => `${server().address}${path}`;

/** Signs the demo's owner in with what stands ready in the form. */
export async function signInByForm(page: Page): Promise<void> {
  await page.goto(address('/sign-in'));
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
}

/** Makes a page one of the demo's owner, who signed in before the tests began. */
export async function beSignedIn(page: Page): Promise<void> {
  await page.context().addCookies([{ name: SIGN_IN_COOKIE, value: server().signInCookie, url: address('/') }]);
}

/** Opens Today as the demo's owner. */
export async function signIn(page: Page): Promise<void> {
  await beSignedIn(page);
  await page.goto(address('/'));
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
}

/** Signs somebody else in. */
export async function signInAs(page: Page, email: string, password: string): Promise<void> {
  await page.goto(address('/sign-in'));
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/**
 * Has a session with activities of the demo, on its bench, and gives its address. It is asked for without the pages that
 * lead there (firstAfternoon.spec.ts goes through those), since most tests begin with one. Who is not signed in is the
 * demo's owner.
 */
export async function startSession(page: Page, title: string, activities: readonly string[]): Promise<string> {
  if ((await page.context().cookies(address('/'))).length === 0) await beSignedIn(page);
  const headers = { origin: new URL(address('/')).origin };
  const form = {
    title,
    on: '2027-03-15',
    fromYears: '3',
    toYears: '5',
    aim: 'Counts out as many as are needed.',
    book: keyOf('books', 'The cart with no wheels'),
  };
  const started = await page.request.post(address('/sessions/new'), { form, headers, maxRedirects: 0 });
  const path = started.headers().location!;
  const kept = (await (await page.request.get(address(`/api${path}`))).json()) as {
    session: Session;
    revision: number;
  };
  const segments = [...kept.session.segments];
  for (const [index, activity] of activities.entries()) {
    const part = await page.request.get(address(`/api/shelf/parts/activity/${keyOf('activities', activity)}`));
    segments.splice(-1, 0, { ...((await part.json()) as Segment), id: `activity-${index + 1}` });
  }
  const data = { session: { ...kept.session, segments }, revision: kept.revision };
  const put = await page.request.put(address(`/api${path}`), { data, headers });
  expect(put.status(), await put.text()).toBe(200);
  await page.goto(address(path));
  await benchIsReady(page);
  await isKept(page);
  return page.url();
}

const keyOf = (section: string, title: string) =>
  demoEntries<{ key: string; title: string }>(section).find((entry) => entry.title === title)!.key;

export const BENCH = /\/sessions\/[0-9a-f-]{36}$/;
export const TERM = /\/term\/[0-9a-f-]{36}$/;

/** Opens the sounds of the demo's term, whatever other terms tests have framed. */
export async function openDemoSounds(page: Page): Promise<void> {
  await page.goto(address('/term?all'));
  await page.getByRole('link', { name: 'Spring term' }).first().click();
  await page.getByRole('link', { name: 'Sounds by week' }).click();
}

/** A room answers to keys only once it is hydrated; wait for its address first when a click leads there. */
export async function benchIsReady(page: Page): Promise<void> {
  await expect(page.locator('astro-island[ssr]')).toHaveCount(0);
}

/** The text of a part, as soon as it can be written in. */
export const script = (page: Page, title: string): Locator => page.getByRole('textbox', { name: `Lines of ${title}` });

/** Writes a line below the last of a part; the caret stays at its end. */
export async function writeLine(page: Page, title: string, words: string): Promise<void> {
  await script(page, title).focus();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Enter');
  await page.keyboard.type(words);
}

/** The tools of the line that is written in. */
export const lineTools = (page: Page): Locator => page.locator('.line-bar');

export async function isKept(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: 'saved at' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Send to/ })).toBeVisible();
}

/**
 * Takes up what is focused, to carry it by keys. What is taken up listens for arrow keys from the page's next timer on, and
 * a browser may hand over a key before a timer that is due: so one of our own, set later, is waited for.
 */
export async function takeUp(page: Page, announced: string | RegExp): Promise<void> {
  await page.keyboard.press('Space');
  await expect(page.getByText(announced)).toBeAttached();
  await page.evaluate(() => new Promise((next) => setTimeout(next)));
}

export function part(page: Page, title: string): Locator {
  return page.locator('section.segment').filter({ has: page.getByRole('heading', { name: title, exact: true }) });
}

export async function partTitles(page: Page): Promise<string[]> {
  return page.locator('section.segment h2').allTextContents();
}

/** Nothing that axe finds, by the rules of WCAG 2.2 A and AA. One pass in the page itself: no frames of other origins here. */
export async function expectAccessible(page: Page): Promise<void> {
  await expectNoViolation(axeOn(page).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']));
  expect(await page.evaluate(namesOfNothing)).toEqual([]);
}

/** Ids by which something says that it is named or described, and which nothing has. Runs in the page. */
function namesOfNothing(): string[] {
  return ['aria-labelledby', 'aria-describedby'].flatMap((attribute) =>
    [...document.querySelectorAll(`[${attribute}]`)].flatMap((element) =>
      element
        .getAttribute(attribute)!
        .split(/\s+/)
        .filter((id) => id && !document.getElementById(id)),
    ),
  );
}

/** `npm run soak` looks at everything that is much alike; the other tests at a third of it. */
export const EVERYTHING = process.env.FOOTSTOOL_SOAK === '1';

/** Every third of a list, or all of it in `npm run soak`. */
export function shareOf<Value>(list: readonly Value[]): readonly Value[] {
  return list.filter((_, index) => EVERYTHING || index % 3 === 0);
}

/** Nothing is wider than a window of half the usual width, which is what 200 % zoom makes of it. */
export async function expectToFitAtTwiceTheSize(page: Page): Promise<void> {
  const { width, height } = page.viewportSize()!;
  await page.setViewportSize({ width: width / 2, height: height / 2 });
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(overflow, page.url()).toBeLessThanOrEqual(1);
  await page.setViewportSize({ width, height });
}

/** As `expectAccessible`; in the dark what depends on colour is looked at again, since nothing else changes with it. */
export async function expectAccessibleInLightAndDark(page: Page): Promise<void> {
  await expectAccessible(page);
  const background = () => page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
  const light = await background();
  await page.emulateMedia({ colorScheme: 'dark' });
  expect(await background()).not.toBe(light);
  await expectNoViolation(axeOn(page).withRules(['color-contrast', 'link-in-text-block']));
  await page.emulateMedia({ colorScheme: 'light' });
}

/** Without the details of what passes, which take as long to gather as all the rest. */
function axeOn(page: Page): AxeBuilder {
  return new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
}

async function expectNoViolation(axe: AxeBuilder): Promise<void> {
  const { violations } = await axe.analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`),
  ).toEqual([]);
}

/** Sends the session on the bench to all homes and opens the letter of one; gives that home's guide address. */
export async function sendAndOpenLetter(page: Page, home: string): Promise<string> {
  await page.getByRole('link', { name: /^Send to/ }).click();
  await lookFirst(page);
  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  await expect(page.getByText('It’s on its way.')).toBeVisible();
  return guideOf(page, home);
}

/** From a session's post: the guide address of a home, as its letter carries it. */
export async function guideOf(page: Page, home: string): Promise<string> {
  const postAddress = page.url();
  await page.getByRole('row').filter({ hasText: home }).getByRole('link', { name: 'letter and code' }).click();
  const letter = await page.locator('article').innerText();
  const link = /http:\/\/\S+(\/g\/\S+)/.exec(letter)![1]!;
  await page.goto(postAddress);
  // The demo's letters went out before this server had its port.
  return address(link);
}

/** Answers whatever is to be looked at before sending, as fine with a reason: for flows that are about something else. */
export async function lookFirst(page: Page): Promise<void> {
  const questions = page.locator('#look-first article');
  for (let left = await questions.count(); left > 0; left--) {
    const reason = questions.first().getByRole('textbox');
    if (await reason.count()) await reason.fill('I looked at it.');
    await questions.first().getByRole('button').first().click();
    await expect(questions).toHaveCount(left - 1);
  }
}
