import type { WordEntry } from './wordList.ts';

export const check = (rule: string, why: string, phrases: string): WordEntry => ({
  group: 'check',
  rules: [rule],
  why,
  phrases,
});
export const note = (rule: string, why: string, phrases: string): WordEntry => ({
  group: 'note',
  rules: [rule],
  why,
  phrases,
});
export const ask = (rule: string, why: string, phrases: string): WordEntry => ({
  group: 'ask',
  rules: [rule],
  why,
  phrases,
});
export const holds = (allergens: string, why: string, phrases: string): WordEntry => ({
  ...{ group: 'allergen', rules: allergens.split(' '), why, phrases },
});
export const harmless = (why: string, phrases: string): WordEntry => ({ group: 'harmless', rules: [], why, phrases });

export const animal = (allergen: string, phrases: string): WordEntry => ({
  ...{ group: 'ask', rules: ['allergens'], asFood: [allergen], why: 'An animal in a game, or a dish of it.', phrases },
});
