import { OVERRIDE_BY_WORD } from './overrides.ts';
import type { Accent } from './accents.ts';
import { CONSONANTS, readReading, type Reading } from './phones.ts';

/** What is known of how words are said. */
export interface Pronunciations {
  /** Ways to say a word, the commonest first; none where it is not known. Small letters a to z. */
  readonly readingsOf: (word: string) => readonly Reading[];
  /** Words with all their readings, the commonest first; for lists. */
  readonly everyday: readonly string[];
}

/** Sounds with their stress as one character each in the packed list: from `!` on, in this order. */
const CODES: readonly string[] = [
  ...['AA', 'AE', 'AH', 'AO', 'AW', 'AY', 'EH', 'ER', 'EY', 'IH', 'IY', 'OW', 'OY', 'UH', 'UW'].flatMap((vowel) => [
    `${vowel}0`,
    `${vowel}1`,
    `${vowel}2`,
  ]),
  ...CONSONANTS,
];
const FIRST_CODE = '#'.charCodeAt(0);

/** Packs a pronunciation, one character a sound. Throws a RangeError for a sound that is not in the list. */
export function packReading(text: string): string {
  return text
    .split(' ')
    .map((sound) => {
      const at = CODES.indexOf(sound);
      if (at < 0) throw new RangeError(`no such sound: ${sound}`);
      return String.fromCharCode(FIRST_CODE + at);
    })
    .join('');
}

/** The pronunciation of a packed one. */
export function unpackReading(packed: string): string {
  return [...packed].map((code) => CODES[code.charCodeAt(0) - FIRST_CODE]).join(' ');
}

/**
 * Pronunciations from a packed list: a line for each word, commonest first, the word and its readings with blanks between.
 * Readings pinned by hand come before it; what it lacks is asked of `others`.
 */
export function packedPronunciations(
  packed: string,
  others: (word: string) => readonly string[] = () => [],
): (accent: Accent) => Pronunciations {
  const lines = new Map(
    packed.split('\n').flatMap((line) => {
      const end = line.indexOf(' ');
      return end > 0 ? [[line.slice(0, end), line.slice(end + 1)] as const] : [];
    }),
  );
  const everyday = [...lines.keys()];
  return (accent) => ({
    everyday,
    readingsOf: (word) => {
      const pinned = OVERRIDE_BY_WORD.get(word);
      if (pinned) {
        const first = (accent === 'gb' && pinned.gb) || pinned.us;
        return [first, ...(pinned.other === undefined ? [] : [pinned.other])].map(readReading);
      }
      const known = lines.get(word);
      const texts = known === undefined ? others(word) : known.split(' ').map(unpackReading);
      return texts.map(readReading);
    },
  });
}
