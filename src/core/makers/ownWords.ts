import { err, ok, type Outcome } from '../outcome.ts';
import { refuseList, type Refusal } from './maker.ts';

/** Words of an author's own in a sentence. */
export const inOwn = (word: string) => ({ own: word });

const LONGEST_WORD = 24;

/** Reads words from a list dial, commas between (or blanks where there is no comma): so many at least and at most, each once. */
export function readOwnWords(
  text: string,
  { dial, least, most }: { dial: string; least: number; most: number },
): Outcome<string[], Refusal> {
  const words = text
    .split(text.includes(',') ? ',' : /\s+/)
    .map((word) => word.trim().replace(/\s+/g, ' '))
    .filter(Boolean);
  if (words.length < least || words.length > most)
    return refuseList(dial, 'makers/word-count', { least, most, words: words.length });
  const long = words.find((word) => word.length > LONGEST_WORD);
  if (long) return refuseList(dial, 'makers/word-long', { word: long.slice(0, LONGEST_WORD), most: LONGEST_WORD });
  const twice = words.find((word, index) => words.indexOf(word) < index);
  return twice === undefined
    ? ok(words)
    : err({ code: 'list', dial, why: 'makers/word-twice', values: { word: twice } });
}
