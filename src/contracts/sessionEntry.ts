import { array, lazy, number, string, type InferType, type Schema } from 'yup';
import { type LevelName, LEVELS } from '../core/session/index.ts';
import { clockTime, exactly, key, knownAs, someWords, words } from './fields.ts';
import { dialSettings } from './line.ts';
import { calendarDay, sessionParts } from './script.ts';

/** The ages something is for, in months. */
export const ageRange = () =>
  exactly({
    fromMonths: number().required().integer().min(0).max(240).meta({ label: 'From, months' }),
    toMonths: number().required().integer().min(0).max(240).meta({ label: 'To, months' }),
  })
    .required()
    .test('ages', 'the youngest age must not be above the oldest', (ages) => !ages || ages.fromMonths <= ages.toMonths);

const shelfPart = exactly({
  kind: string()
    .required()
    .oneOf(['book', 'song', 'activity'] as const),
  key: key(),
});

const makerPart = exactly({
  kind: string()
    .required()
    .oneOf(['maker'] as const),
  maker: string().required().max(40),
  values: dialSettings(),
  level: string().oneOf(LEVELS),
});

const part = knownAs<SessionPart>(
  lazy((value: unknown): Schema =>
    typeof value === 'object' && value !== null && (value as { kind?: unknown }).kind === 'maker'
      ? makerPart
      : shelfPart,
  ),
);

/** A session in a file names its parts, whose scripts come from the shelf, or holds its segments as the editor keeps them. */
export const sessionEntry = exactly({
  title: someWords(300),
  on: calendarDay(),
  at: clockTime(),
  ages: ageRange(),
  aim: words(1000),
  minutes: number().integer().min(1).max(240).meta({ label: 'Planned minutes' }),
  parts: array()
    .of(part)
    .max(30, 'must be at most 30 parts')
    .meta({ itemsOneOf: [shelfPart, makerPart] }),
  segments: sessionParts(),
})
  .test(
    'either',
    'needs either parts or segments',
    ({ parts, segments }) => (parts === undefined) !== (segments === undefined),
  )
  .meta({ jsonSchema: { oneOf: [{ required: ['parts'] }, { required: ['segments'] }] } });

type SessionPart =
  | { readonly kind: 'book' | 'song' | 'activity'; readonly key: string }
  | {
      readonly kind: 'maker';
      readonly maker: string;
      readonly values: Readonly<Record<string, number | string>>;
      readonly level?: LevelName | undefined;
    };

export type SessionEntry = InferType<typeof sessionEntry>;
