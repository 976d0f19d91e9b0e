import type { CalendarDate } from '../calendar/index.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import type { School } from './schools.ts';
import { LANGUAGE_SKILLS, NUMBER_SKILLS } from '../ladders/index.ts';
import { checkTerm, mondaysOf, type Term, type TermProblem, type TermSession } from './term.ts';

/** What a new term is planned from: its days, its weekday and time, its school and themes. */
export interface TermFrame {
  readonly title: string;
  readonly startsOn: CalendarDate;
  readonly endsOn: CalendarDate;
  readonly weekday: number;
  readonly time: string;
  readonly minutes: number;
  /** In order, one a week; the weeks beyond them have none yet. */
  readonly themes: readonly string[];
  readonly school: School;
  /** The steps of its school, in words, one for each week with a session. */
  readonly steps: readonly string[];
}

/** A term from its frame: a week for each calendar week it touches, with one empty session each, ids from `newId`. */
export function frameTerm(frame: TermFrame, newId: () => string): Outcome<Term, TermProblem> {
  const { title, startsOn, endsOn, weekday, time, minutes, themes, school } = frame;
  const [problem] = checkTerm({ startsOn, endsOn, days: [] });
  if (problem) return err(problem);
  return ok({
    title,
    startsOn,
    endsOn,
    weeks: mondaysOf(startsOn, endsOn).map((monday, index) => ({
      monday,
      theme: themes[index] ?? '',
      isHeavy: false,
      pausesSequence: false,
      sessions: [emptySession({ id: newId(), weekday, time, minutes })],
    })),
    days: [],
    school,
    steps: frame.steps,
    rules: { targets: firstTargets(), perSlot: [1, 3], repeat: 2, rest: 3 },
  });
}

/** To begin with, one visit to every rung of both ladders. */
function firstTargets(): Record<string, number> {
  return Object.fromEntries([...NUMBER_SKILLS, ...LANGUAGE_SKILLS].map((skill) => [skill, 1]));
}

/** A session with nothing in it yet. */
export function emptySession(at: Pick<TermSession, 'id' | 'weekday' | 'time' | 'minutes'>): TermSession {
  return { ...at, book: null, song: null, activities: [], benchId: null };
}
