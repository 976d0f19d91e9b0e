import { rememberLast } from '../core/remembering.ts';

/** A day in words, such as "Thursday 18 March"; the calendar is the one of the YYYY-MM-DD notation. */
export function dayInWords(day: string, locale: string): string {
  return longDays(locale).format(new Date(`${day.slice(0, 10)}T00:00:00Z`));
}

/** Making one takes longer than a hundred uses of it. */
const longDays = rememberLast(
  20,
  (locale) =>
    new Intl.DateTimeFormat(`${locale}-u-ca-gregory`, {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      timeZone: 'UTC',
    }),
);

/** A day in short, such as "29 Apr". */
export function shortDay(day: string, locale = 'en-GB'): string {
  return new Intl.DateTimeFormat(`${locale}-u-ca-gregory`, { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(
    new Date(`${day}T00:00:00Z`),
  );
}

/** Days of the week, Monday first. */
export const WEEKDAY_WORDS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** A moment in words, by the clock of a time zone: "8 March, 09:00". */
export function momentInWords(moment: string, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  }).format(new Date(moment));
}
