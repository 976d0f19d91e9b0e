import type { Calculation } from './calculation.ts';
import { calcCautions, calcMaterials, calcReadiness, calcSwaps } from './materials.ts';
import {
  calcChange,
  calcCoins,
  calcMeasures,
  calcPairs,
  calcPattern,
  calcPots,
  calcShop,
  calcStrips,
} from './numbers.ts';
import { calcBackPlan, calcCalibrate, calcReadAloud, calcRunSheet } from './time.ts';
import { calcCoverage, calcTiles, calcWordSets } from './words.ts';

/** The core contract by name: what `bin/footstool calc NAME` answers. */
export const CALCULATIONS: ReadonlyMap<string, Calculation> = new Map([
  ['run-sheet', calcRunSheet],
  ['calibrate', calcCalibrate],
  ['read-aloud', calcReadAloud],
  ['back-plan', calcBackPlan],
  ['materials', calcMaterials],
  ['swaps', calcSwaps],
  ['readiness', calcReadiness],
  ['cautions', calcCautions],
  ['coins', calcCoins],
  ['change', calcChange],
  ['shop', calcShop],
  ['pairs', calcPairs],
  ['pattern', calcPattern],
  ['pots', calcPots],
  ['strips', calcStrips],
  ['measures', calcMeasures],
  ['tiles', calcTiles],
  ['word-sets', calcWordSets],
  ['coverage', calcCoverage],
  ['term-plan', async (input) => (await import('./terms.ts')).calcTermPlan(input)],
]);
