import { namesWord } from './words/namesWord.ts';
import { readWords } from './words/readWords.ts';

/** The fourteen allergens that labels of food must name (Regulation (EU) 1169/2011, annex II, as kept in British law), by the names of the file format. */
export const ALLERGENS = [
  'milk',
  'egg',
  'fish',
  'shellfish',
  'tree-nuts',
  'peanuts',
  'wheat',
  'soya',
  'sesame',
  'celery',
  'mustard',
  'lupin',
  'molluscs',
  'sulphites',
] as const;

const isOnList = (name: string) => (ALLERGENS as readonly string[]).includes(name);

/**
 * What a home must not have, as cautions look at it: the allergens of the list that it named or that its own words mean
 * (“dairy” is milk), and its own words as they were written. None: none.
 */
export function allergensMeant(named: readonly string[]): string[] {
  return [
    ...new Set(named.flatMap((name) => (isOnList(name) ? [name] : [name, ...readWords(name, 'thing').allergens]))),
  ];
}

/** The allergens of the list that one word or phrase means, such as milk for “dairy”; none for a word that names none. */
export function readAvoided(phrase: string): string[] {
  return [...readWords(phrase, 'thing').allergens];
}

/** Of what a home must not have, the words that are not on the list: what is called so is not for it. */
export function ownWordsOf(named: readonly string[]): string[] {
  return named.filter((name) => !isOnList(name));
}

/** The first of a home's own words that a name or a sentence names; undefined when it names none. */
export function avoidedIn(text: string, named: readonly string[]): string | undefined {
  return ownWordsOf(named).find((word) => namesWord(text, word));
}
