import * as en from './languages/en.ts';
import * as es from './languages/es.ts';
import * as ar from './languages/ar.ts';
import { scripts as enMakers } from '../makers/scripts.en.ts';
import { scripts as esMakers } from '../makers/scripts.es.ts';
import { scripts as arMakers } from '../makers/scripts.ar.ts';
import type { Catalogues } from '../core/message.ts';
import type { NumberNames } from './speech.ts';
import type { GuideLanguage } from '../core/languages.ts';

/** What a language of guides is made of: a file of `languages/` and the scripts of its makers. */
interface LanguageWords {
  readonly guide: en.GuideCatalogue;
  readonly framing: en.FramingCatalogue;
  readonly numberNames: NumberNames;
  readonly makers: Catalogues;
}

/** Every language by its name. Written by `npm run generate` from the list in `core/languages.ts`. */
export const LANGUAGE_WORDS: Readonly<Record<GuideLanguage, LanguageWords>> = {
  en: { guide: en.guide, framing: en.framing, numberNames: en.numberNames, makers: enMakers },
  es: { guide: es.guide, framing: es.framing, numberNames: es.numberNames, makers: esMakers },
  ar: { guide: ar.guide, framing: ar.framing, numberNames: ar.numberNames, makers: arMakers },
};
