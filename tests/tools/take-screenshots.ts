import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import playwrightConfig from '../../playwright.config.ts';
import { startDemoDatabase, startServer, startTestDatabase, testEnvironment } from '../support/app.ts';

/** Takes the pictures of docs/screenshots from the demo: `npx tsx tests/tools/take-screenshots.ts` after a build. */
const FOLDER = resolve(import.meta.dirname, '../../docs/screenshots');
const PHONE = { width: 390, height: 844 };
/** Families as somebody has them written down, with two mistakes. */
const TABLE = [
  'Family\tChildren\tBorn\tAllergies\tLanguage\tE-mail',
  'Ortega\tAva & Tom\tMarch 2024 & 06/2021\tegg, dairy, kiwi\tSpanish\tortega@post.example',
  'Miller\tLena Miller\t4 years\tnone\t\t07700 900123',
  'Reed\tBo\tsoon\t\tPolish\treed@post.example',
  'Hale\tKit\t12/05/2022\tnuts\t\thale@post',
].join('\n');

const folder = mkdtempSync(join(tmpdir(), 'footstool-pictures-'));
const database = await startDemoDatabase();
const server = await startServer(database.url, folder);
const browser = await chromium.launch(playwrightConfig.use!.launchOptions);
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();

const picture = async (name: string, of: Page = page) => {
  await of.waitForLoadState('networkidle');
  await of.screenshot({ path: join(FOLDER, `${name}.png`) });
};
/** One sheet of a PDF as a picture, by poppler. */
async function savePdfPage(address: string, sheet: number): Promise<void> {
  const file = join(folder, 'tray.pdf');
  writeFileSync(file, await (await page.request.get(address)).body());
  execFileSync('pdftoppm', [
    '-png',
    '-r',
    '60',
    '-f',
    String(sheet),
    '-l',
    String(sheet),
    '-singlefile',
    file,
    join(FOLDER, 'pdf-page'),
  ]);
}
const go = (path: string) => page.goto(`${server.address}${path}`);

await go('/sign-in');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('navigation', { name: 'Rooms' }).waitFor();
await page.getByRole('button', { name: /^Tick off: Send “A parcel for Nim”/ }).click();
await page.getByText('Ticked off (1)').waitFor();
await picture('today');
await go('/shelf');
await picture('shelf');
await go('/shelf/have');
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
for (const thing of ['bottle lids', 'small boxes', 'bowls', 'socks', 'teaspoons'])
  await page.getByRole('checkbox', { name: thing, exact: true }).check();
await page.locator('.have-basket').waitFor();
await picture('have');
await go('/term');
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
const term = page.url();
await page.getByRole('button', { name: 'Propose the open weeks' }).click();
await page.getByText(/The best plan there is|no plan can have more than/).waitFor({ timeout: 40_000 });
await page.getByRole('button', { name: 'Close' }).click();
await page.getByRole('status').filter({ hasText: 'saved at' }).waitFor();
await picture('term');
await page.goto(`${term}/sounds`);
await picture('sounds');
await go('/makers/rhyme-pot');
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await picture('maker');
await go('/makers/sound-page?sound=sh');
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await picture('sound-page');
await go('/sessions/new');
await page.getByLabel('What is it called?').fill('Tea for the carrier');
await page.getByRole('button', { name: 'Start writing' }).click();
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await page.getByRole('button', { name: 'Add a part' }).click();
await page.getByRole('textbox', { name: 'Lines of Something to do' }).focus();
await page.keyboard.type('Fill the teapot from the kettle. Put out a knife and a plate of grapes.');
await page.keyboard.press('Escape');
await page.getByRole('status').filter({ hasText: 'saved at' }).waitFor();
await page.getByRole('link', { name: /^Send to/ }).click();
await page.getByRole('heading', { name: 'Look at these first' }).waitFor();
await picture('look-first');
await go('/makers/words-to-a-tune?tune=pop-goes');
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await picture('tune');
await go('/makers/pair-cards');
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await page.getByLabel('put it into').selectOption({ label: 'A parcel for Nim' });
await page.getByRole('button', { name: 'Add to the session' }).click();
await page.waitForURL('**/sessions/*');
await page.goto(`${page.url()}/print?for=all`);
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await picture('tray');
await page.getByRole('button', { name: 'Make the PDF' }).click();
await savePdfPage(`${server.address}/makers/little-book/print.pdf`, 1);
await go('/programme/cautions');
await picture('cautions');
await go('/homes/table');
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await page.getByLabel(/^Paste your table here/).fill(TABLE);
await page.getByRole('button', { name: 'Look at it' }).click();
await page.getByRole('heading', { name: 'Is this right?' }).waitFor();
await page.setViewportSize({ width: 1280, height: 1000 });
await picture('family-table');
await page.setViewportSize({ width: 1280, height: 800 });
await go('/sessions');
await page.getByRole('link', { name: 'The cart with no wheels' }).click();
await page.locator('astro-island[ssr]:not([client="idle"])').waitFor({ state: 'detached' });
await picture('bench');
await page.goto(`${page.url()}/send`);
await picture('send');
await go('/sent');
await page.getByRole('link', { name: 'The cart with no wheels' }).click();
await page.locator('.apexcharts-bar-series').first().waitFor();
await picture('post');
await page.getByRole('row').filter({ hasText: 'Blue door' }).getByRole('link', { name: 'letter and code' }).click();
// The demo's letters went out before this server had its port.
const guide = server.address + /http:\/\/\S+(\/g\/\S+)/.exec(await page.locator('article').innerText())![1]!;
const phone = await (await browser.newContext({ viewport: PHONE })).newPage();
await phone.goto(guide);
await picture('guide', phone);
await phone.goto(`${guide}#step-3`);
await picture('guide-step', phone);

// A programme that has just begun, without the demo.
const begun = await startTestDatabase();
execFileSync(
  resolve(import.meta.dirname, '../../bin/footstool'),
  ['owner', 'fern@fernbank.example', 'Fern', 'Fernbank'],
  {
    env: { ...testEnvironment(begun.url, folder, 1), FOOTSTOOL_DEMO: '0' },
    input: 'leaves-and-more\n',
    stdio: ['pipe', 'ignore', 'inherit'],
  },
);
const other = await startServer(begun.url, folder, { FOOTSTOOL_DEMO: '0' });
const fern = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
await fern.goto(`${other.address}/sign-in`);
await fern.getByLabel('E-mail').fill('fern@fernbank.example');
await fern.getByLabel('Password').fill('leaves-and-more');
await fern.getByRole('button', { name: 'Sign in' }).click();
await fern.getByRole('heading', { name: 'Your first afternoon' }).waitFor();
await picture('first-afternoon', fern);
await other.stop();
await begun.remove();

await browser.close();
await server.stop();
await database.remove();
rmSync(folder, { recursive: true, force: true });
