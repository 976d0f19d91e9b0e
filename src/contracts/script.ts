import { partId, said, line, dialSettings, isRecordOf } from './line.ts';
import { exactly, words, someWords, key, clockTime } from './fields.ts';
import { makerSource } from './makerSource.ts';
import { LEVELS } from '../core/session/levelName.ts';
import type { Quantity } from '../core/expressions/quantity.ts';
import { array, boolean, lazy, mixed, number, string, type Schema } from 'yup';
import { actionName } from './cautions.ts';
import { POSTURES, SEGMENT_KINDS, type Segment } from '../core/session/session.ts';
import { calendarDay } from './calendarDay.ts';

export { calendarDay };
const localName = () =>
  string()
    .required('must not be empty')
    .max(40)
    .matches(/^[a-zA-Z][a-zA-Z0-9]*$/, 'must be letters and digits and start with a letter');

/** More than any home has, and more minutes than any day. */
const MOST_QUANTITY = 100_000;
const MOST_MINUTES = 1440;
const MOST_DIAL = 1_000_000;

const quantity = () =>
  mixed<Quantity>()
    .required()
    .test('quantity', `must be a number from 0 to ${MOST_QUANTITY} or an expression`, isQuantity);

function isQuantity(value: unknown): boolean {
  if (typeof value === 'number') return value >= 0 && value <= MOST_QUANTITY;
  return value === undefined || (typeof value === 'string' && value.length <= 200);
}

const minuteQuantity = () =>
  quantity().test(
    'day',
    `must be at most ${MOST_MINUTES} minutes, a whole day`,
    (value) => typeof value !== 'number' || value <= MOST_MINUTES,
  );

const triple = () => array().of(minuteQuantity()).required().length(3, 'must hold three: least, likely, most');

const minutes = () => exactly({ setup: triple(), together: triple(), alone: triple(), tidy: triple() }).required();

const dialNumber = () =>
  number()
    .required()
    .integer('must be a whole number')
    .min(-MOST_DIAL, `must be at least -${MOST_DIAL}`)
    .max(MOST_DIAL, `must be at most ${MOST_DIAL}`);

const numberDial = exactly({
  name: localName(),
  label: someWords(80),
  min: dialNumber(),
  max: dialNumber(),
  value: dialNumber(),
});

const choiceDial = exactly({
  name: localName(),
  label: someWords(80),
  choices: array().of(someWords(60)).required().min(2).max(20),
  value: someWords(60),
});

const dial = lazy((value: unknown): Schema =>
  typeof value === 'object' && value !== null && 'choices' in value ? choiceDial : numberDial,
);

const swap = exactly({
  item: key(),
  fit: number().required().min(0, 'must be at least 0').max(1, 'must be at most 1'),
  why: words(300),
  qty: quantity().optional(),
  sets: mixed<Record<string, number>>().test(
    'sets',
    'must be an object of dial names and numbers',
    (value) => value === undefined || isRecordOf(value, ['number']),
  ),
});

const need = exactly({
  id: partId(),
  item: key(),
  qty: quantity(),
  per: string()
    .required()
    .oneOf(['home', 'child'] as const),
  use: string()
    .required()
    .oneOf(['lasting', 'used-up'] as const),
  swaps: array().of(swap).required().max(12),
  optional: boolean(),
  eaten: boolean(),
});

const level = () =>
  exactly({
    text: words(600),
    dials: dialSettings(),
    lines: array().of(line).max(60),
    qty: mixed<Record<string, Quantity>>().test(
      'qty',
      'must be an object of needs and quantities',
      (value) => value === undefined || isRecordOf(value, ['number', 'string']),
    ),
  }).default(undefined);

const ahead = exactly({
  who: string()
    .required()
    .oneOf(['home', 'author'] as const),
  days: number().integer().min(0).max(120),
  workingDays: number().integer().min(0).max(80),
  hours: number().min(0).max(480),
  text: someWords(400),
  for: exactly({ need: partId(), item: key().optional() }).default(undefined),
}).test(
  'lead',
  'needs one of days, workingDays, hours',
  ({ days, workingDays, hours }) => [days, workingDays, hours].filter((lead) => lead !== undefined).length === 1,
);

/** The fields that an activity on the shelf and a part of a session share. */
export const activityFields = {
  aim: words(400),
  skills: array().of(key()).required().max(12),
  dials: array()
    .of(dial as unknown as Schema)
    .required()
    .max(12),
  lines: array().of(line).required().max(60),
  needs: array().of(need).required().max(20),
  minutes: minutes(),
  posture: string().required().oneOf(POSTURES),
  where: words(120),
  surface: words(200),
  seating: words(200),
  size: string()
    .required()
    .oneOf(['home', 'group'] as const),
  levels: exactly({ easier: level(), harder: level() }).required(),
  ahead: array().of(ahead).required().max(10),
  actions: array().of(actionName()).required().max(12),
  access: words(400),
} as const;

const MOST_SCRIPT_CHARACTERS = 40_000;

/** Whether the lines of a script, at all its levels, stay within what can be tried out and read. */
export function isShortEnough(script: unknown): boolean {
  const { lines, levels } = script as {
    lines?: unknown;
    levels?: { easier?: { lines?: unknown }; harder?: { lines?: unknown } };
  };
  const lists = [lines, levels?.easier?.lines, levels?.harder?.lines];
  const count = lists.reduce<number>(
    (sum, list) => sum + (Array.isArray(list) ? list.reduce<number>((all, line) => all + lengthOf(line), 0) : 0),
    0,
  );
  return count <= MOST_SCRIPT_CHARACTERS;
}

function lengthOf(line: unknown): number {
  const { text, answer, why } = (line ?? {}) as Record<string, unknown>;
  return [text, answer, why].reduce<number>((sum, said) => sum + (typeof said === 'string' ? said.length : 0), 0);
}

export const TOO_LONG_A_SCRIPT = `holds more than ${MOST_SCRIPT_CHARACTERS} characters in its lines; make it two`;

/** A part of a session as the editor keeps it. */
export const segmentEntry = exactly({
  ...activityFields,
  id: partId(),
  kind: string().required().oneOf(SEGMENT_KINDS),
  title: someWords(300),
  says: said(),
  from: string().max(80),
  level: string().required().oneOf(LEVELS),
  rightDials: dialSettings(),
  retold: string().max(1000),
  made: makerSource(),
}).test('length', TOO_LONG_A_SCRIPT, isShortEnough);

/** What the bench keeps: the whole session as a value, and the revision it was made from. */
export const keptSession = exactly({
  title: someWords(300),
  on: calendarDay(),
  at: clockTime(),
  ages: exactly({
    fromMonths: number().required().integer().min(0).max(240),
    toMonths: number().required().integer().min(0).max(240),
  })
    .required()
    .test('ages', 'the youngest age must not be above the oldest', (ages) => !ages || ages.fromMonths <= ages.toMonths),
  aim: words(1000),
  segments: array().of(segmentEntry).required().max(30, 'must be at most 30 parts') as unknown as Schema<Segment[]>,
  accepted: array().of(string().required().max(200)).required().max(200),
});
