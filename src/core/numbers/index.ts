/** Sums of the job: coins, change, pairs, patterns, measures, and values of three. */

export { longestChain } from './chains.ts';
export { giveChange, leastTender, sortPrices } from './change.ts';
export { type Coins, payingWays } from './coins.ts';
export { CURRENCIES, type CurrencyName } from './currencies.ts';
export { measureMessage } from './measureMessage.ts';
export { type Measure, shareVolumes } from './measures.ts';
export { pairCards } from './pairs.ts';
export { patternRow } from './pattern.ts';
export { clearFault } from './patternFault.ts';
export { markedStrips, numberPots } from './pots.ts';
export { roundTo } from './rounding.ts';
export type { Triple } from './triple.ts';
