import { CAUTION_RULES } from '../core/cautions/index.ts';
import type { EntryField } from './entryField.ts';
import { partId, said, line, dialSettings, isRecordOf, recordOf } from './line.ts';
import { exactly, words, someWords, key, clockTime, knownAs, threeOf } from './fields.ts';
import { makerSource } from './makerSource.ts';
import { need, numberOrExpression, quantity, segmentNeed } from './need.ts';
import {
  type Dial,
  type KeptFinding,
  LEVELS,
  POSTURES,
  SEGMENT_KINDS,
  type TripleOfQuantities,
} from '../core/session/index.ts';
import type { Quantity } from '../core/expressions/index.ts';
import { array, lazy, mixed, number, string, type Schema } from 'yup';
import { actionName } from './cautions.ts';
import { calendarDay } from './calendarDay.ts';

export { calendarDay };
const localName = () =>
  string()
    .required('must not be empty')
    .max(40)
    .matches(/^[a-zA-Z][a-zA-Z0-9]*$/, 'must be letters and digits and start with a letter');

/** More minutes than any day. */
const MOST_MINUTES = 1440;
const MOST_DIAL = 1_000_000;

const minuteQuantity = () =>
  quantity()
    .test(
      'day',
      `must be at most ${MOST_MINUTES} minutes, a whole day`,
      (value) => typeof value !== 'number' || value <= MOST_MINUTES,
    )
    .meta({ jsonSchema: numberOrExpression(MOST_MINUTES) });

const triple = (label: string) =>
  knownAs<TripleOfQuantities>(threeOf(minuteQuantity()).meta({ def: 'triple', label, as: 'triple' }));

const minutes = () =>
  exactly({
    setup: triple('Setting up: least | likely | most'),
    together: triple('Together'),
    alone: triple('Then alone'),
    tidy: triple('Tidying'),
    wait: knownAs<TripleOfQuantities | undefined>(
      threeOf(minuteQuantity())
        .default(undefined)
        .optional()
        .meta({ def: 'triple', label: 'Waiting: dries, rises or freezes', as: 'triple', isOptional: true }),
    ),
  }).required();

/** A dial may choose among the letters and the pairs that are taught as one. */
const MOST_CHOICES = 40;
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

/** What choices are called, where that is not what they are. */
const wordsOfChoices = () =>
  mixed<Readonly<Record<string, string>>>()
    .test(
      'words',
      'must be an object of choices and what they are called',
      (value) => value === undefined || isRecordOf(value, ['string']),
    )
    .meta({ jsonSchema: recordOf(['string']) });

const choiceDial = exactly({
  name: localName(),
  label: someWords(80),
  choices: array().of(someWords(60)).required().min(2).max(MOST_CHOICES),
  words: wordsOfChoices(),
  value: someWords(60),
});

const dial = knownAs<Dial>(
  lazy((value: unknown): Schema =>
    typeof value === 'object' && value !== null && 'choices' in value ? choiceDial : numberDial,
  ),
);

const level = (word: string) =>
  exactly({
    text: words(600).meta({ label: `${word}: a note to the adult`, as: 'long', isOptional: true }),
    dials: dialSettings().meta({
      label: `${word} sets dials`,
      as: 'settings',
      hint: 'such as n = 3 | colour = red',
      isOptional: false,
    }),
    qty: mixed<Record<string, Quantity>>()
      .test(
        'qty',
        'must be an object of needs and quantities',
        (value) => value === undefined || isRecordOf(value, ['number', 'string']),
      )
      .meta({ label: `${word} needs other amounts`, as: 'settings', jsonSchema: recordOf(['number', 'string']) }),
    lines: array()
      .of(line)
      .max(60)
      .meta({ label: `${word}, in lines of its own` }),
  })
    .default(undefined)
    .meta({ def: 'level' });

const ahead = exactly({
  who: string()
    .required()
    .oneOf(['home', 'author'] as const)
    .meta({ label: 'who' }),
  days: number().integer().min(0).max(120).meta({ label: 'days' }),
  workingDays: number().integer().min(0).max(80).meta({ label: 'or open days' }),
  hours: number().min(0).max(480).meta({ label: 'or hours' }),
  text: someWords(400).meta({ label: 'what' }),
  for: exactly({
    need: partId().meta({ label: 'only if this need' }),
    item: key().optional().meta({ label: 'is served with', as: 'thing' }),
  }).default(undefined),
})
  .test(
    'lead',
    'needs one of days, workingDays, hours',
    ({ days, workingDays, hours }) => [days, workingDays, hours].filter((lead) => lead !== undefined).length === 1,
  )
  .meta({ jsonSchema: { oneOf: ['days', 'workingDays', 'hours'].map((lead) => ({ required: [lead] })) } });

/** A dial is a number or a choice; a row of the form has room for both. */
const DIAL_COLUMNS: readonly EntryField[] = [
  { name: 'name', label: 'name in lines', as: 'text', isMust: true },
  { name: 'label', label: 'what it is', as: 'text', isMust: true },
  { name: 'min', label: 'least', as: 'number', isOptional: true },
  { name: 'max', label: 'most', as: 'number', isOptional: true },
  { name: 'choices', label: 'or choices', as: 'phrases', isOptional: true },
  { name: 'value', label: 'starts at', as: 'quantity', isMust: true },
];

const MOST_NEEDS = 20;

/** The fields that an activity on the shelf and a part of a session share. */
export const activityFields = {
  aim: words(400),
  skills: array().of(key()).required().max(12),
  dials: array()
    .of(dial)
    .required()
    .max(12)
    .meta({
      label: 'Dials: a number with a range, or choices with bars between',
      wide: true,
      columns: DIAL_COLUMNS,
      itemsOneOf: [numberDial, choiceDial],
    }),
  lines: array()
    .of(line)
    .required()
    .max(60)
    .meta({ label: 'Lines: {dial}, {=a+b}, {n:one|many}, {@need}, {loves|a digger}', wide: true }),
  needs: array().of(need).required().max(MOST_NEEDS).meta({ label: 'Needs', wide: true }),
  minutes: minutes(),
  posture: string().required().oneOf(POSTURES).meta({ label: 'The child is' }),
  where: words(120).meta({ label: 'Where' }),
  surface: words(200).meta({ label: 'Surface' }),
  seating: words(200).meta({ label: 'Sitting' }),
  size: string()
    .required()
    .oneOf(['home', 'group'] as const)
    .meta({ label: 'For' }),
  levels: exactly({ easier: level('Easier'), harder: level('Harder') }).required(),
  ahead: array().of(ahead).required().max(10).meta({ label: 'Before the day: one lead in each row', wide: true }),
  actions: array()
    .of(actionName())
    .required()
    .max(12)
    .meta({ label: 'Cautions it calls for', choices: Object.keys(CAUTION_RULES), wide: true }),
  access: words(400).meta({ label: 'Another way, for hands, eyes, ears or legs', as: 'long', wide: true }),
  made: makerSource(),
  /** The line that its waiting comes after. */
  waitAfter: string().max(80),
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
  needs: array().of(segmentNeed).required().max(MOST_NEEDS),
  id: partId(),
  kind: string().required().oneOf(SEGMENT_KINDS),
  title: someWords(300),
  says: said(),
  from: string().max(80),
  level: string().required().oneOf(LEVELS),
  rightDials: dialSettings(),
  retold: string().max(1000),
}).test('length', TOO_LONG_A_SCRIPT, isShortEnough);

/** The parts of a session, each with an id of its own: what homes answer is told apart by it. */
export const sessionParts = () =>
  array()
    .of(segmentEntry)
    .max(30, 'must be at most 30 parts')
    .test('own-ids', 'must each have an id of their own', (segments) => {
      const ids = (segments ?? []).map((segment) => (segment as { id?: unknown } | null)?.id);
      return new Set(ids).size === ids.length;
    });

/** What an author keeps on purpose, by the finding: at most 200, as many as are answered. */
const keptFindings = () =>
  mixed<Record<string, KeptFinding>>().test('kept', 'must be what was kept on purpose, by what was found', (value) => {
    if (value === undefined) return true;
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
    const entries = Object.entries(value);
    return (
      entries.length <= 200 && entries.every(([name, kept]) => name.length <= 200 && keptFinding.isValidSync(kept))
    );
  });

const keptFinding = exactly({ text: string().max(2000).defined(), because: string().max(300) }).required();

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
  segments: sessionParts().required(),
  accepted: array().of(string().required().max(200)).required().max(200),
  kept: keptFindings(),
  remarks: array()
    .of(
      exactly({
        id: someWords(80),
        part: someWords(80),
        line: string().max(80),
        text: someWords(500),
        by: someWords(200),
        at: someWords(40),
      }),
    )
    .max(200, 'must be at most 200 notes'),
  minutes: number().integer().min(1).max(240),
});
