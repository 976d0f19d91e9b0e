import { readableWord } from './readableWord.ts';

/** Words of a list, at most. */
export const MOST_WORDS = 400;
const LONGEST = 24;

/**
 * Common words in an order of our own: those with which a child can soon read a sentence first (see the …), then
 * those that stand on nearly every page.
 */
export const COMMON_WORDS: readonly string[] = `
  see the a my is go to we and me it in look at can you like
  no yes he she are was on up down here come said they have all
  what who where do not this that for with so by of his her our
  one two three be am will big little put get give make play jump
  has had did if but as or from when then there out off some
  your their them were want would could should again away because
  very many more much other people know think before after always never
`
  .trim()
  .split(/\s+/);

/** The words that are written in a list, in small letters, each once: blanks, commas or lines between. Empty text has none. */
export function readWordOrder(text: string): string[] {
  return [...new Set(parts(text).map((word) => word.toLowerCase()))];
}

/** The first part of a list that is no word of 1 to 24 letters a to z; undefined where all are. */
export function unreadableIn(text: string): string | undefined {
  return parts(text).find((word) => word.length > LONGEST || !readableWord(word).ok);
}

const parts = (text: string) => text.split(/[\s,;]+/).filter(Boolean);
