import type { MakerMaterial } from './makerOutput.ts';

export const COUNTERS: MakerMaterial['swaps'] = [
  { item: 'building-block', fit: 0.9, why: 'thick enough for a hand to feel how many' },
  { item: 'clothes-peg', fit: 0.85, why: 'they hold on to a rim, so none gets lost' },
  { item: 'dried-bean', fit: 0.7, why: 'small: only where nobody under three is in the room' },
  { item: 'lolly-stick', fit: 0.4, why: 'thin: a hand will not feel that nine is many' },
];
