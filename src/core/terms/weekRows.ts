import { addDays, type CalendarDate } from '../calendar/index.ts';
import { spreadSteps } from './schools.ts';
import { sessionDate, type Term, type TermDay, type TermSession, type TermWeek } from './term.ts';

/** What a week row says beside its theme. */
export type WeekNote =
  | { readonly code: 'closed' | 'travel' | 'special' | 'heavy'; readonly title: string }
  | { readonly code: 'second-special'; readonly title: string }
  | { readonly code: 'heavy-week' }
  | { readonly code: 'not-fixed'; readonly title: string; readonly from: CalendarDate; readonly to: CalendarDate }
  | { readonly code: 'session-on-closed'; readonly title: string; readonly on: CalendarDate }
  | { readonly code: 'session-on-weekend'; readonly on: CalendarDate }
  | { readonly code: 'session-outside'; readonly on: CalendarDate };

/** A session of a term with its day, and whether that may still move. */
export interface PlannedSession {
  readonly session: TermSession;
  readonly on: CalendarDate;
  /** Nothing is held: the place is closed or the author away on that day. */
  readonly isOff: boolean;
  /** Its day may move, because something that touches it has no fixed date yet. */
  readonly mayMove: boolean;
}

/** A week as the term's sheet shows it. */
export interface WeekRow {
  readonly week: TermWeek;
  /** Counted over weeks with a session, from 1; null when none is held. */
  readonly number: number | null;
  readonly sessions: readonly PlannedSession[];
  /** Only light activities stand here. */
  readonly isLight: boolean;
  readonly step: string | null;
  readonly notes: readonly WeekNote[];
}

/** The weeks of a term as rows. Weekend days count Monday = 1. A term without weeks gives no rows. */
export function weekRows(term: Term, weekend: readonly number[]): { rows: WeekRow[]; stepsLeft: string[] } {
  const touching = term.weeks.map(({ monday }) =>
    term.days.filter(({ from, to }) => from <= addDays(monday, 6) && to >= monday),
  );
  const planned = term.weeks.map((week, index) =>
    week.sessions.map((session) => planSession(term, week, session, touching[index]!)),
  );
  const isHeld = planned.map((sessions) => sessions.some(({ isOff }) => !isOff));
  const { byWeek, left } = spreadSteps(
    term.weeks.map(({ pausesSequence }, index) => ({ waits: pausesSequence || !isHeld[index] })),
    term.steps,
  );
  let number = 0;
  const rows = term.weeks.map((week, index): WeekRow => {
    const special = specialIn(touching[index]!);
    const before = index > 0 ? specialIn(touching[index - 1]!) : undefined;
    const isSecond = special !== undefined && before !== undefined && special !== before;
    const heavy = touching[index]!.find(({ kind }) => kind === 'heavy');
    return {
      week,
      number: isHeld[index] ? ++number : null,
      sessions: planned[index]!,
      isLight: week.isHeavy || heavy !== undefined || isSecond,
      step: byWeek[index]!,
      notes: [
        ...touching[index]!.map((day) => noteOf(day, isSecond && day === special)),
        ...(week.isHeavy ? [{ code: 'heavy-week' } as const] : []),
        ...planned[index]!.flatMap((session) => sessionNotes(session, term, weekend, touching[index]!)),
      ],
    };
  });
  return { rows, stepsLeft: left };
}

/** The sessions that are held, in order, with the week they stand in. */
export function heldSessions(rows: readonly WeekRow[]): (PlannedSession & { row: WeekRow })[] {
  return rows.flatMap((row) => row.sessions.filter(({ isOff }) => !isOff).map((session) => ({ ...session, row })));
}

function planSession(term: Term, week: TermWeek, session: TermSession, days: readonly TermDay[]): PlannedSession {
  const on = sessionDate(week, session);
  const covering = days.filter(({ from, to }) => from <= on && on <= to);
  const closes = (day: TermDay) => day.kind === 'closed' || day.kind === 'travel';
  return {
    session,
    on,
    isOff: covering.some((day) => day.isFixed && closes(day)) || on < term.startsOn || on > term.endsOn,
    mayMove: covering.some((day) => !day.isFixed),
  };
}

function specialIn(days: readonly TermDay[]): TermDay | undefined {
  return days.find(({ kind }) => kind === 'special');
}

function noteOf(day: TermDay, isSecond: boolean): WeekNote {
  const { title, kind, from, to } = day;
  if (!day.isFixed) return { code: 'not-fixed', title, from, to };
  return isSecond ? { code: 'second-special', title } : { code: kind, title };
}

function sessionNotes(
  { session, on, isOff }: PlannedSession,
  term: Term,
  weekend: readonly number[],
  days: readonly TermDay[],
): WeekNote[] {
  if (on < term.startsOn || on > term.endsOn) return [{ code: 'session-outside', on }];
  const closing = days.find(({ kind, from, to }) => (kind === 'closed' || kind === 'travel') && from <= on && on <= to);
  if (isOff && closing && session.activities.length > 0)
    return [{ code: 'session-on-closed', title: closing.title, on }];
  return weekend.includes(session.weekday) && !isOff ? [{ code: 'session-on-weekend', on }] : [];
}
