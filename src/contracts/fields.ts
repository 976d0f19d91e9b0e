import { isTimeOfDay } from '../core/calendar/index.ts';
import { array, string, object, type ISchema, type ObjectShape, type Schema } from 'yup';

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

/**
 * A schema whose values are more exact than Yup can tell by itself: a list of a fixed length, a choice among shapes, a list
 * that is only read. The one place where a type is said and not inferred; what is said is held by the schema's own tests.
 */
export const knownAs = <Value>(schema: ISchema<unknown>) => schema as unknown as Schema<Value>;

/** The least and the most of something. */
export const fromTo = (item: Schema<number>) =>
  knownAs<readonly [number, number]>(array().of(item).required().length(2, 'must hold two numbers: least and most'));

/** Three of a kind: least, likely, most. */
export const threeOf = <Item>(item: Schema<Item>) =>
  array().of(item).required().length(3, 'must hold three: least, likely, most');
