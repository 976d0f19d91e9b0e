import { roundTo, type Triple } from '../numbers/index.ts';

/** A book by its words, pages and pauses, and how a programme reads. */
export interface ReadAloudInput {
  readonly words: number;
  readonly pages: number;
  /** How often one stops for a question. */
  readonly pauses: number;
  /** Words a minute as least, likely and most time: the quickest pace first. Above 0. */
  readonly wordsPerMinute: Triple;
  readonly pageSeconds: Triple;
  readonly pauseSeconds: Triple;
}

/** Minutes to read a book aloud, as least, likely and most: words ÷ pace + page turns + pauses. */
export function readAloudMinutes(input: ReadAloudInput): Triple {
  const minutesAt = (index: 0 | 1 | 2) =>
    roundTo(
      input.words / input.wordsPerMinute[index] +
        (input.pages * input.pageSeconds[index] + input.pauses * input.pauseSeconds[index]) / 60,
      1,
    );
  return [minutesAt(0), minutesAt(1), minutesAt(2)];
}

/** How a programme reads aloud: the paces of its readers, page turns and pauses, as least, likely and most time. */
export interface ReadingPace {
  readonly wordsPerMinute: Triple;
  readonly pageSeconds: Triple;
  readonly pauseSeconds: Triple;
}
