import type { Calculation } from './calculation.ts';

/** Each group is loaded when it is asked for, so that one question is answered soon after the start. */
const materials = () => import('./materials.ts');
const textCautions = () => import('./textCautions.ts');
const numbers = () => import('./numbers.ts');
const sessions = () => import('./sessions.ts');
const terms = () => import('./terms.ts');
const time = () => import('./time.ts');
const sounds = () => import('./sounds.ts');
const makerScripts = () => import('./makerScripts.ts');
const soundOf = () => import('./soundOf.ts');
const wordSheets = () => import('./wordSheets.ts');
const words = () => import('./words.ts');

/** The core contract by name: what `bin/footstool calc NAME` answers. */
export const CALCULATIONS: ReadonlyMap<string, Calculation> = new Map([
  ['run-sheet', async (input) => (await time()).calcRunSheet(input)],
  ['calibrate', async (input) => (await time()).calcCalibrate(input)],
  ['read-aloud', async (input) => (await time()).calcReadAloud(input)],
  ['back-plan', async (input) => (await time()).calcBackPlan(input)],
  ['materials', async (input) => (await materials()).calcMaterials(input)],
  ['swaps', async (input) => (await materials()).calcSwaps(input)],
  ['readiness', async (input) => (await materials()).calcReadiness(input)],
  ['cautions', async (input) => (await materials()).calcCautions(input)],
  ['text-cautions', async (input) => (await textCautions()).calcTextCautions(input)],
  ['coins', async (input) => (await numbers()).calcCoins(input)],
  ['change', async (input) => (await numbers()).calcChange(input)],
  ['shop', async (input) => (await numbers()).calcShop(input)],
  ['pairs', async (input) => (await numbers()).calcPairs(input)],
  ['pattern', async (input) => (await numbers()).calcPattern(input)],
  ['pots', async (input) => (await numbers()).calcPots(input)],
  ['strips', async (input) => (await numbers()).calcStrips(input)],
  ['measures', async (input) => (await numbers()).calcMeasures(input)],
  ['segment', async (input) => (await sounds()).calcSegment(input)],
  ['rhymes', async (input) => (await sounds()).calcRhymes(input)],
  ['starts', async (input) => (await sounds()).calcStarts(input)],
  ['basket', async (input) => (await sounds()).calcBasket(input)],
  ['syllables', async (input) => (await sounds()).calcSyllables(input)],
  ['word-lists', async (input) => (await sounds()).calcWordLists(input)],
  ['scripts', async (input) => (await makerScripts()).calcScripts(input)],
  ['script', async (input) => (await makerScripts()).calcScript(input)],
  ['sound', async (input) => (await soundOf()).calcSound(input)],
  ['tune-fit', async (input) => (await sounds()).calcTuneFit(input)],
  ['sheet', async (input) => (await wordSheets()).calcSheet(input)],
  ['tiles', async (input) => (await words()).calcTiles(input)],
  ['word-sets', async (input) => (await words()).calcWordSets(input)],
  ['coverage', async (input) => (await words()).calcCoverage(input)],
  ['guide', async (input) => (await sessions()).calcGuide(input)],
  ['findings', async (input) => (await sessions()).calcFindings(input)],
  ['term-plan', async (input) => (await terms()).calcTermPlan(input)],
]);
