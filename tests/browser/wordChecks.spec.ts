import { expect, test } from '@playwright/test';
import {
  address,
  benchIsReady,
  expectAccessible,
  isKept,
  lineTools,
  openDemoSounds,
  partTitles,
  beSignedIn,
  signIn,
  writeLine,
} from './steps.ts';

test(
  'the words of a line are checked in place when asked, and a word that does not fit is changed on press',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/sessions'));
    await page.getByRole('link', { name: 'Who is on the wall?' }).first().click();
    await benchIsReady(page);
    await writeLine(page, 'Hello', 'Lay out a sock, a ship and soap.');
    await expect(page.getByRole('group', { name: 'Words of this line' })).toHaveCount(0);
    await lineTools(page).getByRole('button', { name: 'words' }).click();
    const check = page.getByRole('group', { name: 'Words of this line' });
    await check.getByLabel('In this line').selectOption('the words start with');
    await check.getByLabel('sound').selectOption('s');
    await expect(check).toContainText('“ship” starts with sh, not with s, for the ear.');
    await expectAccessible(page);
    await check.getByLabel('In this line').selectOption('the child can read them');
    await expect(check).toContainText('“ship” cannot be read yet: sh comes on');
    await check.getByLabel('In this line').selectOption('the words start with');
    await check.getByRole('button', { name: /^Take “.*” instead$/ }).click();
    await expect(check).toContainText('fine.');
    await expect(page.getByText('a ship and soap')).toHaveCount(0);
    await isKept(page);
    await check.getByRole('button', { name: 'Close' }).click();
    await expect(check).toHaveCount(0);
  },
);

test(
  'a session on the sound of the week is made in one press, from the term, and each part can be changed',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await openDemoSounds(page);
    await page.getByRole('row').nth(2).getByRole('link', { name: 'A session on it' }).click();
    const form = page.getByRole('region', { name: /in one press/ });
    await expect(form.getByRole('combobox', { name: 'Sound' })).toHaveValue('i');
    await expectAccessible(page);
    await form.getByRole('combobox', { name: 'Sound' }).selectOption('p');
    await form.getByRole('button', { name: 'Make the session' }).click();
    await benchIsReady(page);
    for (const part of [
      'Again: a sound you know',
      'The sound of the week',
      'A rhyme, told twice',
      'What starts with it?',
      'To do at home',
      'To find outside',
    ])
      await expect(page.getByRole('heading', { name: part, exact: true })).toBeVisible();
    await expect(page.getByText('Papa put parcels upon the top stair')).toBeVisible();
    await page
      .getByRole('region', { name: 'What starts with it?' })
      .getByRole('button', { name: 'take out What starts with it?' })
      .click();
    await isKept(page);
    await expect(page.getByRole('heading', { name: 'What starts with it?' })).toHaveCount(0);
    // Only what is ticked is made; a sound that has nothing of it is refused, and what was ticked stays.
    await page.goto(address('/sessions/new?sound=x#one-press'));
    const ticked = ['A rhyme, told twice', 'What starts with it?'];
    for (const tick of await form.getByRole('checkbox').all()) await tick.uncheck();
    await form.getByRole('button', { name: 'Make the session' }).click();
    await expect(form).toContainText('Parts: tick at least one');
    await expect(form.getByRole('checkbox').first()).toBeFocused();
    for (const part of ticked) await form.getByLabel(part).check();
    await form.getByRole('button', { name: 'Make the session' }).click();
    await expect(form).toContainText('Parts: are not there for x: tick others');
    await expect(form.getByRole('checkbox', { checked: true })).toHaveCount(2);
    await form.getByLabel('The sound of the week').press('Space');
    await form.getByRole('button', { name: 'Make the session' }).click();
    await benchIsReady(page);
    expect(await partTitles(page)).toEqual(['Hello', 'The sound of the week', 'Goodbye']);
    // What is no sound or no day is refused, and nothing is made.
    const answer = await page.request.post(address('/sessions/new'), {
      form: { sound: 'xyz', on: 'soon' },
      headers: { origin: new URL(page.url()).origin },
    });
    expect(answer.status()).toBe(422);
    expect(await answer.text()).toContain('is no sound we know');
  },
);

test('a programme’s own order of sounds: what is no sound is named and kept in the form, the rest decides what can be read', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/programme'));
  const order = page.getByLabel('Order of sounds');
  await expect(order).toHaveValue(/^m a s t\ni n p o\n/);
  await order.fill('b e d\n7 q9');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Order of sounds holds “7”, for which we know no sound')).toBeVisible();
  await expect(order).toHaveValue('b e d\n7 q9');
  await order.fill('b e d\nu s\nn i h');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toHaveText('Kept.');
  await expect(order).toHaveValue('b e d\nu s\nn i h');
  await page.goto(address('/makers/word-cards?words=bed,%20sun&taught=1'));
  await benchIsReady(page);
  await expect(page.getByText('sun cannot be read yet')).toBeVisible();
  await expect(page.getByText('bed cannot be read yet')).toHaveCount(0);
  // Back to our own, so that what others look at in this programme is as it was.
  await page.goto(address('/programme'));
  await order.fill('');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(order).toHaveValue(/^m a s t\n/);
});
