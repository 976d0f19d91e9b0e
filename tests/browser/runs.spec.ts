import { expect, test, type Page } from '@playwright/test';
import { address, benchIsReady, expectAccessible, beSignedIn, signIn } from './steps.ts';

const lines = (page: Page) => page.getByRole('region', { name: 'Picture and lines' });

test('a way of running it changes the lines; the school of the programme changes how it begins', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/makers/number-pots'));
  await benchIsReady(page);
  await expect(lines(page)).toContainText('Fill, tip and stir the pots');
  await page.getByLabel('how it is run').selectOption('moving-about');
  await expect(lines(page)).toContainText('carry them number by number');
  await page.getByLabel('how it is run').selectOption('five-minutes');
  await expect(lines(page).getByRole('listitem')).toHaveCount(3);
  await page.goto(address('/programme'));
  await page.getByLabel('How something new begins').selectOption('shown in small steps: show, find, tell');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('Kept');
  await page.goto(address('/makers/number-pots'));
  await benchIsReady(page);
  await expect(lines(page)).toContainText('This one says 5. Feel it with your finger.');
  await expect(lines(page)).not.toContainText('Fill, tip and stir');
});

test(
  'a game is played ten thousand times: how long, how even, and a start that makes it fair',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/makers/game'));
    await benchIsReady(page);
    const facts = page.getByRole('region', { name: 'Dials' });
    await expect(facts).toContainText('from 10,000 plays');
    await expect(facts).toContainText('It is uneven');
    await expect(facts).toContainText('for the weaker one it is fair');
    await page.getByLabel('who plays').selectOption('two alike');
    // Who begins is a little better off, and the longer the track the less.
    await page.getByLabel('places, cards or pieces', { exact: true }).fill('60');
    await expect(facts).toContainText('It is fair');
    await page.getByLabel(/^game/).first().selectOption('compare cards');
    await page.getByLabel('ending').selectOption('harder');
    await expect(facts).toContainText('It may not end');
    await expectAccessible(page);
  },
);

test(
  'a guide shows how a part looks, with the same in words, and roles only where there are two children',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/makers/sorting-set'));
    await benchIsReady(page);
    await page.getByLabel('how it is run').selectOption('guess-my-rule');
    await page.getByRole('button', { name: 'Add to the session' }).click();
    await page.waitForURL('**/sessions/*');
    await benchIsReady(page);
    await expect(page.getByText('For the older child.').first()).toBeVisible();
    const session = page.url();
    await page.goto(address('/homes'));
    const homes = await page
      .locator('a[href^="/homes/"]')
      .evaluateAll((links) =>
        links.flatMap((link) => /homes\/([0-9a-f-]{36})$/.exec(link.getAttribute('href')!)?.[1] ?? []),
      );
    let [withRoles, pictures] = [0, 0];
    for (const home of [...new Set(homes)]) {
      await page.goto(`${session}/guide/${home}`);
      const part = page.locator('section.step').filter({ hasText: 'Sorting set' });
      // Where something in it is not for a child there, the whole part is left out.
      if ((await part.locator('figure svg').count()) === 0) continue;
      pictures += 1;
      await expect(part.locator('figcaption')).toContainText('piles below their cards');
      if ((await part.getByText('makes up a rule and says only yes or no').count()) > 0) withRoles += 1;
    }
    expect(withRoles).toBeGreaterThan(0);
    expect(withRoles).toBeLessThan(pictures);
  },
);
