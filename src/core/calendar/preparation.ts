import type { CalendarDate } from './dates.ts';
import type { PlannedTask } from './backPlan.ts';

/** How long before a session something is due: so many days, open days or hours (one of them; none: on the day). */
export interface Lead {
  readonly days?: number | undefined;
  readonly workingDays?: number | undefined;
  readonly hours?: number | undefined;
}

/** What is to be done before a session, as a code with what it is about. */
export type DueWhat =
  | { readonly kind: 'hold' }
  | { readonly kind: 'write' }
  | { readonly kind: 'send'; readonly isChanged: boolean }
  | { readonly kind: 'reserve' | 'collect'; readonly book: string }
  | { readonly kind: 'keep'; readonly text: string; readonly activity: string; readonly until: string }
  | { readonly kind: 'prepare' | 'homes-prepare'; readonly text: string; readonly activity: string };

/** One thing to do before a session, with its lead; ids are unique within the session and stay the same. */
export interface Preparation {
  readonly task: PlannedTask;
  readonly what: DueWhat;
}

/** Everything that is counted back from one session. */
export interface PreparedSession {
  readonly id: string;
  readonly title: string;
  readonly on: CalendarDate;
  readonly at?: string | undefined;
  /** On the bench, or only planned in the term. */
  readonly stage: 'bench' | 'term';
  /** Its day is not certain yet. */
  readonly mayMove: boolean;
  readonly preparations: readonly Preparation[];
}

/** The lead of something to do ahead, as the back-plan takes it. */
export function leadOf(id: string, { days, workingDays, hours }: Lead): PlannedTask {
  if (hours !== undefined) return { id, hours };
  if (workingDays !== undefined) return { id, workingDays };
  return { id, days: days ?? 0 };
}

/** How many open days a week has where nothing else is known. */
const WORKING_DAYS_A_WEEK = 5;

/** A lead in calendar days, for words such as "three days before": hours and open days rounded up. */
export function daysAhead({ days, workingDays, hours }: Lead): number {
  if (hours !== undefined) return Math.ceil(hours / 24);
  return workingDays !== undefined ? Math.ceil((workingDays * 7) / WORKING_DAYS_A_WEEK) : (days ?? 0);
}

/** A borrowed book is reserved its lead time (in open days) ahead and collected the open day before. */
export function bookPreparations(book: string, leadWorkingDays: number): Preparation[] {
  return [
    { task: { id: 'reserve', workingDays: leadWorkingDays + 1 }, what: { kind: 'reserve', book } },
    { task: { id: 'collect', workingDays: 1 }, what: { kind: 'collect', book } },
  ];
}

/** Reminders, a few days before a later session, to keep what an earlier one made. */
const DAYS_TO_REMIND = 3;

/** An activity with what is kept from it, and what it needs from earlier ones. */
export interface KeepingPart {
  readonly key: string;
  readonly title: string;
  /** What is kept for later, in words; empty when nothing is. */
  readonly keeps: string;
  /** Keys of activities whose outcome it needs. */
  readonly after: readonly string[];
}

/** What homes are to keep from earlier sessions for this one. Parts that were never done before ask for nothing. */
export function keepPreparations(parts: readonly KeepingPart[], earlier: readonly KeepingPart[]): Preparation[] {
  const known = new Map(earlier.map((part) => [part.key, part]));
  return parts.flatMap(({ key, title, after }) =>
    after.flatMap((other) => {
      const source = known.get(other);
      if (!source || !source.keeps) return [];
      return [
        {
          task: { id: `keep/${key}/${other}`, days: DAYS_TO_REMIND },
          what: { kind: 'keep' as const, text: source.keeps, activity: source.title, until: title },
        },
      ];
    }),
  );
}
