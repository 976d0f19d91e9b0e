import { addDays, type CalendarDate } from '../calendar/index.ts';
import { byCodeUnit } from '../ordering.ts';

/** The words in order, how many at a time, and what was read when. */
export interface WordSetsInput {
  /** The words in the order they are to be met. */
  readonly order: readonly string[];
  /** How many words are active at a time. */
  readonly size: number;
  /** Right days in the active set before a word rests. */
  readonly restAfter: number;
  /** Weeks of the first, second, … rest; the last repeats. At least one. */
  readonly gapsWeeks: readonly number[];
  readonly today: CalendarDate;
  readonly log: readonly { readonly on: CalendarDate; readonly word: string; readonly right: boolean }[];
}

/** Words by what is to be done with them today. */
export interface WordSets {
  readonly active: readonly string[];
  readonly due: readonly string[];
  readonly resting: readonly { word: string; next: CalendarDate }[];
  readonly waiting: readonly string[];
}

interface Resting {
  rests: number;
  next: CalendarDate;
}

/** Which common words are active, due, resting and waiting after a log of reading. An empty log: the first `size` are active. */
export function wordSets({ order, size, restAfter, gapsWeeks, today, log }: WordSetsInput): WordSets {
  let active: string[] = [];
  const rightDays = new Map<string, number>();
  const resting = new Map<string, Resting>();
  const waiting = [...order];

  const fill = () => {
    while (active.length < size && waiting.length > 0) active.push(waiting.shift()!);
  };
  const rest = (word: string, rests: number, day: CalendarDate) => {
    const weeks = gapsWeeks[Math.min(rests, gapsWeeks.length) - 1]!;
    resting.set(word, { rests, next: addDays(day, weeks * 7) });
  };
  const readActive = (word: string, isRight: boolean, day: CalendarDate) => {
    const count = isRight ? (rightDays.get(word) ?? 0) + 1 : 0;
    rightDays.set(word, count);
    if (count < restAfter) return;
    active = active.filter((other) => other !== word);
    rest(word, 1, day);
  };
  const readResting = (word: string, isRight: boolean, day: CalendarDate) => {
    const { rests, next } = resting.get(word)!;
    if (isRight) {
      if (day >= next) rest(word, rests + 1, day);
      return;
    }
    resting.delete(word);
    rightDays.set(word, 0);
    active = [word, ...active];
  };

  fill();
  for (const [day, words] of byDay(log)) {
    for (const [word, isRight] of words) {
      if (active.includes(word)) readActive(word, isRight, day);
      else if (resting.has(word)) readResting(word, isRight, day);
    }
    fill();
  }
  const rested = [...resting].map(([word, { next }]) => ({ word, next }));
  const place = new Map(order.map((word, index) => [word, index]));
  rested.sort((left, right) => byCodeUnit(left.next, right.next) || place.get(left.word)! - place.get(right.word)!);
  return {
    active,
    due: rested.filter(({ next }) => next <= today).map(({ word }) => word),
    resting: rested.filter(({ next }) => next > today),
    waiting,
  };
}

/** The log by rising day: for each word whether it was never missed that day, in the order words were first read. */
function byDay(log: WordSetsInput['log']): [CalendarDate, Map<string, boolean>][] {
  const days = new Map<CalendarDate, Map<string, boolean>>();
  for (const { on, word, right } of log) {
    const words = days.get(on) ?? new Map<string, boolean>();
    days.set(on, words);
    words.set(word, (words.get(word) ?? true) && right);
  }
  return [...days].sort(([left], [right]) => byCodeUnit(left, right));
}
