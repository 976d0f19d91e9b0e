import { toCardinal, toOrdinal } from 'n2words/en-GB';
import type { Speech } from '../core/message.ts';
import { framing } from './framing/en.ts';
import { en as makers } from './makers/en.ts';
import { print } from './print/en.ts';
import { createSpeech } from './speech.ts';

const cardinal = (value: number) => toCardinal(value);
const ordinal = (value: number) => (value > 0 ? toOrdinal(value) : toCardinal(value));

/** The words of authors: English. Makers, framing lines and numbers are said from it while a session is written. */
export const authorSpeech: Speech = createSpeech({
  locale: 'en-GB',
  catalogues: { ...makers, framing, print },
  numberNames: { cardinal, ordinal },
});

/** The language that authors write in, as a `lang` attribute says it. */
export const AUTHOR_LANGUAGE = authorSpeech.language;
