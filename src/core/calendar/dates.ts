import { rememberLast } from '../remembering.ts';
import { addDays as addWholeDays } from 'date-fns/addDays';
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { formatISO } from 'date-fns/formatISO';
import { getISODay } from 'date-fns/getISODay';
import { parseISO } from 'date-fns/parseISO';

/** A day of the calendar, YYYY-MM-DD. Arithmetic is done on whole days, so no time zone comes in. */
export type CalendarDate = string;

/** Whether a text is a day that exists. */
export function isCalendarDate(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const date = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().slice(0, 10) === text;
}

/** Whether a text is a time of day, HH:MM in 24 hours. */
export function isTimeOfDay(text: string): boolean {
  return /^([01]\d|2[0-3]):[0-5]\d$/.test(text);
}

/** The day so many days later (earlier when negative). Takes days that exist. */
export function addDays(day: CalendarDate, days: number): CalendarDate {
  return formatISO(addWholeDays(parseISO(day), days), { representation: 'date' });
}

/** Days from one day to another; negative when the second comes first. */
export function daysBetween(from: CalendarDate, to: CalendarDate): number {
  return differenceInCalendarDays(parseISO(to), parseISO(from));
}

/** Monday is 1, Sunday 7. */
export function weekdayOf(day: CalendarDate): number {
  return getISODay(parseISO(day));
}

/** Clock time so many hours before a day and time of day, as YYYY-MM-DDTHH:MM. Clocks are not put forward or back. */
export function hoursBefore(day: CalendarDate, time: string, hours: number): string {
  return new Date(new Date(`${day}T${time}:00Z`).getTime() - hours * 3_600_000).toISOString().slice(0, 16);
}

/**
 * Age in whole months on a day, from a month of birth (YYYY-MM): it rises on the last day of the month, since the day
 * of birth is not kept and nobody is to count as older than they may be. Below 0 for a child not yet born.
 * @example ageInMonths('2024-03', '2027-03-30') // 35; on 2027-03-31 it is 36
 */
export function ageInMonths(birthMonth: string, on: CalendarDate): number {
  const [birthYear, birthMonthOfYear] = birthMonth.split('-').map(Number) as [number, number];
  const [year, month] = on.split('-').map(Number) as [number, number];
  return (year - birthYear) * 12 + (month - birthMonthOfYear) - (isLastOfMonth(on) ? 0 : 1);
}

/** Asked of the same few days for every child there is. */
const isLastOfMonth = rememberLast(50, (day) => addDays(day, 1).slice(0, 7) !== day.slice(0, 7));

/** The latest month of birth, YYYY-MM, of those who are at least so many months old on a day, as `ageInMonths` counts. */
export function latestBirthMonth(months: number, on: CalendarDate): string {
  const [year, month] = on.split('-').map(Number) as [number, number];
  const asMonth = (count: number) =>
    `${String(Math.floor(count / 12)).padStart(4, '0')}-${String((count % 12) + 1).padStart(2, '0')}`;
  const count = year * 12 + (month - 1) - months;
  return ageInMonths(asMonth(count), on) >= months ? asMonth(count) : asMonth(count - 1);
}
