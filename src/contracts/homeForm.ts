import { array, boolean, number, object, string, type InferType } from 'yup';
import { GUIDE_LANGUAGE_IDS } from '../core/languages.ts';
import { ALLERGENS, avoidedName } from './cautions.ts';

/** Homes of one programme; each session is worked out for all of them. */
export const MOST_HOMES = 10_000;

const oneAddress = string()
  .trim()
  .default('')
  .max(200, 'must be at most 200 characters')
  .test(
    'one',
    'must be one address, such as name@place.example',
    (text) => !text || /^[^\s@,;<>]+@[^\s@,;<>]+\.[^\s@,;<>]+$/.test(text),
  );

const name = () => string().trim().required('must be filled in').max(80, 'must be at most 80 characters');

/** A home as its form keeps it; the words of its problems follow the labels of the fields. */
export const homeForm = object({
  nickname: name(),
  contact: oneAddress,
  language: string().required().oneOf(GUIDE_LANGUAGE_IDS),
  allergens: array().of(string().required().oneOf(ALLERGENS)).required().max(ALLERGENS.length),
  /** What else nobody there must have, in the home's own words. */
  alsoAvoids: array().of(avoidedName()).default([]).max(16, 'can be at most 16'),
  children: array()
    .of(
      object({
        nickname: name(),
        birthMonth: string()
          .required('must be filled in')
          .matches(/^(19|20)\d{2}-(0[1-9]|1[0-2])$/, 'must be a year and a month, such as 2023-05'),
        loves: string().trim().default('').max(80, 'must be at most 80 characters'),
        mouthing: boolean().default(false),
        leftHanded: boolean().default(false),
        needs: string().trim().default('').max(300, 'must be at most 300 characters'),
      }),
    )
    .required()
    .max(8, 'can be at most 8'),
  things: array()
    .of(
      object({
        item: string().required('must be picked from the list').max(80),
        qty: number()
          .typeError('must be a number')
          .required('must be a number')
          .min(0, 'must be at least 0')
          .max(100_000, 'must be at most 100000'),
      }),
    )
    .required()
    .max(500, 'can be at most 500'),
}).test('twice', 'is there twice', (home, context) => {
  const nicknames = (home.children ?? []).map(({ nickname }) => nickname);
  const items = (home.things ?? []).map(({ item }) => item);
  const child = firstRepeat(nicknames);
  const thing = firstRepeat(items);
  if (child >= 0) return context.createError({ path: `children[${child}].nickname`, message: 'is there twice' });
  return (
    thing < 0 || context.createError({ path: `things[${thing}].item`, message: 'is there twice; write one count' })
  );
});

export type HomeForm = InferType<typeof homeForm>;

function firstRepeat(names: readonly (string | undefined)[]): number {
  return names.findIndex((entry, index) => entry !== undefined && entry !== '' && names.indexOf(entry) < index);
}
