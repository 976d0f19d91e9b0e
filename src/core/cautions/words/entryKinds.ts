import type { WordEntry } from './wordList.ts';

/** An entry whose words are checked before sending. `rule` is the caution or action they call for; `phrases` are written as `WordEntry.phrases`. */
export const check = (rule: string, why: string, phrases: string): WordEntry => ({
  group: 'check',
  rules: [rule],
  why,
  phrases,
});
/** An entry whose words only ask for a caution in the guide: nobody is stopped. Parameters as for `check`. */
export const note = (rule: string, why: string, phrases: string): WordEntry => ({
  group: 'note',
  rules: [rule],
  why,
  phrases,
});
/** An entry whose words are asked about once, and then rest. Parameters as for `check`. */
export const ask = (rule: string, why: string, phrases: string): WordEntry => ({
  group: 'ask',
  rules: [rule],
  why,
  phrases,
});
/** An entry for things that hold one or more of the fourteen allergens; `allergens` are their ids, parted by spaces. */
export const holds = (allergens: string, why: string, phrases: string): WordEntry => ({
  group: 'allergen',
  rules: allergens.split(' '),
  why,
  phrases,
});
/** An entry for words that look like a danger and are none: whatever lies inside them is not read. */
export const harmless = (why: string, phrases: string): WordEntry => ({ group: 'harmless', rules: [], why, phrases });

/** An entry for an animal that is also a dish: asked about, and `allergen` counts once it is eaten. */
export const animal = (allergen: string, phrases: string): WordEntry => ({
  group: 'ask',
  rules: ['allergens'],
  asFood: [allergen],
  why: 'An animal in a game, or a dish of it.',
  phrases,
});
