import { err, ok, type Outcome } from '../outcome.ts';

/** What keeps a word from being taken apart. */
export type WordProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'letters'; readonly found: string }
  | { readonly code: 'long'; readonly most: number };

/** Letters that a word may have; no English word that a child meets is longer. */
export const LONGEST_WORD = 60;

/** A word as it is written in a sentence: small, but for I. */
export const asSpelled = (word: string): string => (word === 'i' ? 'I' : word);

/** A word in small letters a to z; a problem names what else it holds. */
export function readableWord(written: string): Outcome<string, WordProblem> {
  const word = written.trim().toLowerCase();
  if (word === '') return err({ code: 'empty' });
  if (word.length > LONGEST_WORD) return err({ code: 'long', most: LONGEST_WORD });
  const odd = /[^a-z]/u.exec(word);
  return odd ? err({ code: 'letters', found: String.fromCodePoint(word.codePointAt(odd.index)!) }) : ok(word);
}
