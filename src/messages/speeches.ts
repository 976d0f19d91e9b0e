import { GUIDE_LANGUAGES } from '../core/languages.ts';
import type { Speech } from '../core/message.ts';
import { framing, guide, numberNames } from './languages/en.ts';
import { scripts as makers } from '../makers/scripts.en.ts';
import { print } from './print/en.ts';
import { createSpeech } from './speech.ts';

/** The words of authors: English. A guide in English and what stands on screens say the same. */
export const authorSpeech: Speech = createSpeech({
  locale: GUIDE_LANGUAGES.en.locale,
  catalogues: { ...makers, framing, guide, print },
  numberNames,
});

/** The language that authors write in, as a `lang` attribute says it. */
export const AUTHOR_LANGUAGE = authorSpeech.language;
