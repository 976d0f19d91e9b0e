import { addDays, type CalendarDate, daysBetween, weekdayOf } from '../calendar/index.ts';
import type { School } from './schools.ts';

/** Special days, and ranges in which something is other than usual. */
export const DAY_KINDS = ['special', 'closed', 'travel', 'heavy'] as const;
/** Why a day is not as usual. */
export type DayKind = (typeof DAY_KINDS)[number];

/** A day, or a span of them, that is not as usual. */
export interface TermDay {
  readonly id: string;
  readonly title: string;
  readonly kind: DayKind;
  readonly from: CalendarDate;
  readonly to: CalendarDate;
  /** False while it is only known that it falls on a day between `from` and `to` (a feast that starts by sighting of the moon). */
  readonly isFixed: boolean;
}

/** An activity in a session of a term, pinned or proposed. */
interface PlannedActivity {
  readonly key: string;
  /** Stays where it is when the rest is proposed again. */
  readonly isPinned: boolean;
}

/** A session of a term, before or after it is written. */
export interface TermSession {
  readonly id: string;
  /** Monday is 1. */
  readonly weekday: number;
  /** HH:MM */
  readonly time: string;
  /** For activities, beside the book and the song. */
  readonly minutes: number;
  readonly book: string | null;
  readonly song: string | null;
  readonly activities: readonly PlannedActivity[];
  /** The session on the bench that was made from it. */
  readonly benchId: string | null;
}

/** A week of a term by its Monday. */
export interface TermWeek {
  /** The Monday it starts with. */
  readonly monday: CalendarDate;
  readonly theme: string;
  readonly isHeavy: boolean;
  /** The skill sequence waits in this week. */
  readonly pausesSequence: boolean;
  readonly sessions: readonly TermSession[];
}

/** What a proposal aims at and keeps to. */
export interface TermRules {
  readonly targets: Readonly<Record<string, number>>;
  readonly perSlot: readonly [number, number];
  readonly repeat: number;
  readonly rest: number;
}

/** A term as a value: weeks with their sessions, days that are not as usual, a skill sequence, and what to aim for. */
export interface Term {
  readonly title: string;
  readonly startsOn: CalendarDate;
  readonly endsOn: CalendarDate;
  readonly weeks: readonly TermWeek[];
  readonly days: readonly TermDay[];
  readonly school: School;
  /** The sequence, one step a week; the author may change it. */
  readonly steps: readonly string[];
  readonly rules: TermRules;
}

/** Why a term cannot be as it is written, as a code with what explains it. */
export type TermProblem =
  | { readonly code: 'ends-before-start'; readonly startsOn: CalendarDate; readonly endsOn: CalendarDate }
  | { readonly code: 'too-long'; readonly weeks: number; readonly most: number }
  | { readonly code: 'day-backwards'; readonly title: string; readonly index: number }
  | { readonly code: 'day-outside'; readonly title: string; readonly index: number }
  | { readonly code: 'closures-overlap'; readonly title: string; readonly other: string; readonly index: number };

/** A term has so many weeks at most. */
const MOST_WEEKS = 60;

/** The Mondays of the calendar weeks that a term touches; none when it ends before it starts. */
export function mondaysOf(startsOn: CalendarDate, endsOn: CalendarDate): CalendarDate[] {
  const first = addDays(startsOn, 1 - weekdayOf(startsOn));
  const count = Math.max(0, Math.floor(daysBetween(first, endsOn) / 7) + 1);
  return Array.from({ length: count }, (_, week) => addDays(first, week * 7));
}

/** What is wrong with the dates of a term. A sound term gives an empty list. Days that do not exist are refused before this. */
export function checkTerm({ startsOn, endsOn, days }: Pick<Term, 'startsOn' | 'endsOn' | 'days'>): TermProblem[] {
  if (endsOn < startsOn) return [{ code: 'ends-before-start', startsOn, endsOn }];
  const weeks = mondaysOf(startsOn, endsOn).length;
  if (weeks > MOST_WEEKS) return [{ code: 'too-long', weeks, most: MOST_WEEKS }];
  return days.flatMap((day, index): TermProblem[] => {
    const { title, from, to } = day;
    if (to < from) return [{ code: 'day-backwards', title, index }];
    if (to < startsOn || from > endsOn) return [{ code: 'day-outside', title, index }];
    const other = days
      .slice(0, index)
      .find((earlier) => isClosing(earlier) && isClosing(day) && earlier.from <= to && from <= earlier.to);
    return other ? [{ code: 'closures-overlap', title, other: other.title, index }] : [];
  });
}

/** The day a session is held on. */
export function sessionDate(week: Pick<TermWeek, 'monday'>, session: Pick<TermSession, 'weekday'>): CalendarDate {
  return addDays(week.monday, session.weekday - 1);
}

/** A closure that was kept with a mistyped year counts from so many days before its end. */
const LONGEST_CLOSURE_DAYS = 400;

/** The days on which nothing is held: closures and travel that are fixed, one by one. */
export function closedDaysOf(days: readonly TermDay[]): CalendarDate[] {
  return days
    .filter((day) => isClosing(day) && day.isFixed)
    .flatMap(({ from, to }) => {
      const span = Math.min(daysBetween(from, to) + 1, LONGEST_CLOSURE_DAYS);
      return Array.from({ length: Math.max(0, span) }, (_, step) => addDays(to, step - span + 1));
    });
}

function isClosing({ kind }: Pick<TermDay, 'kind'>): boolean {
  return kind === 'closed' || kind === 'travel';
}
