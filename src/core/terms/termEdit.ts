import { err, ok, type Outcome } from '../outcome.ts';
import { emptySession } from './frameTerm.ts';
import type { School } from './schools.ts';
import { checkTerm, type Term, type TermDay, type TermProblem, type TermRules, type TermSession } from './term.ts';

/** Everything that can be done to a term, as data. Weeks by index, sessions by id. */
export type TermEdit =
  | { readonly do: 'set-theme'; readonly week: number; readonly theme: string }
  | { readonly do: 'set-heavy'; readonly week: number; readonly isHeavy: boolean }
  | { readonly do: 'pause-sequence'; readonly week: number; readonly pauses: boolean }
  | { readonly do: 'add-session'; readonly week: number; readonly id: string }
  | { readonly do: 'remove-session'; readonly session: string }
  | {
      readonly do: 'set-session';
      readonly session: string;
      readonly change: Partial<Pick<TermSession, 'weekday' | 'time' | 'minutes' | 'book' | 'song' | 'benchId'>>;
    }
  | { readonly do: 'add-activity'; readonly session: string; readonly key: string }
  | { readonly do: 'remove-activity'; readonly session: string; readonly key: string }
  | { readonly do: 'pin'; readonly session: string; readonly key: string; readonly isPinned: boolean }
  | { readonly do: 'move-session'; readonly from: string; readonly to: string }
  | { readonly do: 'put-day'; readonly day: TermDay }
  | { readonly do: 'remove-day'; readonly id: string }
  | { readonly do: 'set-title'; readonly title: string }
  | { readonly do: 'choose-school'; readonly school: School; readonly steps: readonly string[] }
  | { readonly do: 'set-steps'; readonly steps: readonly string[] }
  | { readonly do: 'set-rules'; readonly rules: Partial<TermRules> }
  | {
      readonly do: 'take-plan';
      readonly slots: readonly { readonly id: string; readonly activities: readonly string[] }[];
    };

/** Applies an edit; refuses one that would make the dates unsound. What is not there any more leaves the term as it is. */
export function applyTermEdit(term: Term, edit: TermEdit): Outcome<Term, TermProblem> {
  const edited = change(term, edit);
  const [problem] = edited.days === term.days ? [] : checkTerm(edited);
  return problem ? err(problem) : ok(edited);
}

function change(term: Term, edit: TermEdit): Term {
  switch (edit.do) {
    case 'set-theme':
      return changeWeek(term, edit.week, { theme: edit.theme });
    case 'set-heavy':
      return changeWeek(term, edit.week, { isHeavy: edit.isHeavy });
    case 'pause-sequence':
      return changeWeek(term, edit.week, { pausesSequence: edit.pauses });
    case 'add-session':
      return addSession(term, edit.week, edit.id);
    case 'remove-session':
      return removeSession(term, edit.session);
    case 'set-session':
      return changeSession(term, edit.session, (session) => ({ ...session, ...edit.change }));
    case 'add-activity':
      return changeSession(term, edit.session, (session) =>
        session.activities.some(({ key }) => key === edit.key)
          ? session
          : { ...session, activities: [...session.activities, { key: edit.key, isPinned: true }] },
      );
    case 'remove-activity':
      return changeSession(term, edit.session, (session) => ({
        ...session,
        activities: session.activities.filter(({ key }) => key !== edit.key),
      }));
    case 'pin':
      return changeSession(term, edit.session, (session) => ({
        ...session,
        activities: session.activities.map((activity) =>
          activity.key === edit.key ? { ...activity, isPinned: edit.isPinned } : activity,
        ),
      }));
    case 'move-session':
      return moveSession(term, edit.from, edit.to);
    case 'put-day':
      return { ...term, days: withDay(term.days, edit.day) };
    case 'remove-day':
      return { ...term, days: term.days.filter(({ id }) => id !== edit.id) };
    case 'set-title':
      return { ...term, title: edit.title };
    case 'choose-school':
      return { ...term, school: edit.school, steps: edit.steps };
    case 'set-steps':
      return { ...term, steps: edit.steps };
    case 'set-rules':
      return { ...term, rules: { ...term.rules, ...edit.rules } };
    case 'take-plan':
      return takePlan(term, edit.slots);
  }
}

function removeSession(term: Term, id: string): Term {
  const weeks = term.weeks.map((week) => ({ ...week, sessions: week.sessions.filter((session) => session.id !== id) }));
  return { ...term, weeks };
}

/** The days with one in the place of what had its id, or added. */
function withDay(days: Term['days'], day: TermDay): TermDay[] {
  return days.some(({ id }) => id === day.id)
    ? days.map((other) => (other.id === day.id ? day : other))
    : [...days, day];
}

function changeWeek(term: Term, index: number, week: Partial<Term['weeks'][number]>): Term {
  return { ...term, weeks: term.weeks.map((other, at) => (at === index ? { ...other, ...week } : other)) };
}

function changeSession(term: Term, id: string, edit: (session: TermSession) => TermSession): Term {
  return {
    ...term,
    weeks: term.weeks.map((week) =>
      week.sessions.some((session) => session.id === id)
        ? { ...week, sessions: week.sessions.map((session) => (session.id === id ? edit(session) : session)) }
        : week,
    ),
  };
}

function addSession(term: Term, index: number, id: string): Term {
  const week = term.weeks[index];
  if (!week) return term;
  const { weekday, time, minutes } = week.sessions.at(-1) ??
    term.weeks.flatMap(({ sessions }) => sessions)[0] ?? { weekday: 4, time: '10:00', minutes: 20 };
  const next = week.sessions.length === 0 ? weekday : Math.min(7, weekday + 1);
  return changeWeek(term, index, {
    sessions: [...week.sessions, emptySession({ id, weekday: next, time, minutes })],
  });
}

/**
 * Puts what a session holds in the place of another, and what stood there in its own. The day, the time and the room
 * for minutes belong to the place; the book, the song, the activities and the bench's session go along.
 */
function moveSession(term: Term, from: string, to: string): Term {
  const all = term.weeks.flatMap(({ sessions }) => sessions);
  const going = all.find(({ id }) => id === from);
  const standing = all.find(({ id }) => id === to);
  if (!going || !standing || going === standing) return term;
  const at = ({ weekday, time, minutes }: TermSession) => ({ weekday, time, minutes });
  return {
    ...term,
    weeks: term.weeks.map((week) => ({
      ...week,
      sessions: week.sessions.map((session) =>
        session === going
          ? { ...standing, ...at(going) }
          : session === standing
            ? { ...going, ...at(standing) }
            : session,
      ),
    })),
  };
}

/** Fills sessions from a plan; what was pinned keeps its pin and its place in the order. */
function takePlan(term: Term, slots: Extract<TermEdit, { do: 'take-plan' }>['slots']): Term {
  const planned = new Map(slots.map(({ id, activities }) => [id, activities]));
  return {
    ...term,
    weeks: term.weeks.map((week) => ({
      ...week,
      sessions: week.sessions.map((session) => {
        const keys = planned.get(session.id);
        if (!keys) return session;
        const pinned = session.activities.filter(({ isPinned }) => isPinned);
        const rest = keys.filter((key) => !pinned.some((activity) => activity.key === key));
        return { ...session, activities: [...pinned, ...rest.map((key) => ({ key, isPinned: false }))] };
      }),
    })),
  };
}
