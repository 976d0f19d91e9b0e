import { dialSettings } from './line.ts';
import { clockTime, exactly, key, someWords, words } from './fields.ts';
import { makerSource } from './makerSource.ts';
import { LEVELS, type LevelName } from '../core/session/levelName.ts';
import { array, boolean, lazy, number, string, type InferType, type Schema } from 'yup';
import type { Segment } from '../core/session/session.ts';
import { SEASONS } from '../core/shelf/filterActivities.ts';
import { allergenName, cautionPolicy, traitName } from './cautions.ts';
import { programmeSettings } from './programme.ts';
import { activityFields, calendarDay, isShortEnough, TOO_LONG_A_SCRIPT, segmentEntry } from './script.ts';

const LANGUAGES = ['en', 'es', 'ar'] as const;

const ageRange = () =>
  exactly({
    fromMonths: number().required().integer().min(0).max(240),
    toMonths: number().required().integer().min(0).max(240),
  })
    .required()
    .test('ages', 'the youngest age must not be above the oldest', (ages) => !ages || ages.fromMonths <= ages.toMonths);

export const thingEntry = exactly({
  key: key(),
  one: someWords(120),
  many: someWords(120),
  traits: array().of(traitName()).required().max(60),
  sizeMm: number().min(1).max(5000),
  /** How thick one is, where a hand is to feel how many there are. */
  thickMm: number().min(0).max(500),
  /** Hollows or places it has, such as the twelve of an egg carton. */
  places: number().integer().min(1).max(100),
  colours: array().of(someWords(30)).max(12),
  allergens: array().of(allergenName()).required().max(20),
  /** How many a home usually has, and the part of homes that have any. */
  usualQty: number().required().min(0).max(100_000),
  common: number().required().min(0).max(1),
  /** What else one does with it. */
  uses: array().of(someWords(200)).max(12),
  /** Taken off the shelf: it is not offered any more, but what uses it still knows it. */
  retired: boolean(),
});

export const BOOK_FEATURES = ['rhymes', 'repeats', 'counts', 'nature', 'true-to-life', 'few-words'] as const;
export const BOOK_PACES = ['calm', 'even', 'lively'] as const;

export const bookEntry = exactly({
  key: key(),
  title: someWords(300),
  maker: someWords(200),
  summary: someWords(1000),
  words: number().required().integer().min(0).max(100_000),
  pages: number().required().integer().min(1).max(1000),
  features: array().of(string().required().oneOf(BOOK_FEATURES)).required().max(12),
  themes: array().of(key()).required().max(40),
  skills: array().of(key()).required().max(40),
  pauses: array()
    .of(
      exactly({ page: number().required().integer().min(1).max(1000), question: someWords(300), why: someWords(300) }),
    )
    .required()
    .max(100),
  borrowed: boolean().required(),
  pace: string().oneOf(BOOK_PACES),
  /** How to tell it when the book is not at hand. */
  retold: string().max(1000, 'must be at most 1000 characters'),
  /** The text page by page, where it is our own. */
  text: array().of(words(2000)).max(1000),
});

export const songEntry = exactly({
  key: key(),
  title: someWords(300),
  tune: someWords(200),
  verses: array()
    .of(array().of(someWords(200)).required().min(1).max(60))
    .required()
    .min(1)
    .max(60),
  actions: words(600),
  /** The tune line by line: notes by name and octave with their beats, such as "C4:1 D4:1 E4:0.5". */
  melody: array()
    .of(
      string()
        .required()
        .matches(/^([A-G][#b]?[2-6]:\d+(\.\d+)?)( [A-G][#b]?[2-6]:\d+(\.\d+)?)*$/, 'must be notes such as C4:1 D4:0.5'),
    )
    .max(40),
  skills: array().of(key()).required().max(40),
  themes: array().of(key()).required().max(40),
  minutes: array().of(number().required().min(0).max(1440)).required().length(3),
});

export const activityEntry = exactly({
  key: key(),
  title: someWords(300),
  themes: array().of(key()).required().max(40),
  ages: ageRange(),
  mess: number().required().integer().min(0).max(3),
  noise: number().required().integer().min(0).max(3),
  idea: someWords(600),
  /** 1 to 3: what it asks of the adult; worked out from set-up and mess when absent. */
  effort: number().integer().min(1).max(3),
  /** Absent: any time of the year. */
  seasons: array().of(string().required().oneOf(SEASONS)).max(4),
  /** What is kept from it for a later activity, in words. */
  keeps: string().max(300, 'must be at most 300 characters'),
  /** Activities that must have been done before. */
  after: array().of(key()).max(8),
  /** A maker that writes it, with its values. */
  made: makerSource(),
  ...activityFields,
})
  .test('length', TOO_LONG_A_SCRIPT, isShortEnough)
  .test('after', 'an activity cannot come after itself', (activity, context) => {
    const at = (activity.after ?? []).indexOf(activity.key);
    return (
      at < 0 ||
      context.createError({
        path: `${context.path ? `${context.path}.` : ''}after[${at}]`,
        message: 'an activity cannot need itself',
      })
    );
  });

const homeEntry = exactly({
  nickname: someWords(80),
  contact: words(200).test(
    'one-address',
    'must be one address, or empty',
    (text) => !text || /^[^\s@,;<>]+@[^\s@,;<>]+$/.test(text),
  ),
  language: string().required().oneOf(LANGUAGES),
  allergens: array().of(allergenName()).required().max(20),
  children: array()
    .of(
      exactly({
        nickname: someWords(80),
        birthMonth: string()
          .required()
          .matches(/^\d{4}-(0[1-9]|1[0-2])$/, 'must be a month, YYYY-MM'),
        loves: words(80),
        /** Still puts things into the mouth, at whatever age. */
        mouthing: boolean(),
        leftHanded: boolean(),
        needs: string().max(300, 'must be at most 300 characters'),
      }),
    )
    .required()
    .max(8),
  things: array()
    .of(exactly({ item: key(), qty: number().required().min(0).max(100_000) }))
    .required()
    .max(500, 'must be at most 500 things'),
});

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

const part = lazy((value: unknown): Schema =>
  typeof value === 'object' && value !== null && (value as { kind?: unknown }).kind === 'maker' ? makerPart : shelfPart,
);

/** A session in a file names its parts, whose scripts come from the shelf, or holds its segments as the editor keeps them. */
const sessionEntry = exactly({
  title: someWords(300),
  on: calendarDay(),
  at: clockTime(),
  ages: ageRange(),
  aim: words(1000),
  parts: array()
    .of(part as unknown as Schema<SessionPart>)
    .max(30, 'must be at most 30 parts'),
  segments: array().of(segmentEntry).max(30, 'must be at most 30 parts') as unknown as Schema<Segment[] | undefined>,
}).test(
  'either',
  'needs either parts or segments',
  ({ parts, segments }) => (parts === undefined) !== (segments === undefined),
);

export type SessionPart =
  | { readonly kind: 'book' | 'song' | 'activity'; readonly key: string }
  | {
      readonly kind: 'maker';
      readonly maker: string;
      readonly values: Readonly<Record<string, number | string>>;
      readonly level?: LevelName | undefined;
    };

const section = <Entry extends Schema>(entry: Entry, most: number) =>
  array()
    .of(entry as unknown as Schema)
    .max(most, `must be at most ${most} in one file`)
    .default([]);

/** One file of our open format; it may hold any of these sections. */
export const shelfFile = exactly({
  format: string().required().oneOf(['footstool'], 'must be "footstool"'),
  version: number().required().oneOf([1], 'must be 1: this program reads version 1'),
  things: section(thingEntry, 5000),
  books: section(bookEntry, 5000),
  songs: section(songEntry, 5000),
  activities: section(activityEntry, 2000),
  homes: section(homeEntry, 300),
  sessions: section(sessionEntry, 500),
  programme: exactly({
    settings: programmeSettings.optional().default(undefined),
    cautions: cautionPolicy().optional(),
  }).default(undefined),
});

export type ThingEntry = InferType<typeof thingEntry>;
export type BookEntry = InferType<typeof bookEntry>;
export type SongEntry = InferType<typeof songEntry>;
export type HomeEntry = InferType<typeof homeEntry>;
export type SessionEntry = InferType<typeof sessionEntry>;
