import { DECISIONS } from '../core/homes/index.ts';
import { SOUND_SESSION_ROLES } from '../core/makers/index.ts';
import { SOUND_UNITS } from '../core/sounds/index.ts';
import { clockTime, someWords, words } from './fields.ts';
import { array, number, object, string, type InferType } from 'yup';
import { calendarDay } from './script.ts';

export const signInForm = object({
  email: string().required('is needed').max(200),
  password: string().required('is needed').max(200),
});

/** How a session starts: date, who it is for, the book, the aim. */
export const startForm = object({
  title: someWords(300),
  on: calendarDay(),
  at: clockTime().transform((value: string) => (value === '' ? undefined : value)),
  fromYears: number().typeError('must be a number of years').required('is needed').integer().min(0).max(10),
  toYears: number().typeError('must be a number of years').required('is needed').integer().min(0).max(10),
  aim: words(1000),
  book: string().default(''),
  activity: string().default(''),
  song: string().default(''),
  /** How it runs, begins and ends, by the keys of the starter collection. */
  pattern: string().default(''),
  begin: string().default(''),
  end: string().default(''),
}).test(
  'ages',
  'the youngest age must not be above the oldest',
  (value, context) =>
    value.fromYears <= value.toYears ||
    context.createError({ path: 'fromYears', message: 'must not be above the oldest age' }),
);

export const sendForm = object({
  revision: number().required().integer().min(1).max(2_147_483_647),
  /** One press: made with the page. */
  key: string().required().uuid(),
  /** The newest edition that the page showed. */
  seen: number().required().integer().min(0).max(2_147_483_647),
});

/** An edit that a session is had back from before, and the part, where it is one. */
export const bringBackForm = object({
  before: number().typeError('must be a number').required().integer().min(1).max(2_147_483_647),
  part: string().max(80),
});

/** What a session is called as it is now. */
export const nameStateForm = object({
  name: string().trim().required('needs a word or two').max(80, 'must be at most 80 characters'),
});

/** An answer to a question about what the words of a session call for. */
export const decisionForm = object({
  question: string()
    .required()
    .matches(/^[0-9a-f]{16}$/, 'must name a question'),
  decided: string().required().oneOf(DECISIONS),
  why: string().trim().default('').max(500, 'must be at most 500 characters'),
});

/** A session on a sound, made in one go. */
export const soundSessionForm = object({
  sound: string()
    .required('is needed')
    .oneOf(
      SOUND_UNITS.map(({ grapheme }) => grapheme),
      'is no sound we know',
    ),
  on: calendarDay(),
  parts: array(string().oneOf(SOUND_SESSION_ROLES).defined())
    .required('tick at least one')
    .min(1, 'tick at least one')
    .max(SOUND_SESSION_ROLES.length),
});
export type SoundSessionForm = InferType<typeof soundSessionForm>;

/** A session once more, on another day. */
export const copyForm = object({ title: someWords(300), on: calendarDay() });
export type CopyForm = InferType<typeof copyForm>;

export type StartForm = InferType<typeof startForm>;

/** Reserving a copy; the lead time is asked for only where the catalogue does not know it. */
export const reserveForm = object({
  copy: string().required('choose a copy').max(40),
  neededOn: calendarDay(),
  leadWorkingDays: number()
    .transform((value: number, written: unknown) => (written === '' || written === undefined ? undefined : value))
    .typeError('must be a number of open days')
    .integer('must be a whole number of open days')
    .min(1, 'must be at least 1 open day')
    .max(60, 'must be at most 60 open days'),
});

/** What an author decides about one thing in place of another. */
export const rulingForm = object({
  item: string().required('choose a thing').max(80),
  verdict: string()
    .required()
    .oneOf(['use', 'never', 'forget'] as const),
  fit: number().typeError('must be a number from 0 to 1').min(0).max(1).default(0.7),
  why: words(300).default(''),
});
