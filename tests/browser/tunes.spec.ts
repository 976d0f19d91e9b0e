import { expect, test, type Page } from '@playwright/test';
import { address, benchIsReady, expectAccessible, beSignedIn, signIn } from './steps.ts';

const words = (page: Page) => page.getByLabel('Words, a line for each line of the tune');
const region = (page: Page) => page.getByRole('region', { name: 'Words on the tune' });

test(
  'words are set to a tune: what fits, what to hold, split or change, a name said as told, printed and put on the shelf',
  { tag: '@soak' },
  async ({ page }) => {
    await signIn(page);
    await page.goto(address('/makers/words-to-a-tune?tune=twinkle'));
    await benchIsReady(page);
    await expect(region(page)).toContainText('6 of 6 lines fit.');
    await expectAccessible(page);
    await words(page).fill(
      'Button, button in a row\nWho will wear you, do you know it\n(Me!)\nThe button will again go\nZuzanka has them',
    );
    await expect(region(page)).toContainText('7 syllables on 7 notes: it fits.');
    await expect(region(page)).toContainText('one long. Sing');
    await expect(region(page)).toContainText('Spoken between the lines');
    await expect(region(page)).toContainText('falls on a weak beat');
    await expect(
      region(page).getByRole('img', { name: 'Notes with the words: Button, button in a row' }),
    ).toBeVisible();
    // Its inks are those of paper, so it lies on paper in the dark as well.
    await page.emulateMedia({ colorScheme: 'dark' });
    await expect(region(page).getByRole('img').first()).toHaveCSS('background-color', 'rgb(255, 255, 255)');
    await page.emulateMedia({ colorScheme: 'light' });
    const zuzanka = page.getByRole('spinbutton', { name: 'Zuzanka' });
    const before = await region(page).innerText();
    await zuzanka.fill('5');
    await expect.poll(() => region(page).innerText()).not.toBe(before);
    await expect(region(page)).toContainText('7 syllables on 7 notes');
    const printed = await page.request.get(
      address((await page.getByRole('link', { name: 'Print it' }).getAttribute('href'))!),
    );
    expect([printed.status(), printed.headers()['content-type']]).toEqual([200, 'application/pdf']);
    await page.getByRole('link', { name: 'Put it on the shelf as a song' }).click();
    await expect(page.getByRole('heading', { name: 'Add a song' })).toBeVisible();
    await expect(page.getByRole('textbox', { name: 'Tune', exact: true })).toHaveValue('Twinkle, twinkle');
    const written = () =>
      page.locator('textarea').evaluateAll((fields) => fields.map((field) => (field as HTMLTextAreaElement).value));
    await expect.poll(async () => (await written()).join('\n')).toContain('Button, button in a row');
  },
);

test('another tune takes the words along, the tune is heard on press, by keyboard alone', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/makers/words-to-a-tune'));
  await benchIsReady(page);
  await page.getByRole('combobox', { name: 'Tune' }).focus();
  await page.keyboard.type('Hot');
  await expect(region(page)).toContainText('8 syllables on 3 notes: 5 too many.');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Hot and wet');
  await expect(region(page)).toContainText('1 of 1 line fits.');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(words(page)).toHaveValue(/^Socks and vests\n/);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Stop' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Hear the tune' })).toBeVisible();
});
