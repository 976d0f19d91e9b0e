import { byCodeUnit } from '../ordering.ts';
import { addDays, hoursBefore, weekdayOf, type CalendarDate } from './dates.ts';

/** Something that must happen before an event, with its lead in days, open days or hours (one of them). */
export type PlannedTask =
  | { readonly id: string; readonly workingDays: number }
  | { readonly id: string; readonly days: number }
  | { readonly id: string; readonly hours: number };

/** The days nobody works. */
export interface OpenDays {
  /** Days of the week that are never worked, Monday = 1. At most six of them. */
  readonly weekend: readonly number[];
  readonly closed: readonly CalendarDate[];
}

/** An event, what must happen before it, and the days nobody works. */
export interface BackPlanInput extends OpenDays {
  readonly on: CalendarDate;
  /** HH:MM, for tasks in hours; midnight when absent. */
  readonly at?: string | undefined;
  readonly today: CalendarDate;
  readonly tasks: readonly PlannedTask[];
}

/** A task with the day (or moment) by which it is due, and whether that is over. */
export interface DueTask {
  readonly id: string;
  /** YYYY-MM-DD, or YYYY-MM-DDTHH:MM for tasks in hours. */
  readonly by: string;
  readonly late: boolean;
}

/** When each task has to be done so that a day can be kept, earliest first. No tasks give an empty list. */
export function backPlan({ on, at = '00:00', weekend, closed, today, tasks }: BackPlanInput): DueTask[] {
  return tasks
    .map((task) => {
      const by = dueBy(task, { on, at, weekend, closed });
      return { id: task.id, by, late: by.slice(0, 10) < today };
    })
    .sort((left, right) => byCodeUnit(left.by, right.by) || byCodeUnit(left.id, right.id));
}

/** The day by which one task is due, or for one in hours the moment: YYYY-MM-DD, or YYYY-MM-DDTHH:MM. */
export function dueBy(
  task: PlannedTask,
  { on, at = '00:00', weekend, closed }: Pick<BackPlanInput, 'on' | 'at'> & OpenDays,
): string {
  const isOpen = (day: CalendarDate) => !weekend.includes(weekdayOf(day)) && !closed.includes(day);
  if ('hours' in task) return hoursBefore(on, at, task.hours);
  if ('days' in task) return addDays(on, -task.days);
  let day = on;
  let left = task.workingDays;
  while (left > 0) {
    day = addDays(day, -1);
    if (isOpen(day)) left -= 1;
  }
  return day;
}
