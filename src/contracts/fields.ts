import { isTimeOfDay } from '../core/calendar/dates.ts';
import { string, object, type ObjectShape } from 'yup';

const UNKNOWN = ({ unknown }: { unknown?: string }) => `has fields that are not known: ${unknown ?? ''}`;

/** An object with these fields and no others. */
export const exactly = <Fields extends ObjectShape>(fields: Fields) => object(fields).noUnknown(UNKNOWN);

export const words = (most: number) => string().defined().max(most, `must be at most ${most} characters`);

export const someWords = (most: number) =>
  string()
    .required('must not be empty')
    .max(most, `must be at most ${most} characters`)
    .matches(/\S/, 'must not be empty');

const KEY = /^[\p{L}\p{M}\p{N}]+(-[\p{L}\p{M}\p{N}]+)*$/u;

export const key = () =>
  string()
    .required('must not be empty')
    .max(80, 'must be at most 80 characters')
    .test(
      'key',
      'must be small letters and digits joined by hyphens',
      (text) => !text || (KEY.test(text) && text === text.normalize('NFC').toLowerCase()),
    )
    .meta({ def: 'key', jsonSchema: { pattern: KEY.source } });

export const clockTime = () =>
  string()
    .test(
      'time',
      ({ value }) => `“${value}” is not a time of day (HH:MM)`,
      (text) => text === undefined || isTimeOfDay(text),
    )
    .meta({ jsonSchema: { pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' } });
