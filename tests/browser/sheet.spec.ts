import { expect, test, type Page } from '@playwright/test';
import {
  address,
  benchIsReady,
  expectAccessible,
  isKept,
  lineTools,
  part,
  script,
  beSignedIn,
  startSession,
} from './steps.ts';

const kinds = (page: Page, title: string) =>
  part(page, title)
    .locator('.line')
    .evaluateAll((lines) => lines.map((line) => line.className.replace(/.*line-(\w+).*/, '$1')));

const words = (page: Page, title: string) => part(page, title).locator('.line-text').allTextContents();

async function ownPart(page: Page, name: string): Promise<void> {
  await startSession(page, name, []);
  await page.getByRole('button', { name: 'Add a part' }).click();
  await expect(script(page, 'Something to do')).toBeFocused();
}

const OWN = 'Something to do';

test('a script is written like a page: Enter splits, Backspace joins, a kind is typed, pressed or guessed', async ({
  page,
}) => {
  await ownPart(page, 'Like a page');
  await page.keyboard.type('Tip the lids into a bowl. Sit down.');
  await page.keyboard.press('Enter');
  await page.keyboard.type('“How many are there?”');
  await page.keyboard.press('Enter');
  await page.keyboard.type('if: They grab them all: count them together.');
  await expect.poll(() => kinds(page, OWN)).toEqual(['do', 'ask', 'if']);

  await page.keyboard.press('Control+Home');
  for (let step = 0; step < 'Tip the lids into a bowl.'.length; step++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect.poll(() => words(page, OWN)).toHaveLength(4);
  await page.keyboard.press('Backspace');
  await expect.poll(() => words(page, OWN)).toHaveLength(3);
  await page.keyboard.press('Enter');

  await lineTools(page).getByRole('button', { name: 'notice' }).click();
  await expect.poll(() => kinds(page, OWN)).toEqual(['do', 'notice', 'ask', 'if']);
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(() => kinds(page, OWN)).toEqual(['notice', 'do', 'ask', 'if']);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('End');
  await page.keyboard.type(' answer: six');
  await isKept(page);
  await expectAccessible(page);
  await page.reload();
  await benchIsReady(page);
  await expect(script(page, OWN)).toBeVisible();
  expect(await words(page, OWN)).toEqual([
    'Sit down.',
    'Tip the lids into a bowl.',
    '“How many are there?” → six',
    'They grab them all: count them together.',
  ]);
});

test('blocks: a thing by its name, the child, a number turned with the keys, a sum that follows', async ({ page }) => {
  await ownPart(page, 'With blocks');
  await page.keyboard.type('Put 4 cups out.');
  await lineTools(page).getByRole('button', { name: 'make 4 adjustable' }).click();
  await expect(page.getByLabel('What is counted')).toBeFocused();
  await page.keyboard.press('Enter');
  const cups = part(page, OWN).getByRole('spinbutton', { name: 'cups' });
  await expect(cups).toHaveText('4');

  await page.keyboard.press('Control+End');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Tell ');
  await lineTools(page).getByLabel('Put into the line').selectOption('the child’s name');
  await page.keyboard.type(' to fetch ');
  await lineTools(page).getByLabel('Put into the line').selectOption('a sum …');
  await expect(page.getByRole('group', { name: 'A sum' })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.type(' more cup');
  // What is named is offered first; one Tab and Enter put it in.
  await expect(lineTools(page).getByRole('button', { name: 'put in “cups”' })).toBeVisible();
  await expect.poll(() => words(page, OWN)).toEqual(['Put 4 cups out.', 'Tell your child to fetch 8 more cup']);

  // Arrows pass over the number, Enter opens it, arrows turn it, Enter goes on writing.
  await page.keyboard.press('Control+Home');
  for (let step = 0; step < 'Put '.length + 1; step++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(cups).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await page.keyboard.type('!');
  await expect.poll(() => words(page, OWN)).toEqual(['Put 5! cups out.', 'Tell your child to fetch 10 more cup']);
  await page.keyboard.press('Control+z');
  await expect.poll(() => words(page, OWN)).toEqual(['Put 5 cups out.', 'Tell your child to fetch 10 more cup']);
  await page.keyboard.press('Control+z');
  await expect(cups).toHaveText('4');
  await isKept(page);
});

test('lines go to other parts, twice, and out; arrows go over the edge of a part; who reads writes nothing', async ({
  page,
}) => {
  await ownPart(page, 'Over the edge');
  await page.keyboard.type('Wave.');
  await page.keyboard.press('ArrowUp');
  await expect(script(page, 'The cart with no wheels')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(script(page, OWN)).toBeFocused();
  await lineTools(page).getByRole('button', { name: 'copy' }).click();
  await expect.poll(() => words(page, OWN)).toEqual(['Wave.', 'Wave.']);
  await lineTools(page).getByLabel('Move the line to another part').selectOption('Goodbye');
  await expect.poll(() => words(page, OWN)).toEqual(['Wave.']);
  await expect(part(page, 'Goodbye').locator('.line').last()).toContainText('Wave.');
  await script(page, OWN).click();
  await lineTools(page).getByRole('button', { name: 'take out' }).click();
  await expect.poll(() => words(page, OWN)).toEqual(['']);
  // Tab leads from the text to its tools, Escape back.
  await page.keyboard.press('Tab');
  await expect(lineTools(page).getByRole('button', { name: 'do', exact: true })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(script(page, OWN)).toBeFocused();
  await page.goto(address('/'));
});

const PAGE = `Ice boats
Fill 6 jar lids with water and put them in the freezer.
Say: “Tomorrow we sail.”
“What do you think will happen?” -> it goes hard

Sailing (6 min)
- Float the ice in the bowl.
- “Which one melts first?”
- If they want to hold it: let them, for a second.
- Notice what they say about cold.

Drying off
Pour the water away.
“Where did our boats go?”
Hang up the towel.`;

test('a page that was written elsewhere becomes a script, marked where we guessed, and goes again at one press', async ({
  page,
}) => {
  await startSession(page, 'Pasted', []);
  const before = await page.locator('section.segment').count();
  await page.getByRole('button', { name: 'Paste a page' }).click();
  await page.getByLabel('Your page').fill(PAGE);
  await page.getByRole('button', { name: 'Make it a script' }).click();
  const note = page.getByRole('status').filter({ hasText: 'came in' });
  await expect(note).toContainText('10 lines came in, in 3 parts.');
  await expect(note).toContainText('6 jar lids');
  await expect.poll(() => kinds(page, 'Ice boats')).toEqual(['do', 'say', 'ask']);
  await expect.poll(() => kinds(page, 'Sailing')).toEqual(['do', 'ask', 'if', 'notice']);
  await expect(part(page, 'Ice boats').locator('.line-text').last()).toContainText('→ it goes hard');
  await part(page, 'Sailing').getByRole('button', { name: 'line 4 is something to do' }).click();
  await expect.poll(() => kinds(page, 'Sailing')).toEqual(['do', 'ask', 'if', 'do']);
  await expectAccessible(page);
  await page.keyboard.press('Control+z');
  await note.getByRole('button', { name: 'Undo the paste' }).click();
  await expect(page.locator('section.segment')).toHaveCount(before);
  await isKept(page);
});

test('text goes in where the caret is: lines as lines, one of them as words, blocks as blocks where they are known', async ({
  page,
}) => {
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  const paste = async (text: string, html = '') => {
    await page.evaluate(
      async ([plain, rich]) =>
        navigator.clipboard.write([
          new ClipboardItem({
            'text/plain': new Blob([plain!], { type: 'text/plain' }),
            ...(rich && { 'text/html': new Blob([rich], { type: 'text/html' }) }),
          }),
        ]),
      [text, html],
    );
    await page.keyboard.press('Control+v');
  };
  await ownPart(page, 'Put in');
  await page.keyboard.type('Fetch .');
  await page.keyboard.press('ArrowLeft');
  await paste('two lids');
  await page.keyboard.press('End');
  await paste('', 'Float\n them.<div><script>alert(1)</script>“Do they sink?”</div>');
  await expect.poll(() => words(page, OWN)).toEqual(['Fetch two lids.', 'Float them.', '“Do they sink?”']);
  await expect.poll(() => kinds(page, OWN)).toEqual(['do', 'do', 'ask']);

  await page.goto(address('/sessions'));
  await page.getByRole('link', { name: 'The cart with no wheels' }).first().click();
  await benchIsReady(page);
  const carts = script(page, 'Carts and lids');
  await carts.getByText('These carts have lost').click();
  await page.keyboard.press('Home');
  await page.keyboard.press('Shift+End');
  await page.keyboard.press('Control+c');
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+v');
  await expect(part(page, 'Carts and lids').getByRole('spinbutton', { name: 'wheels on each' })).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await script(page, 'Goodbye').focus();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Control+v');
  await expect
    .poll(async () => (await words(page, 'Goodbye')).join(' / '))
    .toContain('Each one wants 4, or it tips over.”');
  await expect(part(page, 'Goodbye').getByRole('spinbutton')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await isKept(page);
});

const TWELVE = `Rain in a jar
Fill 2 jam jars with warm water.
“What do you think the foil does?”
Cover each jar with foil.
Put ice on top of the foil.
“Look, it’s getting foggy.”
How do you know it is warm inside?
If they want to lift the foil: let them look, and cover it again.
Notice whether they see drops.
Sing: Rain, rain, in a jar
Pour the water on a plant.
Dry the jars together.`;

test('twelve lines of plain text are a session that is sent, with few corrections', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/sessions/new'));
  await page.getByLabel('What is it called?').fill('Rain in a jar');
  await page.getByRole('button', { name: 'Start writing' }).click();
  await benchIsReady(page);
  await page.getByRole('button', { name: 'Paste a page' }).click();
  await page.getByLabel('Your page').fill(TWELVE);
  await page.getByRole('button', { name: 'Make it a script' }).click();
  await expect
    .poll(() => kinds(page, 'Rain in a jar'))
    .toEqual(['do', 'ask', 'do', 'do', 'say', 'ask', 'if', 'notice', 'sing', 'do', 'do']);
  await isKept(page);
  await page.getByRole('link', { name: /^Send to/ }).click();
  await page
    .getByRole('button', { name: /^Send to|^Send anyway/ })
    .first()
    .click();
  await expect(page.getByText('It’s on its way.')).toBeVisible();
});
