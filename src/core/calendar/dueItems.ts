import type { DueWhat, PreparedSession } from './preparation.ts';
import { byCodeUnit } from '../ordering.ts';
import { backPlan } from './backPlan.ts';
import { daysBetween, type CalendarDate } from './dates.ts';

/** Something due on a day, for one session. */
export interface DueItem {
  /** Stable: the session and the task. */
  readonly id: string;
  /** YYYY-MM-DD, or YYYY-MM-DDTHH:MM for what is counted in hours. */
  readonly by: string;
  readonly isLate: boolean;
  readonly sessionId: string;
  readonly stage: PreparedSession['stage'];
  readonly title: string;
  readonly on: CalendarDate;
  /** HH:MM of the session, if it has a time. */
  readonly at?: string | undefined;
  readonly mayMove: boolean;
  readonly what: DueWhat;
}

/** Sessions with what they ask for, today, and the days nobody works. */
export interface DueInput {
  readonly sessions: readonly PreparedSession[];
  readonly today: CalendarDate;
  readonly weekend: readonly number[];
  readonly closed: readonly CalendarDate[];
  /** How far ahead to look, in days; absent: to the end. */
  readonly daysAhead?: number | undefined;
}

/** What is due by date, counted back from each coming session; earliest first. Sessions that are over are left out. */
export function dueItems({ sessions, today, weekend, closed, daysAhead }: DueInput): DueItem[] {
  const items = sessions
    .filter(({ on }) => on >= today)
    .flatMap(({ id, title, on, at, stage, mayMove, preparations }) => {
      const whats = new Map(preparations.map(({ task, what }) => [task.id, what]));
      const tasks = preparations.map(({ task }) => task);
      return backPlan({ on, at, weekend, closed, today, tasks }).map(({ id: task, by, late }): DueItem => ({
        id: `${id}/${task}`,
        by,
        isLate: late,
        sessionId: id,
        stage,
        title,
        on,
        at,
        mayMove,
        what: whats.get(task)!,
      }));
    });
  return items
    .filter(({ by }) => daysAhead === undefined || daysBetween(today, by.slice(0, 10)) <= daysAhead)
    .sort(
      (left, right) => byCodeUnit(left.by, right.by) || byCodeUnit(left.on, right.on) || byCodeUnit(left.id, right.id),
    );
}
