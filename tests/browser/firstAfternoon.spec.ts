import { expect, test } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { endProcess, startTestDatabase, testEnvironment, type TestDatabase } from '../support/app.ts';
import { testPort } from '../support/ports.ts';
import { Finger, type Hand, Keys, Mouse } from './hands.ts';
import { BENCH, benchIsReady, isKept, lineTools, part, script } from './steps.ts';

const ROOT = resolve(import.meta.dirname, '../..');

/** An installation that nobody has used yet, as `bin/start` without the demo leaves it. */
async function startFresh(): Promise<{ base: string; code: string; stop(): Promise<void> }> {
  const records: TestDatabase = await startTestDatabase();
  const folder = mkdtempSync(join(tmpdir(), 'footstool-afternoon-'));
  const port = await testPort();
  let said = '';
  const server: ChildProcess = spawn(join(ROOT, 'bin/start'), {
    env: { ...testEnvironment(records.url, folder, port), FOOTSTOOL_DEMO: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  server.stdout!.on('data', (chunk: Buffer) => (said += chunk.toString()));
  await expect.poll(() => said, { timeout: 60_000 }).toContain('Ctrl-C stops it');
  return {
    base: `http://127.0.0.1:${port}`,
    code: /code ([0-9A-F-]{23})/.exec(said)![1]!,
    stop: async () => {
      await endProcess(server, 'SIGTERM');
      await records.remove();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

const TABLE = [
  'Family\tChildren\tBorn\tAllergies\tLanguage\tE-mail',
  'Ortega\tAva & Tom\tMarch 2024 & 06/2021\tegg, dairy, kiwi\tSpanish\tortega@post.example',
  'Miller\tLena\t4 years\tnone\t\tmiller@post.example',
  'Hale\tKit Hale\t12/05/2022\tnuts\tEnglish\t',
  'Reed\tBo\tsoon\t\t\treed@post.example',
  'Voss\tUma\tSept 2022\t\tPolish\tvoss@post.example',
  'Imber\tNim and Ida\t2021-03 and 2023-09\t\t\timber@post.example',
  'Oake\tSol\t03/2022\twheat\t\toake@post',
  'Tarn\tFay\t18 months\t\t\ttarn@post.example',
  'Wick\tJuno\tMay 2021\t\t\t07700 900123',
].join('\n');

async function beginProgramme(hand: Hand, { base, code }: { base: string; code: string }) {
  const { page } = hand;
  await page.goto(`${base}/begin`);
  await hand.fill(page.getByLabel('Code'), code);
  await hand.fill(page.getByLabel('Programme'), 'Fernbank nursery');
  await hand.fill(page.getByLabel('Your name'), 'Fern');
  await hand.fill(page.getByLabel('Your address for letters'), 'fern@fernbank.example');
  await hand.fill(page.locator('[name=password]'), 'leaves-and-more');
  await hand.fill(page.locator('[name=again]'), 'leaves-and-more');
  await hand.use(page.getByRole('button', { name: 'Begin' }));
  await expect(page.getByRole('heading', { name: 'Your first afternoon' })).toBeVisible();
}

async function bringFamilies(hand: Hand) {
  const { page } = hand;
  await hand.use(page.getByRole('link', { name: 'Your families' }));
  await benchIsReady(page);
  await hand.reach(page.getByLabel(/^Paste your table here/));
  await hand.paste(TABLE);
  await expect(page.getByText('I can’t read a month or an age in this')).toBeVisible();
  await expect(page.getByText('This isn’t an e-mail address')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Bring in 7 homes' })).toBeVisible();
  // The first marked cell has the focus, and Enter goes on to the next.
  await hand.replace(page.getByRole('textbox', { name: /^Born, or how old, row 4/ }), 'June 2023');
  await hand.press('Enter');
  await hand.replace(page.getByRole('textbox', { name: /^E-mail, row 7/ }), 'oake@post.example');
  await hand.press('Enter');
  // Nothing comes in by the press that went on to the button.
  await expect(page.getByRole('button', { name: 'Bring in 9 homes' })).toBeFocused();
  await hand.use(page.getByRole('button', { name: 'Bring in 9 homes' }));
  await expect(page.getByText('9 new homes')).toBeVisible();
}

/** The start of a session, with a book of one's own and three pauses in it. */
async function startSession(hand: Hand) {
  const { page } = hand;
  await page.goto(new URL('/', page.url()).href);
  await hand.use(page.getByRole('link', { name: 'A first session' }));
  await hand.fill(page.getByLabel('What is it called?'), 'Lids on the move');
  await hand.use(page.getByRole('button', { name: /add a book/ }));
  await benchIsReady(page);
  await hand.fill(page.getByLabel('Title'), 'The lid that rolled');
  await hand.fill(page.getByLabel('Written by'), 'Fern');
  await hand.replace(page.getByLabel('Words', { exact: true }), '180');
  await hand.replace(page.getByLabel('Pages', { exact: true }), '10');
  await hand.fill(page.getByLabel('What happens in it'), 'A lid rolls through the house and meets a sock.');
  for (const [index, [onPage, question]] of [
    ['2', '“Where will it roll?”'],
    ['5', '“Who is under the bed?”'],
    ['9', '“What would you say to it?”'],
  ].entries()) {
    await hand.use(page.getByRole('button', { name: /^Add .*(pause|row)/i }));
    await hand.replace(page.getByLabel('after page').nth(index), onPage!);
    await hand.fill(page.getByLabel('question').nth(index), question!);
    await hand.fill(page.getByLabel('Why you ask it').nth(index), 'It makes them look ahead.');
  }
  await hand.press('Enter');
  await expect(page.getByLabel('What is it called?')).toHaveValue('Lids on the move');
  await hand.choose(page.getByLabel('Something to do'), 'Carts and lids');
  await hand.use(page.getByRole('button', { name: 'Start writing' }).last());
  await page.waitForURL(BENCH);
  await benchIsReady(page);
}

/** A part of one's own with two things and a number that can be turned, and a verse. */
async function writePart(hand: Hand) {
  const { page } = hand;
  await hand.use(page.getByRole('button', { name: 'Add a part' }));
  const own = part(page, 'Something to do');
  await expect(script(page, 'Something to do')).toBeFocused();
  for (const line of ['Lay 6 spoons in a row on the tea towel.', 'ask: “Which of the 6 is longest?”']) {
    await hand.type(line);
    await hand.press('Enter');
  }
  await hand.type('sing: Spoon by spoon by spoon we go / In a long and shiny row');
  await hand.press('ArrowUp');
  await hand.use(lineTools(page).getByRole('button', { name: 'make 6 adjustable' }));
  await hand.use(page.getByRole('button', { name: 'Make it adjustable' }));
  await expect(own.getByRole('spinbutton', { name: 'spoons' })).toHaveCount(2);
  await hand.use(own.locator('summary').filter({ hasText: 'needs' }));
  for (const thing of ['tablespoons', 'tea towels']) {
    await hand.fill(own.getByLabel('Thing to add'), thing);
    await hand.press('Enter');
    await expect(own.getByLabel(`How many ${thing}`)).toBeVisible();
  }
  await isKept(page);
}

async function lookAndSend(hand: Hand) {
  const { page } = hand;
  await hand.goToSending();
  await expect(page.getByText('No phone can open these links yet')).toBeVisible();
  await hand.use(page.getByRole('link', { name: 'Look at the guide of Lena’s home' }));
  await expect(page.getByText('This is how Lena’s home will see it')).toBeVisible();
  await expect(page.getByText('“Where will it roll?”')).toBeVisible();
  await hand.use(page.getByRole('link', { name: 'Back to sending' }));
  await hand.use(page.getByRole('button', { name: 'Send anyway' }));
  await expect(page.getByText('It’s on its way.')).toBeVisible();
}

async function firstAfternoon(hand: Hand) {
  const fresh = await startFresh();
  try {
    await beginProgramme(hand, fresh);
    await bringFamilies(hand);
    await startSession(hand);
    await writePart(hand);
    await lookAndSend(hand);
    await hand.page.goto(fresh.base);
    await expect(hand.page.getByRole('heading', { name: 'Your first afternoon' })).toHaveCount(0);
  } finally {
    await fresh.stop();
  }
  console.log(
    `first afternoon: ${hand.clicks} clicks, ${hand.keys} control keys, ${hand.characters} characters of text`,
  );
}

test(
  'the first afternoon with a mouse: families, a session of one’s own, a look, sent',
  { tag: '@soak' },
  async ({ page }) => {
    const hand = new Mouse(page);
    await firstAfternoon(hand);
    expect(hand.clicks).toBeLessThanOrEqual(40);
    expect(hand.keys).toBeLessThanOrEqual(20);
  },
);

test('the first afternoon by touch, on a tablet', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 1180 }, hasTouch: true });
  const hand = new Finger(await context.newPage());
  await firstAfternoon(hand);
  expect(hand.clicks).toBeLessThanOrEqual(40);
  await context.close();
});

test('the first afternoon by keyboard alone', async ({ page }) => {
  const hand = new Keys(page);
  await firstAfternoon(hand);
  expect(hand.clicks).toBe(0);
  expect(hand.keys).toBeLessThanOrEqual(120);
});
