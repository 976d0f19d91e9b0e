/** Days of the calendar, and when something has to be done to be ready on one. Days are YYYY-MM-DD. */

export { backPlan, dueBy, type OpenDays, type PlannedTask } from './backPlan.ts';
export {
  addDays,
  ageInMonths,
  type CalendarDate,
  daysBetween,
  isCalendarDate,
  isTimeOfDay,
  latestBirthMonth,
  weekdayOf,
} from './dates.ts';
export { type DueItem, dueItems } from './dueItems.ts';
export {
  bookPreparations,
  daysAhead,
  keepPreparations,
  type Lead,
  leadOf,
  type Preparation,
  type PreparedSession,
} from './preparation.ts';
