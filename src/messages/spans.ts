import { sayScreen } from './screenWords.ts';

/** An age in words from whole months: "2 years 3 months", "8 months". */
export function ageInWords(months: number): string {
  const [years, left] = [Math.floor(months / 12), months % 12];
  if (years === 0) return sayScreen('age.months', { months: left });
  return left === 0 ? sayScreen('age.years', { years }) : sayScreen('age.both', { years, months: left });
}

/** A lead in words: "3 days before", "5 open days before", "30 hours before". */
export function leadWords(lead: {
  readonly days?: number | undefined;
  readonly workingDays?: number | undefined;
  readonly hours?: number | undefined;
}): string {
  const { days = 0, workingDays, hours } = lead;
  if (hours !== undefined) return sayScreen('lead.hours', { hours });
  if (workingDays !== undefined) return sayScreen('lead.open-days', { days: workingDays });
  return sayScreen('lead.days', { days });
}
