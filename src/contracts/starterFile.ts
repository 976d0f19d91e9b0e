import { array, number, string, type InferType } from 'yup';
import { exactly, key, someWords } from './fields.ts';

/** What a part of a session is taken from where a pattern leaves room for it. */
const SLOTS = ['book', 'song', 'activity'] as const;

/** How a session begins or ends: with our own words, or with a song of the collection. */
const frame = exactly({
  key: key(),
  title: someWords(120),
  framing: string().matches(/^[a-z-]{1,40}$/),
  song: key().optional(),
}).test(
  'either',
  'needs either our words or a song',
  ({ framing, song }) => (framing === undefined) !== (song === undefined),
);

const pattern = exactly({
  key: key(),
  title: someWords(120),
  about: someWords(300),
  parts: array().of(string().required().oneOf(SLOTS)).required().min(1).max(12),
});

/** `starter/collection.json`: the collection's version, and how sessions begin, run and end. Its entries lie beside it. */
export const starterFile = exactly({
  format: string().required().oneOf(['footstool']),
  version: number().required().oneOf([1]),
  collection: number().required().integer().min(1).max(100_000),
  openings: array().of(frame).required().min(1).max(40),
  closings: array().of(frame).required().min(1).max(40),
  patterns: array().of(pattern).required().min(1).max(40),
});

export type StarterFile = InferType<typeof starterFile>;
