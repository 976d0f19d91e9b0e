import { type Accent, ACCENTS } from '../../core/sounds/index.ts';
import { LONGEST_WORD, readableWord, type WordProblem } from '../../core/words/index.ts';
import { CalcInputError } from './calculation.ts';
import { array, string } from './fields.ts';

const LONGEST_TEXT = 200;
const MOST_WORDS = 2000;

/** A list of words as they are written. */
export const wordList = (least = 0, most = MOST_WORDS) =>
  array()
    .of(string().required().max(LONGEST_TEXT))
    .required()
    .min(least, `must hold at least ${least} of them`)
    .max(most, `must hold at most ${most} of them`);

/** The accent; North American where none is given. */
export const accent = () =>
  string()
    .oneOf(ACCENTS as readonly Accent[], 'must be "us" or "gb"')
    .default('us');

/** Groups of graphemes. */
export const soundOrder = () =>
  array()
    .of(array().of(string().required().max(8)).required().max(200))
    .max(200, 'must hold at most 200 groups');

/** Words in small letters; throws with the path of the first that holds anything but letters a to z. */
export function readWords(words: readonly string[], path: string): string[] {
  return words.map((written, index) => {
    const read = readableWord(written);
    if (!read.ok) throw new CalcInputError(`${path}[${index}]`, describeWordProblem(written, read.problem));
    return read.value;
  });
}

function describeWordProblem(written: string, problem: WordProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'must be a word';
    case 'long':
      return `is longer than any word: at most ${LONGEST_WORD} letters`;
    case 'letters':
      return `“${written.slice(0, 40)}” holds “${problem.found}”: only letters a to z can be taken apart, one word at a time`;
  }
}
