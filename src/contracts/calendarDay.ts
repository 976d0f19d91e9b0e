import { string } from 'yup';
import { isCalendarDate } from '../core/calendar/index.ts';

/** Days that a programme can plan with; a mistyped year lies outside. */
const FIRST_DAY = '1990-01-01';
const LAST_DAY = '2100-12-31';

/** A day that exists, within the span that a programme can plan with. */
export const calendarDay = () =>
  string()
    .required('must not be empty')
    .test(
      'day',
      ({ value }) => `“${value}” is not a day that exists (YYYY-MM-DD)`,
      (text) => isCalendarDate(text ?? ''),
    )
    .test(
      'span',
      `must be a day from ${FIRST_DAY.slice(0, 4)} to ${LAST_DAY.slice(0, 4)}`,
      (text) => !text || (text >= FIRST_DAY && text <= LAST_DAY),
    )
    .meta({ jsonSchema: { format: 'date' } });
