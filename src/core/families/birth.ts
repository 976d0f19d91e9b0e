import { addDays, latestBirthMonth } from '../calendar/index.ts';

/** How a cell that says when a child was born was understood; `month` is YYYY-MM. */
export type BirthReading =
  | { readonly code: 'month'; readonly month: string }
  /** An age or a year: the youngest that it can mean. */
  | { readonly code: 'guess'; readonly month: string }
  /** A day written in numbers of which both might be the month: the day first, as it is written here. */
  | { readonly code: 'day-first'; readonly month: string }
  | { readonly code: 'not-born-yet' | 'not-a-child' | 'unread' };

/** Guides are for children; whoever is older than this was mistyped. */
const OLDEST_YEARS = 18;

/** What a program for tables counts its days from. */
const DAY_NOUGHT = '1899-12-30';

/**
 * Reads the month in which a child was born: “March 2024”, “06/2021”, “2021-06-12”, “12 June 2021”, “Mar-24”, a day as a
 * program for tables counts it, or an age such as “4”, “3 ½ years”, “18 months”. Anything else is unread.
 */
export function readBirth(cell: string, today: string): BirthReading {
  const text = cell.trim().toLowerCase().replace(/\s+/g, ' ').slice(0, 60);
  const reading = named(text) ?? inNumbers(text) ?? counted(text) ?? aged(text, today) ?? ({ code: 'unread' } as const);
  if (!('month' in reading)) return reading;
  const thisMonth = today.slice(0, 7);
  // A year alone may be this one.
  if (reading.code === 'guess' && reading.month > thisMonth && reading.month.slice(0, 4) === thisMonth.slice(0, 4))
    return { code: 'guess', month: thisMonth };
  if (reading.month > thisMonth) return { code: 'not-born-yet' };
  const years = Number(today.slice(0, 4)) - Number(reading.month.slice(0, 4));
  return years > OLDEST_YEARS ? { code: 'not-a-child' } : reading;
}

const month = (year: number, of: number): BirthReading | undefined =>
  of >= 1 && of <= 12 ? { code: 'month', month: `${fullYear(year)}-${String(of).padStart(2, '0')}` } : undefined;

const fullYear = (year: number) => (year < 100 ? 2000 + year : year);

const NAMES = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];

/** With the name of a month, in full or shortened to three letters at least, and a day before or after it or none. */
const WITH_NAME =
  /^(?:\d{1,2}(?:st|nd|rd|th)?[\s./-]*(?:of )?)?([a-z]{3,9})\.?(?:\s*\d{1,2}(?:st|nd|rd|th)?\s*,|\s\d{1,2}(?:st|nd|rd|th)?(?=\s\d{4}))?[\s./,’'-]*(\d{4}|\d{2})$/;

function named(text: string): BirthReading | undefined {
  const [, word = '', year = ''] = WITH_NAME.exec(text) ?? [];
  const at = word === '' ? -1 : NAMES.findIndex((name) => name.startsWith(word === 'sept' ? 'sep' : word));
  return at < 0 ? undefined : month(Number(year), at + 1);
}

function inNumbers(text: string): BirthReading | undefined {
  const yearFirst = /^(\d{4})[-/.](\d{1,2})([-/.]\d{1,2}([ t].*)?)?$/.exec(text);
  if (yearFirst) return month(Number(yearFirst[1]), Number(yearFirst[2]));
  const monthAndYear = /^(\d{1,2})[-/.](\d{4})$/.exec(text);
  if (monthAndYear) return month(Number(monthAndYear[2]), Number(monthAndYear[1]));
  const day = /^(\d{1,2})[-/. ](\d{1,2})[-/. ](\d{4}|\d{2})$/.exec(text);
  if (day) {
    const [first, second, year] = [Number(day[1]), Number(day[2]), Number(day[3])];
    if (second > 12 && first <= 12) return month(year, first);
    const reading = month(year, second);
    const isPlain = first > 12 || first === second || reading === undefined;
    return isPlain || !('month' in reading) ? reading : { code: 'day-first', month: reading.month };
  }
  const year = /^(19|20)\d\d$/.test(text) ? Number(text) : undefined;
  return year === undefined ? undefined : { code: 'guess', month: `${year}-12` };
}

/** The days of a program for tables, from 1 January 2000 to the end of 2059. */
function counted(text: string): BirthReading | undefined {
  const days = /^\d{5}$/.test(text) ? Number(text) : 0;
  return days >= 36_526 && days <= 58_440 ? { code: 'month', month: addDays(DAY_NOUGHT, days).slice(0, 7) } : undefined;
}

/** An age in years, in years and months or in months: the youngest that it can mean. */
function aged(text: string, today: string): BirthReading | undefined {
  const almost = /^(nearly|almost|not quite|just under) /.exec(text)?.[0] ?? '';
  const plain = text
    .slice(almost.length)
    .replace(/ ?(old|of age)$/, '')
    .replace('½', '.5')
    .replace(/(\d) (\.5)/, '$1$2')
    .replace(/ ?1\/2/, '.5')
    .trim();
  const months = monthsOf(plain);
  if (months === undefined || months > OLDEST_YEARS * 12) return undefined;
  // “Nearly four” is three: the youngest reading.
  const youngest = almost ? Math.max(0, Math.ceil(months / 12) * 12 - 12) : months;
  return { code: 'guess', month: latestBirthMonth(youngest, today) };
}

function monthsOf(text: string): number | undefined {
  const inMonths = /^(\d{1,3}) ?(m|mo|mths?|months?)$/.exec(text);
  if (inMonths) return Number(inMonths[1]);
  const weeks = /^(\d{1,2}) ?(w|wks?|weeks?)$/.exec(text);
  if (weeks) return Math.floor(Number(weeks[1]) / 4.35);
  const both = /^(\d{1,2}) ?(?:y|yrs?|years?|;|,)[ ,]*(?:and )?(\d{1,2}) ?(?:m|mo|mths?|months?)?$/.exec(text);
  if (both) return Number(both[1]) * 12 + Number(both[2]);
  const years = /^(\d{1,2}(?:\.\d)?) ?(y|yo|yrs?|years?)?$/.exec(text);
  return years ? Math.floor(Number(years[1]) * 12) : undefined;
}
