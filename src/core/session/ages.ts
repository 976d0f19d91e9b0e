import type { Session } from './session.ts';

/** Ages in whole months from ages in years, both ends included: 3 to 5 years are 36 to 71 months. */
export function agesFromYears(fromYears: number, toYears: number): Session['ages'] {
  return { fromMonths: fromYears * 12, toMonths: toYears * 12 + 11 };
}

/** Ages in completed years, for words such as "3 to 5". */
export function agesInYears({ fromMonths, toMonths }: Session['ages']): { fromYears: number; toYears: number } {
  return { fromYears: Math.floor(fromMonths / 12), toYears: Math.floor(toMonths / 12) };
}
