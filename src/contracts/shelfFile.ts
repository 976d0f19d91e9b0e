import { ALL_SKILLS } from '../core/ladders/index.ts';
import { CAUTION_RULES, PLAIN_TRAITS } from '../core/cautions/index.ts';
import { exactly, key, knownAs, someWords, threeOf, words } from './fields.ts';
import type { Triple } from '../core/numbers/index.ts';
import { array, boolean, number, string, type InferType, type Schema } from 'yup';
import { GUIDE_LANGUAGE_IDS } from '../core/languages.ts';
import { SEASONS } from '../core/shelf/index.ts';
import { ALLERGENS, allergenName, avoidedName, cautionPolicy, traitName } from './cautions.ts';
import { programmeSettings } from './programme.ts';
import { ageRange, sessionEntry } from './sessionEntry.ts';
import { activityFields, isShortEnough, TOO_LONG_A_SCRIPT } from './script.ts';

const SKILLS = { label: 'Good for', choices: ALL_SKILLS, wide: true };
const THEMES = { label: 'Themes', hint: 'with commas between' };
const keys = (most: number) => array().of(key()).required().max(most);
const title = () => someWords(300).meta({ label: 'Title' });

export const thingEntry = exactly({
  key: key(),
  one: someWords(120).meta({ label: 'Name of one' }),
  many: someWords(120).meta({ label: 'Name of several' }),
  sizeMm: number().min(1).max(5000).meta({ label: 'Largest side, mm' }),
  /** How thick one is, where a hand is to feel how many there are. */
  thickMm: number().min(0).max(500).meta({ label: 'Thickness, mm' }),
  /** Hollows or places it has, such as the twelve of an egg carton. */
  places: number().integer().min(1).max(100).meta({ label: 'Hollows or places' }),
  /** How many a home usually has, and the part of homes that have any. */
  usualQty: number().required().min(0).max(100_000).meta({ label: 'A home usually has' }),
  common: number().required().min(0).max(1).meta({ label: 'How many homes have it, from 0 (none) to 1 (all)' }),
  colours: array().of(someWords(30)).max(12).meta({ label: 'Colours', hint: 'with commas between', csv: 'phrases' }),
  /** What else one does with it. */
  uses: array()
    .of(someWords(200))
    .max(12)
    .meta({ label: 'What else you do with it', as: 'phrases', hint: 'with bars between', csv: 'phrases' }),
  traits: array()
    .of(traitName())
    .required()
    .max(60)
    .meta({
      groups: [
        { label: 'What it is like', choices: PLAIN_TRAITS },
        { label: 'Cautions for it', choices: Object.keys(CAUTION_RULES) },
      ],
    }),
  allergens: array()
    .of(allergenName())
    .required()
    .max(20)
    .meta({ label: 'It may hold', choices: ALLERGENS, wide: true }),
  /** How many of it the programme gives out to a home that has none; absent: none, and no bag is promised. */
  givesOut: number().min(0).max(100_000).meta({ label: 'We give out to a home, at most', hint: 'empty: none' }),
  /** Bought in packs of so many; absent: singly. */
  pack: number().integer().min(2).max(10_000).meta({ label: 'We buy it in packs of', hint: 'empty: singly' }),
  /** Somebody has looked at what it is like and what it holds; until then its name is read for that, and it is asked about. */
  checked: boolean().meta({ label: 'I have looked at this: the ticks above are right' }),
  /** Taken off the shelf: it is not offered any more, but what uses it still knows it. */
  retired: boolean(),
});

const BOOK_FEATURES = [
  'rhymes',
  'repeats',
  'counts',
  'nature',
  'true-to-life',
  'few-words',
  'clear-pictures',
  'uncrowded-pages',
] as const;
const BOOK_PACES = ['calm', 'even', 'lively'] as const;

export const bookEntry = exactly({
  key: key(),
  title: title(),
  maker: someWords(200).meta({ label: 'Written by' }),
  words: number().required().integer().min(0).max(100_000).meta({ label: 'Words' }),
  pages: number().required().integer().min(1).max(1000).meta({ label: 'Pages' }),
  pace: string().oneOf(BOOK_PACES).meta({ label: 'Pace' }),
  borrowed: boolean().required().meta({ label: 'Borrowed from the library' }),
  themes: keys(40).meta(THEMES),
  summary: someWords(1000).meta({ label: 'What happens in it', as: 'long', wide: true }),
  /** How to tell it when the book is not at hand. */
  retold: string()
    .max(1000, 'must be at most 1000 characters')
    .meta({ label: 'How to tell it when the book is not at hand', as: 'long', wide: true }),
  pauses: array()
    .of(
      exactly({
        page: number().required().integer().min(1).max(1000).meta({ label: 'after page' }),
        question: someWords(300).meta({ label: 'question' }),
        why: someWords(300).meta({ label: 'Why you ask it' }),
      }),
    )
    .required()
    .max(100)
    .meta({ label: 'Where to pause', wide: true }),
  /** What can be counted on which page, where it counts. */
  numbers: array()
    .of(
      exactly({
        page: number().required().integer().min(1).max(1000).meta({ label: 'on page' }),
        number: number().required().integer().min(0).max(1000).meta({ label: 'to be counted' }),
      }),
    )
    .max(40)
    .meta({ label: 'Numbers on its pages, where it counts', wide: true }),
  /** The text page by page, where it is our own. */
  text: array()
    .of(words(2000))
    .max(1000)
    .meta({ label: 'The text, a page to a line, where it is ours', as: 'lines', wide: true, csv: 'json' }),
  features: array()
    .of(string().required().oneOf(BOOK_FEATURES))
    .required()
    .max(12)
    .meta({ label: 'Features', wide: true }),
  skills: keys(40).meta(SKILLS),
});

export const songEntry = exactly({
  key: key(),
  title: title(),
  tune: someWords(200).meta({ label: 'Tune' }),
  minutes: knownAs<Triple>(
    threeOf(number().required().min(0).max(1440)).meta({ label: 'Minutes: least | likely | most', as: 'triple' }),
  ),
  themes: keys(40).meta(THEMES),
  verses: array()
    .of(array().of(someWords(200)).required().min(1).max(60))
    .required()
    .min(1)
    .max(60)
    .meta({ label: 'Verses, a blank line between', as: 'verses', wide: true }),
  /** The tune line by line: notes by name and octave with their beats, such as "C4:1 D4:1 E4:0.5". */
  melody: array()
    .of(
      string()
        .required()
        .matches(/^([A-G][#b]?[2-6]:\d+(\.\d+)?)( [A-G][#b]?[2-6]:\d+(\.\d+)?)*$/, 'must be notes such as C4:1 D4:0.5'),
    )
    .max(40)
    .meta({ label: 'The tune line by line, such as C4:1 D4:0.5', as: 'lines', wide: true, csv: 'json' }),
  actions: words(600).meta({ label: 'What the hands do', as: 'long', wide: true }),
  skills: keys(40).meta(SKILLS),
});

/** What a session takes over from an activity, in the order of the form; a field that is added there is here, too. */
const { aim, skills, size, posture, access, actions, ...script } = activityFields;

export const activityEntry = exactly({
  key: key(),
  title: title(),
  themes: keys(40).meta(THEMES),
  idea: someWords(600).meta({ label: 'The idea in a sentence or two', as: 'long', wide: true }),
  aim: aim.meta({ label: 'Aim: what a home would notice if it works', as: 'long', wide: true }),
  skills: skills.meta(SKILLS),
  ages: ageRange(),
  size,
  posture,
  mess: number().required().integer().min(0).max(3).meta({ label: 'Mess, 0 to 3' }),
  noise: number().required().integer().min(0).max(3).meta({ label: 'Noise, 0 to 3' }),
  /** 1 to 3: what it asks of the adult; worked out from set-up and mess when absent. */
  effort: number().integer().min(1).max(3).meta({ label: 'Work for the adult, 1 to 3', hint: 'empty: worked out' }),
  ...script,
  /** What is kept from it for a later activity, in words. */
  keeps: string().max(300, 'must be at most 300 characters').meta({ label: 'Kept for later' }),
  /** Activities that must have been done before. */
  after: array()
    .of(key())
    .max(8)
    .meta({ label: 'Needs these first', as: 'activities', hint: 'titles of activities, one to a line' }),
  access,
  actions,
  /** Absent: any time of the year. */
  seasons: array().of(string().required().oneOf(SEASONS)).max(4).meta({ label: 'Only in', wide: true }),
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
  language: string().required().oneOf(GUIDE_LANGUAGE_IDS),
  /** Of the list of allergens, or in the home's own words. */
  allergens: array().of(avoidedName()).required().max(30),
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
  /** What it said it has not; whatever is neither here nor among its things was not asked about. */
  hasNot: array().of(key()).max(500, 'must be at most 500 things'),
});

const section = <Entry extends Schema>(entry: Entry, most: number) =>
  array().of(entry).max(most, `must be at most ${most} in one file`).default([]);

/** One file of our open format; it may hold any of these sections. */
export const shelfFile = exactly({
  format: string().required().oneOf(['footstool'], 'must be "footstool"'),
  version: number().required().oneOf([1], 'must be 1: this program reads version 1'),
  things: section(thingEntry, 5000),
  books: section(bookEntry, 5000),
  songs: section(songEntry, 5000),
  activities: section(activityEntry, 2000),
  homes: section(homeEntry, 10_000),
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
