import { array, lazy, type ObjectShape, string, mixed, type Schema } from 'yup';
import { type Change, MOST_CHANGES } from '../core/session/index.ts';
import { exactly, knownAs } from './fields.ts';

const id = () => string().required().max(80);
const list = () =>
  string()
    .required()
    .oneOf(['lines', 'easier', 'harder', 'needs'] as const);

const isObject = (value: unknown): value is object =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Fields that are set; not those that have changes of their own. What they hold is checked in the session that comes of it. */
const fields = (...own: readonly string[]) =>
  mixed()
    .required()
    .test('fields', 'must be an object of fields', isObject)
    .test(
      'own',
      `must not hold ${own.join(', ')}`,
      (value) => !isObject(value) || own.every((name) => !Object.hasOwn(value, name)),
    );

const entry = mixed()
  .required()
  .test(
    'entry',
    'must be an object with an id',
    (value) => isObject(value) && 'id' in value && typeof value.id === 'string' && value.id.length <= 80,
  );

const LIST_CHANGES: Readonly<Record<string, ObjectShape>> = {
  add: { entry, after: string().max(80).nullable().defined() },
  remove: { id: id() },
  move: { id: id(), after: string().max(80).nullable().defined() },
};

const tagged = (shapes: Readonly<Record<string, ObjectShape>>) =>
  lazy((value: unknown): Schema => {
    const names = Object.keys(shapes);
    const name = isObject(value) && 'do' in value && names.find((known) => known === value.do);
    const what = string().required().oneOf(names);
    return exactly({ do: what, ...(name ? shapes[name] : {}) }).required();
  });

const listChange = () => tagged(LIST_CHANGES);

const CHANGES: Readonly<Record<string, ObjectShape>> = {
  set: { fields: fields('segments', 'accepted', 'kept', 'remarks') },
  accept: { finding: string().required().max(200), kept: mixed().test('kept', 'must be an object', isObjectOrNone) },
  'ask-again': { finding: string().required().max(200) },
  remarks: { change: listChange() },
  parts: { change: listChange() },
  'set-part': { part: id(), fields: fields('id', 'lines', 'needs') },
  entries: { part: id(), list: list(), change: listChange() },
  'set-entry': {
    part: id(),
    list: list(),
    id: id(),
    fields: fields('id'),
    was: mixed().test(
      'was',
      'must be an object of words',
      (value) =>
        value === undefined || (isObject(value) && Object.values(value).every((was) => typeof was === 'string')),
    ),
  },
};

function isObjectOrNone(value: unknown): boolean {
  return value === undefined || isObject(value);
}

/**
 * Changes of a session as a window sends them. They are shaped so that each can be done to any session; whether what comes of
 * them is a session that can be kept, `keptSession` says.
 */
export const sentChanges = knownAs<readonly Change[]>(
  array().of(tagged(CHANGES)).required().max(MOST_CHANGES, `must be at most ${MOST_CHANGES} changes`),
);

/** What names a keeping, so that one that arrives twice is kept once. */
export const editKey = string()
  .required()
  .matches(/^[0-9a-f]{16}$/, 'must be sixteen digits from 0 to f');
