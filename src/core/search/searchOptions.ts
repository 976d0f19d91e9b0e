import type { Options } from 'minisearch';
import { singularOf } from '../session/index.ts';
import { otherWords } from './otherWords.ts';

/** Words that stand in nearly every title and tell nothing apart. */
const SMALL = new Set([
  'a',
  'an',
  'the',
  'of',
  'and',
  'or',
  'to',
  'in',
  'on',
  'for',
  'with',
  'is',
  'are',
  'my',
  'our',
  'some',
]);

/** How much a field of what is searched counts. */
type Boosts<Name extends string> = Readonly<Partial<Record<Name, number>>>;

/**
 * How words are searched everywhere: one and many are one word, endings and slips of typing are forgiven, and another word for the
 * same thing finds it too. A word as it was typed comes before one that is like it.
 */
export function searchOptions<Entry, Name extends string>(
  fields: readonly Name[],
  boost: Boosts<Name>,
): Options<Entry> {
  return {
    fields: [...fields],
    processTerm: plainTerm,
    searchOptions: {
      processTerm: (term) => {
        const plain = plainTerm(term);
        return plain === null ? null : [plain, ...otherWords(plain)];
      },
      // Another word for what was typed counts less than the word itself.
      boostTerm: (term, at, terms) => (terms.slice(0, at).some((typed) => otherWords(typed).includes(term)) ? 0.35 : 1),
      prefix: (term) => term.length >= 2,
      // A short word is another one as soon as a letter changes.
      fuzzy: (term) => (term.length <= 3 ? false : term.length <= 5 ? 1 : 2),
      weights: { prefix: 0.6, fuzzy: 0.3 },
      boost: boost as Record<string, number>,
      combineWith: 'OR',
    },
  };
}

/** A word as it is kept: small, without accents, of one. Null for a word that tells nothing. */
function plainTerm(term: string): string | null {
  const plain = term
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[’']s?$/, '');
  return plain === '' || SMALL.has(plain) ? null : singularOf(plain);
}
