import { toCardinal as arabic, toOrdinal as arabicOrdinal } from 'n2words/ar-SA';
import { toCardinal as spanish, toOrdinal as spanishOrdinal } from 'n2words/es-ES';
import type { Speech } from '../core/message.ts';
import { framing as framingAr } from './framing/ar.ts';
import { framing as framingEs } from './framing/es.ts';
import type { GuideLanguage } from './guideWords.ts';
import { ar as makersAr } from './makers/ar.ts';
import { es as makersEs } from './makers/es.ts';
import { createSpeech } from './speech.ts';
import { AUTHOR_LANGUAGE, authorSpeech } from './speeches.ts';

const SPEECHES: Readonly<Record<GuideLanguage, Speech>> = {
  en: authorSpeech,
  es: createSpeech({
    locale: 'es-ES',
    catalogues: { ...makersEs, framing: framingEs },
    numberNames: { cardinal: (value) => spanish(value), ordinal: (value) => spanishOrdinal(value) },
    isolates: true,
  }),
  ar: createSpeech({
    locale: 'ar',
    catalogues: { ...makersAr, framing: framingAr },
    numberNames: { cardinal: (value) => arabic(value), ordinal: (value) => arabicOrdinal(value) },
    isolates: true,
  }),
};

/** What guides in a language are put together from: its sentences, and the language of what authors wrote. */
export function guideLanguage(language: GuideLanguage): { speech: Speech; authorLanguage: string } {
  return { speech: SPEECHES[language], authorLanguage: AUTHOR_LANGUAGE };
}
