import { byCodeUnit } from '../ordering.ts';
import type { Session } from '../script/session.ts';
import { backPlan, type PlannedTask } from './backPlan.ts';
import { daysBetween, type CalendarDate } from './dates.ts';

export type DueWhat =
  | { readonly kind: 'hold' }
  | { readonly kind: 'send'; readonly isChanged: boolean }
  | { readonly kind: 'prepare'; readonly text: string; readonly activity: string }
  | { readonly kind: 'homes-prepare'; readonly text: string; readonly activity: string };

/** Something due on a day, for one session. */
export interface DueItem {
  readonly by: CalendarDate;
  readonly isLate: boolean;
  readonly sessionId: string;
  readonly title: string;
  readonly on: CalendarDate;
  readonly what: DueWhat;
}

export interface DueInput {
  readonly sessions: readonly {
    readonly id: string;
    readonly session: Session;
    /** When it last went out; null when it has not. */
    readonly sentAt: string | null;
    readonly keptAt: string;
  }[];
  readonly today: CalendarDate;
  readonly weekend: readonly number[];
  readonly closed: readonly CalendarDate[];
  /** Open days before the session by which it is to be sent. */
  readonly sendWorkingDays: number;
  /** How far ahead to look. */
  readonly daysAhead: number;
}

/** What is due by date, counted back from each coming session; earliest first. Sessions that are over are left out. */
export function dueItems({ sessions, today, weekend, closed, sendWorkingDays, daysAhead }: DueInput): DueItem[] {
  const items = sessions
    .filter(({ session }) => session.on >= today)
    .flatMap(({ id, session, sentAt, keptAt }) => {
      const whats = new Map<string, DueWhat>();
      const tasks: PlannedTask[] = [];
      const plan = (task: PlannedTask, what: DueWhat) => {
        tasks.push(task);
        whats.set(task.id, what);
      };
      plan({ id: 'hold', days: 0 }, { kind: 'hold' });
      const isChanged = sentAt !== null && keptAt > sentAt;
      if (sentAt === null || isChanged) plan({ id: 'send', workingDays: sendWorkingDays }, { kind: 'send', isChanged });
      for (const segment of session.segments) {
        segment.ahead.forEach(({ who, days, text }, index) => {
          const kind = who === 'author' ? 'prepare' : 'homes-prepare';
          plan({ id: `${segment.id}/${index}`, days }, { kind, text, activity: segment.title });
        });
      }
      return backPlan({ on: session.on, weekend, closed, today, tasks }).map(({ id: task, by, late }) => ({
        by,
        isLate: late,
        sessionId: id,
        title: session.title,
        on: session.on,
        what: whats.get(task)!,
      }));
    });
  return items
    .filter(({ by, what, isLate }) => daysBetween(today, by) <= daysAhead && !(isLate && what.kind === 'homes-prepare'))
    .sort((left, right) => byCodeUnit(left.by, right.by) || byCodeUnit(left.on, right.on));
}
