import { boolean, mixed, number, array, string } from 'yup';
import type { Quantity } from '../core/expressions/index.ts';
import { exactly, key, words } from './fields.ts';
import { isRecordOf, partId, recordOf } from './line.ts';

/** More than any home has. */
const MOST_QUANTITY = 100_000;

/** A number, or an expression over dials. */
export const quantity = () =>
  mixed<Quantity>()
    .required()
    .test('quantity', `must be a number from 0 to ${MOST_QUANTITY} or an expression`, isQuantity)
    .meta({ jsonSchema: numberOrExpression(MOST_QUANTITY) });

const MOST_EXPRESSION = 200;

/** A quantity in JSON Schema. */
export function numberOrExpression(most: number) {
  return { type: ['number', 'string'], minimum: 0, maximum: most, maxLength: MOST_EXPRESSION };
}

function isQuantity(value: unknown): boolean {
  if (typeof value === 'number') return value >= 0 && value <= MOST_QUANTITY;
  return value === undefined || (typeof value === 'string' && value.length <= MOST_EXPRESSION);
}

const swapFields = {
  item: key().meta({ label: 'thing', as: 'thing' }),
  fit: number().required().min(0, 'must be at least 0').max(1, 'must be at most 1').meta({ label: 'fit, 0 to 1' }),
  why: words(300).meta({ label: 'why' }),
  qty: quantity().optional().meta({ label: 'how many of it, if not as many (need, places)' }),
  sets: mixed<Record<string, number>>()
    .test(
      'sets',
      'must be an object of dial names and numbers',
      (value) => value === undefined || isRecordOf(value, ['number']),
    )
    .meta({ label: 'sets dials', as: 'settings', jsonSchema: recordOf(['number']) }),
};

const swap = exactly(swapFields);

const needFields = {
  id: partId().meta({ label: 'name in lines' }),
  item: key().meta({ label: 'thing', as: 'thing' }),
  qty: quantity().meta({ label: 'how many' }),
  per: string()
    .required()
    .oneOf(['home', 'child'] as const)
    .meta({ label: 'per' }),
  use: string()
    .required()
    .oneOf(['lasting', 'used-up'] as const)
    .meta({ label: 'use' }),
  swaps: array().of(swap).required().max(12).meta({ label: 'what else will do' }),
  optional: boolean().meta({ label: 'can be done without' }),
  eaten: boolean().meta({ label: 'is eaten' }),
};

/** A need of an activity on the shelf. */
export const need = exactly(needFields).meta({ def: 'need' });

const { item: _, sets, ...takenFields } = swapFields;

/** A need of a part of a session: an author may have put one of its swaps in the place of what it said. */
export const segmentNeed = exactly({
  ...needFields,
  taken: exactly({
    ...takenFields,
    sets,
    from: key(),
    at: number().required().integer().min(0).max(11),
    was: sets,
  }).default(undefined),
}).meta({ def: 'need-of-part' });

/** What an author sets otherwise of a need that a maker wrote. */
export const needChange = () =>
  exactly({
    qty: quantity().optional(),
    per: string().oneOf(['home', 'child'] as const),
    use: string().oneOf(['lasting', 'used-up'] as const),
    optional: boolean(),
    eaten: boolean(),
  });
