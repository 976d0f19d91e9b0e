import { expect, test, type Page } from '@playwright/test';
import { MAKERS } from '../../src/makers/index.ts';
import { plainHomes } from '../support/homes.ts';
import { address, benchIsReady, expectAccessible, shareOf, beSignedIn, signIn } from './steps.ts';

const lines = (page: Page) => page.getByRole('region', { name: 'Picture and lines' });

/** The main dial of each maker, a value for it, and what a line then says. */
const TURNS = [
  { id: 'place-settings', dial: 'people', to: '6', says: 'Put out 6 chairs or cushions' },
  { id: 'number-pots', dial: 'to', to: '8', says: 'Stand 9 pots in a row, 0 to 8, and lay 36 counters' },
  { id: 'tally', dial: 'how many', to: '17', says: 'five, ten, fifteen, sixteen, seventeen' },
  { id: 'dice-moves', dial: 'dice', to: '2', says: 'as many as were thrown, from 2 to 12' },
  { id: 'frame', dial: 'in the first colour', to: '7', says: 'Put 7 counters in' },
  { id: 'guess-and-count', dial: 'under the cloth', to: '20', says: '20; from 18 to 22 is near' },
  { id: 'strips', dial: 'to', to: '9', says: 'Mix 9 strips, 1 to 9 marks' },
  { id: 'length-pairs', dial: 'strips', to: '5', says: 'Cut 5 strips of 180 mm' },
  { id: 'number-strip', dial: 'from', to: '8', says: 'What comes after 9?' },
  { id: 'balance', dial: 'weight on the left, in counters', to: '20', says: 'Put 20 counters into the left bag' },
  { id: 'pattern-row', dial: 'pieces in the row', to: '9', says: 'Lay 9 pieces in a row' },
  { id: 'pair-cards', dial: 'total', to: '7', says: 'Lay 8 cards out' },
  { id: 'bead-row', dial: 'number', to: '58', says: 'Show me fifty-eight.' },
  { id: 'hundred-hunt', dial: 'things found', to: '104', says: '10 and 4: 104' },
  { id: 'volumes', dial: 'container, ml', to: '1000', says: 'a clear container of 1000 ml' },
  { id: 'clock', dial: 'hour', to: '7', says: 'Set the clock to seven o’clock' },
  { id: 'number-row', dial: 'the number this child leaves out', to: '9', says: 'seven, eight, ten, eleven' },
  { id: 'sorting-set', dial: 'of each kind for each pile', to: '3', says: '6: they’re all the same' },
  { id: 'order-row', dial: 'toys in the row', to: '7', says: 'lines up 7 animals' },
  { id: 'numeral-page', dial: 'numeral', to: '8', says: 'cross over, round below, and back up' },
  { id: 'balance-table', dial: 'things to weigh', to: '6', says: 'a shoe, an apple and a wooden spoon' },
  { id: 'story-sums', dial: 'there at first', to: '6', says: '6 animals stand at the pond' },
  { id: 'kitchen', dial: 'people', to: '8', says: 'pats 8 rounds flat' },
  { id: 'act-it-out', dial: 'roles', to: 'bear, bee', says: 'Give out the roles: bear and bee.' },
  { id: 'writing', dial: 'what it is', to: 'letter', says: 'put it into the post together' },
  { id: 'shapes', dial: 'shape', to: 'octagon', says: '8: keep a thumb on the first' },
  { id: 'craft', dial: 'dots on each', to: '12', says: 'each of the 12 drawn places' },
  { id: 'bracelet', dial: 'round the wrist, mm', to: '170', says: 'Cut a string of 335 mm' },
  { id: 'counting-song', dial: 'verses', to: '4', says: 'Stand 4 cars in a row' },
  {
    id: 'week-strip',
    dial: 'today is',
    to: 'Friday',
    says: 'Today is Friday. Yesterday was Thursday. Tomorrow will be Saturday.',
  },
  { id: 'chart', dial: 'how many of each', to: '4 9 1', says: '8: those that stick out' },
  { id: 'arrivals', dial: 'guests on each page', to: '2 2 2', says: '6 in all, over 3 pages' },
  { id: 'basket-for-the-week', dial: 'second thing', to: 'pine-cone', says: 'feel it with closed eyes' },
  { id: 'game', dial: 'places, cards or pieces', to: '30', says: 'the printed track of 30 places' },
  { id: 'guess-the-sound', dial: 'things', to: '6', says: 'a comb and a clothes peg' },
  { id: 'name-strip', dial: 'name', to: 'nim', says: 'N, the large one' },
  { id: 'clap-the-parts', dial: 'words', to: 'bus, helicopter', says: 'And helicopter?' },
  { id: 'pattern-song', dial: 'the bit that repeats', to: 'ABBC', says: 'clap, stamp, stamp, wave, clap' },
  { id: 'sound-story', dial: 'sound', to: 'm', says: 'There was soup on the stove' },
  { id: 'sound-boxes', dial: 'asked for', to: 'last', says: 'What is the last sound of fish?' },
  { id: 'sound-page', dial: 'letter or pair', to: 'k', says: 'down; slanting, back, slanting' },
  { id: 'alphabet-chart', dial: 'letter of the day', to: 'b', says: 'a and c' },
  { id: 'letter-hunt', dial: 'only these', to: 'b, d', says: 'look on a packet, or draw it' },
  { id: 'picture-spelling', dial: 'words', to: 'fog', says: 'fog' },
  { id: 'little-book', dial: 'new words, in order', to: 'the, jump', says: 'jump' },
  { id: 'sentence-strips', dial: 'sentences', to: 'A bee is up.', says: 'A bee is up.' },
  { id: 'instructions', dial: 'what is made', to: 'hat', says: 'fold it in half' },
  { id: 'clap-the-full-stops', dial: 'text', to: 'a harder one of ours', says: 'Somebody knocked' },
  { id: 'by-heart', dial: 'lines in a portion', to: '2', says: 'The moon is a boat, with nobody in' },
  { id: 'rhyme-pot', dial: 'rows of three', to: '1', says: 'from words of your own' },
  { id: 'sound-pot', dial: 'sound', to: 'm', says: 'Which ones start with m?' },
  { id: 'blend-by-ear', dial: 'words', to: 'cake, hat', says: 'I spy a … c-ay-k.' },
  { id: 'letter-tiles', dial: 'words', to: 'nut, tin', says: 'Lay 4 tiles face up' },
  { id: 'word-cards', dial: 'words', to: 'cake, bell', says: 'an arc joins two letters' },
  { id: 'word-sheet', dial: 'sheet', to: 'word search', says: 'The words hide in the grid' },
] as const;

/** So many are looked at behind one sign-in. */
const AT_A_TIME = 12;

const TRIED = shareOf(TURNS);

for (let from = 0; from < TRIED.length; from += AT_A_TIME) {
  const turns = TRIED.slice(from, from + AT_A_TIME);
  test(`turning a dial changes the line, the picture and the facts in one go: ${turns.map(({ id }) => id).join(', ')}`, async ({
    page,
  }) => {
    await signIn(page);
    for (const { id, dial, to, says } of turns)
      await test.step(id, async () => {
        await page.goto(address(`/makers/${id}`));
        await benchIsReady(page);
        const picture = lines(page).getByRole('img');
        const before = await picture.innerHTML();
        await expect(lines(page)).not.toContainText(says);
        // A list is labelled with its hint as well.
        const field = page.getByLabel(new RegExp(`^${dial}(?!, \\d)`)).first();
        if ((await field.evaluate((element) => element.tagName)) === 'SELECT') await field.selectOption(to);
        else await field.fill(to);
        await expect(lines(page)).toContainText(says);
        expect(await picture.innerHTML()).not.toBe(before);
      });
  });
}

test('money table: prices that cannot be paid are refused with the reason, and the last good ones stand', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/makers/money-table'));
  await benchIsReady(page);
  await page.getByLabel('prices', { exact: false }).first().fill('3 25');
  await expect(page.getByRole('alert')).toContainText(
    'No price over 21p can be paid from this purse, so 25p must go. What stood before still stands.',
  );
  await expect(page.getByText('14p: 2 ways, fewest 10p + 2p + 2p.')).toBeVisible();
  await page.getByLabel('coins in the purse').fill('0 5');
  await expect(page.getByRole('alert')).toContainText('takes whole numbers from 1 to 500, so “0” was not taken');
  await page.getByLabel('coins in the purse').fill('50');
  await page.getByLabel('coins in the till').fill('10 5');
  await page.getByLabel('prices', { exact: false }).first().fill('35');
  await expect(lines(page)).toContainText('count up 35p to 40p, 40p to 50p');
  await expectAccessible(page);
});

test('bad numbers are refused with the range at once, by keyboard too, and levels change the lines', async ({
  page,
}) => {
  await beSignedIn(page);
  await page.goto(address('/makers/pair-cards'));
  await benchIsReady(page);
  await page.getByLabel('total', { exact: true }).fill('10000');
  await expect(page.getByRole('alert')).toContainText(
    '“total” takes a whole number from 1 to 12, so “10000” was not taken.',
  );
  await page.getByLabel('total', { exact: true }).fill('many');
  await expect(page.getByRole('alert')).toContainText('so “many” was not taken');
  await page.getByLabel('total, 1 to 12').focus();
  await expect(page.getByLabel('total', { exact: true })).toHaveValue('5');
  await page.keyboard.press('ArrowRight');
  await expect(lines(page)).toContainText('Lay 7 cards out');
  await page.getByRole('button', { name: 'easier' }).press('Enter');
  await expect(lines(page)).toContainText('Leave the cards');
  await page.goto(address('/makers/pattern-row'));
  await benchIsReady(page);
  await page.getByLabel('pieces in the row', { exact: true }).fill('400');
  await expect(page.getByRole('alert')).toContainText('from 2 to 24');
});

test('a maker goes onto the bench, its dial is turned there, and the tray is printed for eighteen homes', async ({
  page,
}) => {
  await signIn(page);
  const homes = plainHomes(6);
  await page.goto(address('/shelf/import'));
  await page.getByLabel('File').setInputFiles({
    name: 'homes.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ format: 'footstool', version: 1, homes })),
  });
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('Taken in: 6 added')).toBeVisible();

  for (const id of ['number-pots', 'pair-cards', 'strips']) {
    await page.goto(address(`/makers/${id}`));
    await benchIsReady(page);
    await page.getByLabel('put it into').selectOption({ label: 'A parcel for Nim' });
    await page.getByRole('button', { name: 'Add to the session' }).click();
    await page.waitForURL('**/sessions/*');
  }
  await benchIsReady(page);
  const pots = page.locator('section.segment').filter({ has: page.getByRole('heading', { name: 'Number pots' }) });
  await pots.getByRole('spinbutton', { name: 'to', exact: true }).press('ArrowUp');
  await expect(pots).toContainText('Stand 7 pots in a row, 0 to 6, and lay 21 counters');
  await expect(page.getByRole('status').filter({ hasText: 'saved at' })).toBeVisible();
  await page.getByRole('link', { name: 'Print tray' }).click();
  await page.getByLabel('For whom').selectOption({ label: 'for all homes' });
  await page.getByRole('button', { name: 'Show the pages' }).click();
  await page.waitForURL(/for=all/);
  await expect(page.getByRole('main')).toContainText(/\d+ sheets,\s+A4,\s+to true size/);
  await benchIsReady(page);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the PDF' }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await expect(page.getByRole('status')).toContainText(/\d+ pages are ready/, { timeout: 60_000 });
  const href = (await page.getByRole('link', { name: 'open the PDF' }).getAttribute('href'))!;
  const pdf = await (await page.request.get(address(href))).body();
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  expect(pdf.length).toBeLessThan(5 * 1024 * 1024);
  await page.goto(address('/printer'));
  await expect(page.getByRole('row').filter({ hasText: 'A parcel for Nim' })).toContainText('ready');
  await expectAccessible(page);

  await page.goBack();
  await page.getByLabel('How').selectOption({ label: 'no printer: to draw by hand' });
  await page.getByRole('button', { name: 'Show the pages' }).click();
  await expect(page.locator('figcaption', { hasText: 'Pair cards, by hand' })).toBeVisible();
  await page.getByLabel('For whom').selectOption({ label: 'for one home' });
  await page.getByRole('button', { name: 'Show the pages' }).click();
  await expect(page.getByRole('alert')).toContainText('Choose a home');
});

test('cards with their total behind them are laid out for both sides of the sheet', async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/makers/pair-cards'));
  await benchIsReady(page);
  await page.getByLabel('on the back').selectOption('the total');
  await expect(lines(page)).toContainText('Turn it over: is that what you both said?');
  await page.getByLabel('put it into').selectOption({ label: 'A parcel for Nim' });
  await page.getByRole('button', { name: 'Add to the session' }).click();
  await page.waitForURL('**/sessions/*');
  await benchIsReady(page);
  await page.goto(`${page.url()}/print?for=author`);
  await expect(page.getByRole('main')).toContainText(/\d+ pages on \d+ sheets, printed on both sides, A4/);
  const titles = (await page.locator('figcaption').allInnerTexts()).map((words) => words.replace(/^\d+ · /, ''));
  const back = titles.indexOf('Pair cards, backs');
  expect(back % 2).toBe(1);
  expect(titles[back - 1]).toBe('Pair cards');
  await page.goto(address('/makers/pair-cards'));
  await benchIsReady(page);
  await page.getByRole('combobox', { name: /^cards/ }).selectOption('a chain');
  await page.getByLabel('on the back').selectOption('the total');
  await expect(page.getByRole('alert')).toContainText('A chain checks itself');
});

test('the programme’s settings are obeyed by the makers', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Programme' }).click();
  await page.getByLabel('Zero early').uncheck();
  await page.getByLabel('How far from things to signs').selectOption({ label: 'signs' });
  await page.getByLabel('Coins').selectOption({ label: 'tokens of our own' });
  await page.getByLabel('Closed days').fill('2027-02-30');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert')).toContainText('“2027-02-30” is not a day that exists');
  await page.getByLabel('Closed days').fill('2027-05-03');
  await page.getByLabel('Zero early').uncheck();
  await page.getByLabel('How far from things to signs').selectOption({ label: 'signs' });
  await page.getByLabel('Coins').selectOption({ label: 'tokens of our own' });
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toHaveText('Kept.');
  await expectAccessible(page);
  await page.goto(address('/makers/number-strip'));
  await benchIsReady(page);
  await page.getByLabel('from', { exact: true }).fill('0');
  await expect(page.getByRole('alert')).toContainText('zero late: start the row at 1');
  await page.goto(address('/makers/money-table'));
  await expect(page.getByText('The purse holds 21 tokens.')).toBeVisible();
  await page.goto(address('/programme'));
  await page.getByLabel('Zero early').check();
  await page.getByLabel('How far from things to signs').selectOption({ label: 'things' });
  await page.getByLabel('Coins').selectOption({ label: 'pence and pounds' });
  await page.getByLabel('Closed days').fill('');
  await page.getByRole('button', { name: 'Save' }).click();
});

test('from what was noticed the ladder proposes what next, without a mark', { tag: '@soak' }, async ({ page }) => {
  await beSignedIn(page);
  await page.goto(address('/makers'));
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(MAKERS.length);
  await expectAccessible(page);
  await page.getByRole('link', { name: 'What next? From what was noticed' }).click();
  await page.getByRole('link', { name: 'hands over five when asked for three' }).click();
  await expect(page.getByRole('heading', { name: 'Stay with counting out' })).toBeVisible();
  await expect(page.getByText('Count them into your hand together; stop at the number.')).toBeVisible();
  await expect(page.getByRole('complementary').getByRole('listitem')).toHaveCount(2);
  await page.getByRole('link', { name: 'says the row a good way, past ten' }).click();
  await expect(page.getByRole('heading', { name: 'Offer touch and count' })).toBeVisible();
  await expectAccessible(page);
});
