import { type CalendarDate, daysBetween } from '../calendar/index.ts';
import { byCodeUnit } from '../ordering.ts';
import { wordSets, type WordSets } from './wordSets.ts';

/** A word that a child read on a day, or did not yet. */
export interface WordRead {
  readonly on: CalendarDate;
  readonly word: string;
  readonly right: boolean;
}

/** Weeks that a word rests before it comes back: once, twice, three times, and every time after. */
const REST_WEEKS: readonly number[] = [1, 2, 4, 8];
/** Weeks back from which letters are judged; a child of five has learned since. */
const WEEKS_JUDGED = 8;
const MOST_HARD = 6;
/** Younger children hear and rhyme; words by sight come later, unless one has begun by itself. */
export const MONTHS_FOR_WORDS = 48;
/** A letter is called hard only after so many words with it were missed. */
const LEAST_MISSES = 2;

/** Which words a child reads now, which come back, which rest and which wait. */
export function childWords({
  order,
  atOnce,
  restAfter,
  log,
  today,
}: {
  readonly order: readonly string[];
  readonly atOnce: number;
  readonly restAfter: number;
  readonly log: readonly WordRead[];
  readonly today: CalendarDate;
}): WordSets {
  return wordSets({ order, size: atOnce, restAfter, gapsWeeks: REST_WEEKS, today, log });
}

/** Letters that stand in words missed lately more often than in words read: the hardest first, at most six; none without misses. */
export function hardLetters(log: readonly WordRead[], today: CalendarDate): string[] {
  const missed = new Map<string, number>();
  const read = new Map<string, number>();
  for (const { on, word, right } of log) {
    const days = daysBetween(on, today);
    if (days < 0 || days > WEEKS_JUDGED * 7) continue;
    const counts = right ? read : missed;
    for (const letter of new Set(word)) counts.set(letter, (counts.get(letter) ?? 0) + 1);
  }
  const overReads = (letter: string) => missed.get(letter)! - (read.get(letter) ?? 0);
  return [...missed.keys()]
    .filter((letter) => missed.get(letter)! >= LEAST_MISSES && overReads(letter) > 0)
    .sort((left, right) => overReads(right) - overReads(left) || byCodeUnit(left, right))
    .slice(0, MOST_HARD);
}

/** Words in sheets of so many at most, as even as they come: none is left alone on one. Fewer than two make no sheet. */
export function wordSheets(words: readonly string[], most: number): string[][] {
  if (words.length < 2) return [];
  const sheets = Math.ceil(words.length / most);
  const size = Math.ceil(words.length / sheets);
  return Array.from({ length: sheets }, (_, sheet) => words.slice(sheet * size, (sheet + 1) * size)).map(
    (part, sheet) => (part.length === 1 ? [words[sheet * size - 1]!, ...part] : part),
  );
}
