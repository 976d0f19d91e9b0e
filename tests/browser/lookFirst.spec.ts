import { expect, test } from '@playwright/test';
import { address, BENCH, benchIsReady, expectAccessible, isKept, script, signIn } from './steps.ts';

/** Writes a session of one part whose first line says this; ends on its bench. */
async function sessionSaying(page: import('@playwright/test').Page, title: string, line: string): Promise<string> {
  await page.goto(address('/sessions/new'));
  await page.getByLabel('What is it called?').fill(title);
  await page.getByRole('button', { name: 'Start writing' }).click();
  await page.waitForURL(BENCH);
  await benchIsReady(page);
  await page.getByRole('button', { name: 'Add a part' }).click();
  await expect(script(page, 'Something to do')).toBeFocused();
  await page.keyboard.type(line);
  await isKept(page);
  return page.url();
}

async function addHome(
  page: import('@playwright/test').Page,
  name: string,
  { born, avoids = [], also = '' }: { born: string; avoids?: string[]; also?: string },
): Promise<void> {
  await page.goto(address('/homes/new'));
  await benchIsReady(page);
  await expect(page.getByText('With no child named we take it that there’s a baby')).toBeVisible();
  await page.getByLabel('Name of the home').fill(name);
  await page.getByRole('button', { name: 'Add a child' }).click();
  await page.getByRole('group', { name: 'Child 1' }).getByLabel('Name').fill('Kit');
  await page.getByLabel('Month of birth').fill(born);
  for (const allergen of avoids) await page.getByRole('checkbox', { name: allergen, exact: true }).check();
  if (also) await page.getByLabel('Anything else nobody there must have').fill(also);
  await page.getByRole('button', { name: 'Add the home' }).click();
  await expect(page.getByRole('status')).toContainText(`${name} is kept`);
}

const sendOnlyTo = async (page: import('@playwright/test').Page, home: string) => {
  await page.getByRole('link', { name: 'no home' }).click();
  await page.getByRole('checkbox', { name: `Send to ${home}` }).check();
};

test('a kettle in a line is looked at first: the ticks stay, a reason is asked for, and Sent says who decided', async ({
  page,
}) => {
  await signIn(page);
  await addHome(page, 'Kettle lane', { born: '2021-02' });
  await sessionSaying(page, 'Tea for the bear', 'Fill the bottle from the kettle.');
  await expect(page.getByText('“kettle”: have a look')).toBeVisible();
  await page.getByRole('link', { name: /^Send to/ }).click();
  await sendOnlyTo(page, 'Kettle lane');
  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  await expect(page.getByRole('alert').first()).toContainText('have a look');
  await expect(page.getByRole('checkbox', { name: 'Send to Kettle lane' })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: 'Send to Blue door' })).not.toBeChecked();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'It’s fine' }).click();
  await expect(page.getByRole('alert').first()).toContainText('a few words will do');
  await page.getByLabel('Why it’s all right, in a few words').fill('The water is cold by then.');
  await page.getByRole('button', { name: 'It’s fine' }).click();
  await expect(page.getByText('That’s everything. You can send it now.')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Send to Kettle lane' })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: 'Send to Blue door' })).not.toBeChecked();
  await page.getByRole('button', { name: /^Send (it|anyway)$/ }).click();
  const looked = page.getByRole('region', { name: 'Looked at before it went' });
  await expect(looked).toContainText('“kettle” in “Something to do”: fine (The water is cold by then.) Odile Marrow');
});

test('grapes stop a part for a three-year-old, stairs stop nobody, and a road is answered with a caution by keyboard', async ({
  page,
}) => {
  await signIn(page);
  await addHome(page, 'Grape yard', { born: '2023-09' });
  const bench = await sessionSaying(page, 'Snack on the stairs', 'Go up the stairs with a bowl of grapes.');
  await expect(page.getByText(/It says .*“grapes”, which is not for them/)).toBeVisible();
  await page.goto(`${bench}/send`);
  const row = page.getByRole('row').filter({ hasText: 'Grape yard' });
  await expect(row).toContainText('goes without “Something to do”');
  await row.getByRole('link').click();
  await expect(
    page.getByText('Some of this part is not for your home', { exact: false }).or(page.locator('.changed').first()),
  ).toBeVisible();

  await sessionSaying(page, 'To the post', 'Cross the road to the post box.');
  await page.getByRole('link', { name: /^Send to/ }).click();
  await page.getByRole('button', { name: 'Say a caution in the guide' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('That’s everything. You can send it now.')).toBeVisible();
  await page.getByRole('row').filter({ hasText: 'Grape yard' }).getByRole('link').click();
  await expect(page.getByText('Walk hand in hand, with your child on the side away from the road.')).toBeVisible();
});

test('a new thing called egg is ticked by its name, is not checked yet, and never goes to a home with that allergy', async ({
  page,
}) => {
  await signIn(page);
  await addHome(page, 'Egg cottage', { born: '2020-02', avoids: ['egg'], also: 'kiwi, latex' });
  await page.goto(address('/shelf/new/thing'));
  await benchIsReady(page);
  await page.getByLabel('Name of one').fill('egg');
  await page.getByLabel('Name of several').fill('eggs');
  await expect(page.getByText('From its name we’ve ticked: may hold egg.')).toBeVisible();
  await expect(
    page.getByRole('group', { name: 'It may hold' }).getByRole('checkbox', { name: 'egg', exact: true }),
  ).toBeChecked();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.waitForURL((url) => !url.pathname.startsWith('/shelf/new'));
  await page.goto(address('/shelf/thing/eggs'));
  await expect(page.getByText('Not checked yet.')).toBeVisible();
  await expectAccessible(page);
});

test('no guide is printed before somebody has looked', async ({ page }) => {
  await signIn(page);
  const bench = await sessionSaying(page, 'Only on paper', 'Strike a match.');
  await page.goto(`${bench}/print?for=all&version=usual`);
  await expect(page.getByRole('alert')).toContainText('Guides aren’t printed until you’ve looked at');
});
