import type { Coins, Triple } from '../../core/numbers/index.ts';
import { array, boolean, mixed, number, object, string } from 'yup';
import { knownAs, threeOf } from '../../contracts/fields.ts';
import { isCalendarDate, isTimeOfDay } from '../../core/calendar/index.ts';

/** A whole number within a range, both ends included. */
export const whole = (least: number, most: number) =>
  number()
    .required()
    .integer(({ value }) => `must be a whole number, not ${value}`)
    .min(least, `must be at least ${least}`)
    .max(most, `must be at most ${most}`);

/** Any number within a range, both ends included. */
export const amount = (least: number, most: number) =>
  number().required().min(least, `must be at least ${least}`).max(most, `must be at most ${most}`);

export const name = () => string().required().max(200, 'must be at most 200 characters');

export const day = () =>
  string()
    .required()
    .test('day', 'must be a day that exists, YYYY-MM-DD', (text) => isCalendarDate(text ?? ''));

export const timeOfDay = () =>
  string().test('time', 'must be a time of day, HH:MM', (text) => text === undefined || isTimeOfDay(text));

/** Three numbers: least, likely, most, in rising order when they are minutes. */
export const triple = (least = 0) =>
  knownAs<Triple | undefined>(
    array()
      .of(number().required().min(least, `must be at least ${least}`).max(100_000, 'must be at most 100000'))
      .test('three', 'must hold three numbers: least, likely, most', (list) => list === undefined || list.length === 3)
      .test(
        'rising',
        'must rise: least, likely, most',
        (list) => list === undefined || list.length !== 3 || (list[0]! <= list[1]! && list[1]! <= list[2]!),
      ),
  );

/** Three numbers in any order, as paces are. */
export const threeNumbers = (least: number) =>
  knownAs<Triple>(
    threeOf(number().required().min(least, `must be at least ${least}`).max(1_000_000, 'must be at most 1000000')),
  );

export const ageMonths = () => whole(0, 1200);

const MOST_COINS_OF_A_KIND = 100_000;

/** A purse: worth in the smallest unit (as text, a whole number from 1) to how many. */
export const coins = () =>
  mixed<Coins>()
    .required()
    .test('coins', 'must be an object of coins and how many', (value, context) => {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
      if (Object.keys(value).length > 100)
        return context.createError({ message: 'must hold at most 100 kinds of coin' });
      for (const [worth, count] of Object.entries(value)) {
        const path = `${context.path}["${worth}"]`;
        if (!/^[1-9]\d{0,6}$/.test(worth)) {
          return context.createError({ path, message: 'a coin must be a whole number from 1 to 9999999' });
        }
        if (!Number.isInteger(count) || count < 0 || count > MOST_COINS_OF_A_KIND) {
          return context.createError({ path, message: `must be a whole number from 0 to ${MOST_COINS_OF_A_KIND}` });
        }
      }
      return true;
    });

const MOST = 1_000_000_000;

/** An object of names to numbers from 0. */
export const counts = () =>
  mixed<Record<string, number>>().test('counts', 'must be an object of names and numbers from 0', (value, context) => {
    if (value === undefined) return true;
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    if (Object.keys(value).length > 1000) return context.createError({ message: 'must hold at most 1000 names' });
    const wrong = Object.entries(value).find(
      ([, count]) => typeof count !== 'number' || !(count >= 0 && count <= MOST),
    );
    return wrong
      ? context.createError({ path: `${context.path}.${wrong[0]}`, message: 'must be a number from 0 to 1000000000' })
      : true;
  });

export const dials = () =>
  mixed<Record<string, number>>().test('dials', 'must be an object of dial names and numbers', (value, context) => {
    if (value === undefined) return true;
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    if (Object.keys(value).length > 1000) return context.createError({ message: 'must hold at most 1000 names' });
    const wrong = Object.entries(value).find(
      ([, setting]) => typeof setting !== 'number' || !(Math.abs(setting) <= MOST),
    );
    return wrong ? context.createError({ path: `${context.path}.${wrong[0]}`, message: 'must be a number' }) : true;
  });

export const names = () =>
  array().of(string().required().max(200)).required().max(10_000, 'must hold at most 10000 names');

export { array, boolean, mixed, number, object, string };
