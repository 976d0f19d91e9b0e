import type { Say } from '../message.ts';
import type { MakerMaterial } from './makerOutput.ts';

const FITS = { 'building-block': 0.9, 'clothes-peg': 0.85, 'dried-bean': 0.7, 'lolly-stick': 0.4 } as const;

/** What else will do as counters, the best first. */
export function counterSwaps(say: Say): MakerMaterial['swaps'] {
  return Object.entries(FITS).map(([item, fit]) => ({ item, fit, why: say(`makers/counters.${item}`) }));
}
