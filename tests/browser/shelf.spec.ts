import { expect, test } from '@playwright/test';
import { address, benchIsReady, expectAccessible, beSignedIn, signIn } from './steps.ts';

test('an activity is found by skill, age, minutes and mess, and the address keeps the question', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/shelf'));
  await page.getByLabel('skill', { exact: true }).selectOption({ label: 'comparing' });
  await page.getByLabel('age').fill('4');
  await page.getByRole('spinbutton', { name: 'at most' }).fill('8');
  await page.getByLabel('mess at most').selectOption({ label: 'none at all' });
  await page.getByRole('button', { name: 'Search' }).click();
  await expect(page.getByRole('main')).toContainText(/\d of \d{2,3}/);
  await expect(page.getByRole('link', { name: 'A bed for each mouse' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'A bridge for a goat' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('spinbutton', { name: 'at most' })).toHaveValue('8');
});

test('an activity’s page counts its things for the dials as they stand, with the sum, and says what to take care of', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/shelf/activity/button-pots'));
  const buttons = page.getByRole('row').filter({ has: page.getByRole('link', { name: 'buttons', exact: true }) });
  await expect(buttons).toContainText('15');
  await expect(buttons).toContainText('= sum(from,to)');
  const care = page.getByRole('listitem').filter({ hasText: 'Buttons:' });
  await expect(care).toContainText('count them back in. Left out where a child under 3 years is in the room.');
  await expect(page.getByText('The adult in the room decides.')).toBeVisible();
});

test('an author writes a thing and an activity; what does not fit is named and nothing written is lost', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/shelf?kind=thing'));
  await page.getByRole('link', { name: 'Add a thing' }).click();
  await page.waitForURL('**/shelf/new/thing');
  await benchIsReady(page);
  await page.getByLabel('Name of one').fill('walnut shell');
  await page.getByLabel('Name of several').fill('buttons');
  await page.getByRole('checkbox', { name: 'floats' }).check();
  await page.getByRole('checkbox', { name: 'countable' }).check();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('alert')).toContainText('one place needs another look');
  await expect(page.getByText('Name of several is taken: “buttons” is on the shelf already')).toBeVisible();
  await expect(page.getByLabel('Name of several')).toBeFocused();
  await expect(page.getByLabel('Name of one')).toHaveValue('walnut shell');
  await page.getByLabel('Name of several').fill('walnut shells');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('walnut shells');

  await page.goto(address('/shelf/new/activity'));
  await benchIsReady(page);
  await page.getByLabel('Title').fill('Boats of shells');
  await page.getByLabel('The idea in a sentence or two').fill('Half a shell, a bowl, a breath.');
  await page.getByRole('checkbox', { name: 'finding out' }).check();
  await page.getByRole('button', { name: 'add to dials' }).click();
  await page.getByLabel('name in lines').fill('boats');
  await page.getByLabel('what it is').fill('boats');
  await page.getByLabel('least', { exact: true }).fill('2');
  await page.getByLabel('most', { exact: true }).fill('6');
  await page.getByLabel('starts at').fill('3');
  await page.getByLabel('words', { exact: true }).fill('Put {boats} {@shells} on the water.');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('alert')).toContainText('one place needs another look');
  await expect(page.getByLabel('words', { exact: true })).toHaveAttribute('aria-invalid', 'true');
  await page.getByRole('button', { name: 'add to needs' }).click();
  await page.getByLabel('name in lines').nth(1).fill('shells');
  await page.getByLabel('thing', { exact: true }).fill('walnut shells');
  await page.getByRole('textbox', { name: 'how many' }).fill('boats');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Boats of shells');
  await expect(page.getByText('Put 3 walnut shells on the water.')).toBeVisible();

  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(page).toHaveURL(/\/shelf\/activity\/boats-of-shells-2\/edit$/);
  await page.getByRole('link', { name: 'Back without changing it' }).click();
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await expect(page.getByText('It is off the shelf')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back on the shelf' }).click();
  await expect(page.getByText('It is off the shelf')).toHaveCount(0);
});

test('an activity of the demo goes through its form without a change', { tag: '@soak' }, async ({ page }) => {
  await signIn(page);
  const saved = async () => {
    const file = (await (await page.request.get(address('/shelf/export?kind=activity'))).json()) as {
      activities: { key: string }[];
    };
    return file.activities.filter(({ key }) => ['carts-and-lids', 'cold-and-melting', 'button-pots'].includes(key));
  };
  const before = await saved();
  for (const key of ['carts-and-lids', 'cold-and-melting', 'button-pots']) {
    await page.goto(address(`/shelf/activity/${key}/edit`));
    await benchIsReady(page);
    await page.getByRole('button', { name: 'Save' }).click();
    await page.waitForURL(`**/shelf/activity/${key}`);
  }
  expect(await saved()).toEqual(before);
});

test('what we have: ticking things shows what can be done, a home’s things too, and the best three', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/shelf/have'));
  await benchIsReady(page);
  const found = page.getByRole('region', { name: 'What can be done' });
  await expect(found.getByRole('link', { name: 'Carts and lids' })).toHaveCount(0);
  for (const thing of ['small boxes', 'bottle lids', 'bowls'])
    await page.getByRole('checkbox', { name: thing, exact: true }).check();
  await page.getByLabel('How many bottle lids').fill('16');
  await expect(found.getByRole('listitem').filter({ hasText: 'Carts and lids' })).toContainText('Can do it as written');
  await page.getByLabel('How many bottle lids').fill('15');
  await expect(found.getByRole('link', { name: 'Carts and lids' })).toHaveCount(0);
  await page.getByLabel('whose').selectOption({ label: 'all homes' });
  await expect(found.getByText(/of \d+ ·/).first()).toBeVisible();
  await page.getByLabel('whose').selectOption({ label: 'Blue door' });
  await expect(found.getByRole('listitem').first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'A basket of three' }).getByText(/^\d+ skills/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'A basket of three' }).getByRole('listitem')).toHaveCount(3);
  await expectAccessible(page);
});

test('a swap is overruled, remembered, and forgotten again', { tag: '@soak' }, async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/shelf/thing/building-block?qty=9&years=3'));
  const sticks = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: 'flat wooden sticks' }) });
  await expect(sticks).toContainText('thin: a hand will not feel that nine is many');
  await page.getByRole('button', { name: 'Never flat wooden sticks' }).click();
  await expect(sticks).toHaveCount(0);
  await page.getByRole('button', { name: 'let it be found again' }).click();
  await expect(sticks).toHaveCount(1);
  await page.goto(address('/shelf/thing/building-block?qty=9&years=2'));
  await expect(page.getByRole('listitem').filter({ hasText: 'dried beans' })).toHaveCount(0);
  await expectAccessible(page);
});

test('a borrowed book is reserved from the catalogue and let go', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/shelf/book/a-cloud-in-the-kitchen'));
  await expect(page.getByRole('link', { name: 'A puddle, Monday to Sunday' })).toBeVisible();
  await page.getByLabel('Needed on').fill('2027-05-06');
  await page.getByLabel('Open days it takes').fill('4');
  await page.getByRole('radio', { disabled: false }).first().check();
  await page.getByRole('button', { name: 'Reserve it' }).click();
  await expect(page.getByText('Reserved for Thursday 6 May; it arrives by Friday 12 March.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel this reservation' }).click();
  await expect(page.getByRole('button', { name: 'Reserve it' })).toBeVisible();
  await expectAccessible(page);
});

test(
  'a list of five thousand things shows how far it has come and reports by line',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/shelf/import'));
    await benchIsReady(page);
    const rows = Array.from({ length: 5000 }, (_, index) =>
      index === 41 ? 'Bad Key;x;xs;flat;;;;;;1;0,5' : `bulk-${index};x;xs;flat;;;;;;${index === 99 ? 'many' : 1};0,5`,
    );
    const csv = `key;one;many;traits;sizeMm;thickMm;places;colours;allergens;usualQty;common\r\n${rows.join('\r\n')}`;
    const list = page.getByLabel('List');
    await list.setInputFiles({ name: 'things.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await page.getByRole('button', { name: 'Add the list' }).click();
    await expect(page.getByRole('progressbar')).toBeVisible();
    await expect(page.getByText(/5000 lines read: 4998 added, 0 replaced, 2 left out/)).toBeVisible({
      timeout: 50_000,
    });
    const report = page.getByRole('region', { name: 'Lines left out' });
    await expect(report.getByRole('row', { name: /^43 key/ })).toBeVisible();
    await expect(report.getByRole('row', { name: /^101 usualQty “many” is not a number/ })).toBeVisible();

    await list.setInputFiles({
      name: 'long.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`key,one\n${'a,b\n'.repeat(50_000)}`),
    });
    await page.getByRole('button', { name: 'Add the list' }).click();
    await expect(page.getByRole('alert')).toContainText(
      '50000 lines, and at most 20000 are taken at once. Nothing was added',
    );

    const latin = Buffer.concat([
      Buffer.from('key,one,many,traits,sizeMm,thickMm,places,colours,allergens,usualQty,common\ncr,cr'),
      Buffer.from([0xea]),
      Buffer.from('pe,crepes,flat,,,,,,1,0.5\n'),
    ]);
    await list.setInputFiles({ name: 'latin.csv', mimeType: 'text/csv', buffer: latin });
    await page.getByRole('button', { name: 'Add the list' }).click();
    await expect(page.getByText('1 added, 0 replaced, 0 left out.')).toBeVisible();
    await expect(page.getByText('it was read as Windows text')).toBeVisible();
  },
);
