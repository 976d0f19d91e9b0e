import { knownAs, threeOf } from './fields.ts';
import type { ReadingPace } from '../core/time/index.ts';
import type { Triple } from '../core/numbers/index.ts';
import { array, mixed, number, object, string, type InferType } from 'yup';
import { calendarDay } from './calendarDay.ts';
import { cautionPolicy } from './cautions.ts';
import { WORD_GAME_ENDS } from '../core/games/index.ts';
import { ACCENTS } from '../core/sounds/index.ts';
import { NUMBER_SCHOOLS, schoolOf, USUAL_SETTINGS } from '../core/session/index.ts';
import { numberSettings } from './numberSettings.ts';
import { COMMON_WORDS, MOST_WORDS, readWordOrder, unreadableIn } from '../core/words/index.ts';
import { type Paper, PAPERS } from '../core/page/index.ts';

/** How fast somebody reads aloud before it is known: least, likely and most time, so the quickest words come first. */
const USUAL_PACE: ReadingPace = { wordsPerMinute: [140, 120, 95], pageSeconds: [2, 3, 5], pauseSeconds: [6, 12, 25] };

const pace = () => knownAs<Triple>(threeOf(number().required().min(0).max(1000)));

const MOST_CLOSED = 400;

/** How homes' answers corrected the minutes of what makers write. */
export interface MakerPace {
  /** What planned minutes are multiplied by in all. */
  readonly factor: number;
  /** What they were multiplied by in the last correction, and when that was. */
  readonly last: number;
  readonly at: string;
}

/** Corrections by the name that answers are kept under. */
const makerPaces = () =>
  mixed<Readonly<Record<string, MakerPace>>>()
    .default({})
    .test('paces', 'must be corrections by maker', (kept) =>
      Object.entries(kept ?? {}).every(
        ([key, { factor, last, at }]) => /^maker:/.test(key) && factor > 0 && last > 0 && !Number.isNaN(Date.parse(at)),
      ),
    );

/** Whether a home may press something that sounds. */
const SCREENS = ['listen', 'none'] as const;
/** Who writes down which words a child read. */
const KEPT_BY = ['author', 'homes'] as const;

/** Common words in the order in which children meet them; the usual ones, or nothing, is no list of one's own. */
const wordOrder = () =>
  string()
    .max(8000, 'must be at most 8000 characters')
    .transform((text: string) => {
      const words = readWordOrder(text);
      return words.length === 0 || words.join(' ') === COMMON_WORDS.join(' ') ? undefined : text.trim();
    })
    .test('count', `must be at most ${MOST_WORDS} words`, (text) => readWordOrder(text ?? '').length <= MOST_WORDS)
    .test('letters', (text, context) => {
      const wrong = unreadableIn(text ?? '');
      return (
        wrong === undefined ||
        context.createError({ message: `holds “${wrong.slice(0, 30)}”, which is no word of 1 to 24 letters a to z` })
      );
    });
const wordsAtOnce = () => number().typeError('must be a number').integer().min(1).max(9);
const restAfter = () => number().typeError('must be a number').integer().min(1).max(9);

/** A time zone as calendars name it, such as Europe/London; nothing is the installation's. */
const timeZone = () =>
  string()
    .max(60)
    .test('zone', 'is no time zone that is known here; choose one from the list', (name) => {
      if (!name) return true;
      try {
        return Boolean(new Intl.DateTimeFormat('en-GB', { timeZone: name }));
      } catch {
        return false;
      }
    });

/** For so many months after their term guides and answers of homes are kept. */
const keepMonths = () => number().typeError('must be a number').integer().min(1).max(12).default(12);

/** How a programme works; each setting has a default. */
export const programmeSettings = object({
  seatedMinutesPerYear: number().required().min(1).max(10).default(3),
  weekend: array().of(number().integer().min(1).max(7).required()).required().max(6).default([6, 7]),
  closed: array().of(calendarDay()).required().max(MOST_CLOSED).default([]),
  calibrationWeight: number().required().min(0).max(100).default(4),
  sendWorkingDays: number().integer().required().min(0).max(30).default(2),
  numbers: object({
    ...numberSettings(),
  })
    .required()
    .default({ ...USUAL_SETTINGS }),
  makerPaces: makerPaces(),
  paper: string()
    .required()
    .oneOf(Object.keys(PAPERS) as Paper[])
    .default('a4'),
  // Not required, like what follows: files that were saved before there was a choice are taken in.
  screens: string().oneOf(SCREENS).default('listen'),
  timeZone: timeZone().default(''),
  keepMonths: keepMonths(),
  words: object({
    order: wordOrder(),
    atOnce: wordsAtOnce().required(),
    restAfter: restAfter().required(),
    keptBy: string().required().oneOf(KEPT_BY),
  }).default({ atOnce: 5, restAfter: 3, keptBy: 'author' as const }),
  cautions: cautionPolicy().default({ own: [], stricter: [], hidden: [] }),
  pace: object({ wordsPerMinute: pace(), pageSeconds: pace(), pauseSeconds: pace() }).required().default(USUAL_PACE),
});

export type ProgrammeSettings = InferType<typeof programmeSettings>;

/** Settings as they are kept or handed in, with defaults for what is absent. Throws a ValidationError for what does not fit. */
export const readSettings = (kept: unknown): ProgrammeSettings => programmeSettings.cast(kept ?? {});

/** The settings that an owner changes in the programme's room; the others keep their defaults. */
export const programmeForm = object({
  weekend: array().of(number().required().integer().min(1).max(7)).required().max(6, 'must leave a day to work on'),
  closed: array().of(calendarDay()).required().max(MOST_CLOSED, `must be at most ${MOST_CLOSED} days`),
  seatedMinutesPerYear: number().typeError('must be a number').required().min(1).max(10),
  sendWorkingDays: number().typeError('must be a number').required().integer().min(0).max(30),
  ...numberSettings(),
  screens: string().required().oneOf(SCREENS),
  timeZone: timeZone().default(''),
  keepMonths: keepMonths(),
  wordOrder: wordOrder(),
  wordsAtOnce: wordsAtOnce().required(),
  restAfter: restAfter().required(),
  wordsKeptBy: string().required().oneOf(KEPT_BY),
  paper: string()
    .required()
    .oneOf(Object.keys(PAPERS) as Paper[]),
});

/** What a form says of settings, as far as it can be read: to show again beside what did not fit. */
export function writtenSettings(kept: ProgrammeSettings, fields: URLSearchParams): Partial<ProgrammeSettings> {
  const one = (name: string, choices: readonly string[], otherwise: string) => {
    const said = fields.get(name) ?? '';
    return choices.includes(said) ? said : otherwise;
  };
  const weekend = fields
    .getAll('weekend')
    .map(Number)
    .filter((day) => day >= 1 && day <= 7);
  const numbers = {
    ...kept.numbers,
    ...Object.fromEntries(['zeroEarly', 'pastTen', 'playOnly', 'isLeftHanded'].map((name) => [name, fields.has(name)])),
    stage: one('stage', ['objects', 'pictures', 'signs'], kept.numbers.stage),
    school: one('school', NUMBER_SCHOOLS, schoolOf(kept.numbers)),
    accent: one('accent', ACCENTS, kept.numbers.accent ?? 'gb'),
    firstSaid: one('firstSaid', ['sounds', 'names'], kept.numbers.firstSaid ?? 'sounds'),
    wordGames: one('wordGames', WORD_GAME_ENDS, kept.numbers.wordGames ?? 'enough'),
    letters: one('letters', ['small', 'capitals'], kept.numbers.letters ?? 'small'),
  } as ProgrammeSettings['numbers'];
  const words = {
    ...kept.words,
    keptBy: one('wordsKeptBy', KEPT_BY, kept.words.keptBy),
  } as ProgrammeSettings['words'];
  const screens = one('screens', SCREENS, kept.screens) as ProgrammeSettings['screens'];
  return { weekend: weekend.slice(0, 6), numbers, words, screens };
}
