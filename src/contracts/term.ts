import { clockTime, exactly, fromTo, key, someWords, words } from './fields.ts';
import { array, boolean, mixed, number, string } from 'yup';
import { daysBetween, isCalendarDate } from '../core/calendar/index.ts';
import { DAY_KINDS, SCHOOLS } from '../core/terms/index.ts';
import { calendarDay } from './script.ts';

const id = () =>
  string()
    .required()
    .max(80)
    .matches(/^[A-Za-z0-9-]+$/, 'must be letters, digits and hyphens');
const weekday = () => number().required().integer().min(1).max(7);
const minutes = () => number().required().min(1, 'must be at least 1').max(240, 'must be at most 240');
const maybeKey = () =>
  string()
    .defined()
    .nullable()
    .max(80)
    .matches(/^[\p{L}\p{M}\p{N}]+(-[\p{L}\p{M}\p{N}]+)*$/u, 'must be small letters and digits joined by hyphens');

const plannedActivity = exactly({ key: key(), isPinned: boolean().required() });

const termSession = exactly({
  id: id(),
  weekday: weekday(),
  time: clockTime().required(),
  minutes: minutes(),
  book: maybeKey(),
  song: maybeKey(),
  activities: array().of(plannedActivity).required().max(12),
  benchId: string().defined().nullable().uuid(),
});

const termWeek = exactly({
  monday: calendarDay(),
  theme: words(80),
  isHeavy: boolean().required(),
  pausesSequence: boolean().required(),
  sessions: array().of(termSession).required().max(7),
});

const termDay = exactly({
  id: id(),
  title: someWords(120),
  kind: string().required().oneOf(DAY_KINDS),
  from: calendarDay(),
  to: calendarDay(),
  isFixed: boolean().required(),
});

const targets = () =>
  mixed<Record<string, number>>()
    .required()
    .test(
      'targets',
      'must be an object of skills and whole numbers from 0 to 60',
      (value) =>
        typeof value === 'object' &&
        value !== null &&
        Object.keys(value).length <= 400 &&
        Object.values(value).every((times) => Number.isInteger(times) && times >= 0 && times <= 60),
    );

const count = (least: number, most: number) => number().required().integer().min(least).max(most);

const LONGEST_TERM_DAYS = 420;
/** Closures may begin before a term and end after it, by so many days. */
const DAYS_AROUND = 200;
const LONGEST_DAY_SPAN = 200;

/** Whether one day follows another by at most so many days; days that do not exist are found elsewhere. */
function isWithin(from: string, to: string, days: number): boolean {
  if (!isCalendarDate(from) || !isCalendarDate(to)) return true;
  return daysBetween(from, to) <= days;
}

function isNear(day: string, { startsOn, endsOn }: { startsOn: string; endsOn: string }): boolean {
  return isWithin(day, startsOn, DAYS_AROUND) && isWithin(endsOn, day, DAYS_AROUND);
}

/** A term as the term room keeps it. */
export const keptTerm = exactly({
  title: someWords(200),
  startsOn: calendarDay(),
  endsOn: calendarDay(),
  weeks: array().of(termWeek).required().max(60),
  days: array().of(termDay).required().max(100),
  school: string().required().oneOf(SCHOOLS),
  steps: array().of(someWords(120)).required().max(120),
  rules: exactly({
    targets: targets(),
    perSlot: fromTo(count(0, 12)),
    repeat: count(0, 60),
    rest: count(0, 60),
  }).required(),
})
  .test('span', `must be at most ${LONGEST_TERM_DAYS} days from start to end`, (term) =>
    isWithin(term.startsOn, term.endsOn, LONGEST_TERM_DAYS),
  )
  .test('days', 'has a week or a special day far outside the term; check its year', (term, context) => {
    const near = ({ from, to }: { from: string; to: string }) =>
      [from, to].every((day) => isNear(day, term)) && isWithin(from, to, LONGEST_DAY_SPAN);
    const day = (term.days ?? []).findIndex((entry) => !near(entry as { from: string; to: string }));
    const week = (term.weeks ?? []).findIndex(({ monday }) => !isNear(monday, term));
    const at = (name: string) => [context.path, name].filter(Boolean).join('.');
    if (day >= 0)
      return context.createError({
        path: at(`days[${day}]`),
        message: 'lies far outside the term or lasts too long; check its year',
      });
    return week < 0 || context.createError({ path: at(`weeks[${week}].monday`), message: 'lies far outside the term' });
  });

/** How a term is framed: two dates, a day and a time, minutes, themes one to a line, and the sequence beside them. */
export const frameForm = exactly({
  title: someWords(200),
  startsOn: calendarDay(),
  endsOn: calendarDay().test(
    'after',
    ({ value }) => `${value} is before the term starts`,
    (endsOn, context) => {
      const { startsOn } = context.parent as { startsOn?: string };
      return !startsOn || !isCalendarDate(startsOn) || (endsOn ?? '') >= startsOn;
    },
  ),
  weekday: weekday().typeError('must be a day of the week'),
  time: clockTime().required('is needed'),
  minutes: minutes().typeError('must be a number of minutes'),
  themes: words(4000),
  school: string().required().oneOf(SCHOOLS),
});
