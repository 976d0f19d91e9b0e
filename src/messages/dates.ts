/** A day in words, such as "Thursday 18 March"; the calendar is the one of the YYYY-MM-DD notation. */
export function dayInWords(day: string, locale: string): string {
  const date = new Date(`${day.slice(0, 10)}T00:00:00Z`);
  return new Intl.DateTimeFormat(`${locale}-u-ca-gregory`, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(date);
}

/** An age in words from whole months: "2 years 3 months", "8 months". */
export function ageInWords(months: number): string {
  const years = Math.floor(months / 12);
  const left = months % 12;
  const yearWords = years === 0 ? '' : years === 1 ? '1 year' : `${years} years`;
  const monthWords = left === 0 && years > 0 ? '' : left === 1 ? '1 month' : `${left} months`;
  return [yearWords, monthWords].filter(Boolean).join(' ');
}

/** Days of the week, Monday first. */
export const WEEKDAY_WORDS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** A lead in words: "3 days before", "5 open days before", "30 hours before". */
export function leadWords(lead: {
  readonly days?: number | undefined;
  readonly workingDays?: number | undefined;
  readonly hours?: number | undefined;
}): string {
  const { days = 0, workingDays, hours } = lead;
  if (hours !== undefined) return hours === 1 ? '1 hour before' : `${hours} hours before`;
  if (workingDays !== undefined) return workingDays === 1 ? '1 open day before' : `${workingDays} open days before`;
  if (days === 0) return 'on the day';
  return days === 1 ? 'the day before' : `${days} days before`;
}

/** A moment in words, by the clock of the machine that shows it: "8 March, 09:00". */
export function momentInWords(moment: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    day: 'numeric',
    month: 'long',
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(moment));
}
