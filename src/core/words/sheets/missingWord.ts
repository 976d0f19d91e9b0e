import { seededChance, shuffle } from '../../chance.ts';

/** A box of a missing-word sheet: all words but one, in an order of its own. */
export interface MissingWordBox {
  readonly shown: readonly string[];
  readonly missing: string;
}

/**
 * As many boxes as words; each box lacks another word, so that every word is read in all boxes but one, and written once. The same
 * whole seed gives the same sheet. One word alone gives one empty box.
 */
export function missingWordBoxes(words: readonly string[], seed: number): MissingWordBox[] {
  const chance = seededChance(seed);
  const missing = [...words];
  shuffle(missing, chance);
  return missing.map((lacking) => {
    const shown = words.filter((word) => word !== lacking);
    shuffle(shown, chance);
    return { shown, missing: lacking };
  });
}
