import { array, number, object, string, type InferType } from 'yup';
import { calendarDay, clockTime, someWords, words } from './script.ts';

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
  song: string().default(''),
}).test(
  'ages',
  'the youngest age must not be above the oldest',
  (value, context) =>
    value.fromYears <= value.toYears ||
    context.createError({ path: 'fromYears', message: 'must not be above the oldest age' }),
);

export const sendForm = object({
  homes: array().of(string().required().uuid()).required().min(1, 'name at least one home'),
  revision: number().required().integer(),
});

export type StartForm = InferType<typeof startForm>;
