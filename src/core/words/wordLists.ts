import { type Accent, isVowel, type Pronunciations, wordPieces, type WordPieces } from '../sounds/index.ts';
import { PICTURE_WORD } from './pictureWords.ts';
import { isRude } from './rudeWords.ts';
import { segmentWord, taughtGraphemes, type SoundOrder } from './segmentWord.ts';

/** Shapes of words by their pieces: consonant and vowel pieces in order. */
export const WORD_SHAPES = ['vc', 'cvc', 'ccvc', 'cvcc', 'any'] as const;
/** See `WORD_SHAPES`. */
export type WordShape = (typeof WORD_SHAPES)[number];

/** What a list of readable words is asked for. */
export interface WordListRequest {
  readonly order: SoundOrder;
  /** Groups that are taught. */
  readonly upTo: number;
  readonly accent: Accent;
  readonly shape: WordShape;
  /** Only nouns with a picture. */
  readonly isPicturable: boolean;
  /** Words at most. */
  readonly most: number;
}

/** Everyday words that can be read at a point of an order, commonest first, and how many there are in all. No rude ones. */
export function readableWords(
  { order, upTo, accent, shape, isPicturable, most }: WordListRequest,
  known: Pronunciations,
): { words: readonly string[]; count: number } {
  const taught = taughtGraphemes(order, upTo);
  const letters = new Set([...taught].join('').replace(/_/g, ''));
  const words = known.everyday.filter(
    (word) =>
      (!isPicturable || PICTURE_WORD.has(word)) &&
      [...word].every((letter) => letters.has(letter)) &&
      !isRude(word) &&
      segmentWord(word, { known, accent, taught }).decodable &&
      (shape === 'any' || shapeOf(wordPieces(word, known, accent)) === shape),
  );
  return { words: words.slice(0, most), count: words.length };
}

/** The consonants and vowels of a word piece by piece, such as `cvc`; what is silent is left out. */
export function shapeOf({ pieces }: Pick<WordPieces, 'pieces'>): string {
  return pieces
    .filter(({ phones }) => phones.length > 0)
    .map(({ phones }) => (phones.some(isVowel) ? 'v' : 'c'))
    .join('');
}
