import { object, string } from 'yup';
import { calendarDay } from './calendarDay.ts';

/** One press: a child read a word on a day, did not yet, or what was pressed is taken back. */
export const wordTap = object({
  child: string().required().max(80),
  word: string()
    .required()
    .matches(/^[a-z]{1,24}$/, 'must be a word of the list'),
  read: string()
    .required()
    .oneOf(['yes', 'no', 'back'] as const),
  /** The day it was read. */
  on: calendarDay(),
});

/** The press of a form: its button is named after what it says, and carries the word. */
export function tapOf(fields: URLSearchParams): Record<string, string> {
  const read = ['yes', 'no', 'back'].find((name) => fields.has(name)) ?? '';
  const on = fields.get('on') ?? '';
  return { child: fields.get('child') ?? '', word: fields.get(read) ?? '', read, ...(on !== '' && { on }) };
}
