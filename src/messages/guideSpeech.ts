import { toCardinal as arabic, toOrdinal as arabicOrdinal } from 'n2words/ar-SA';
import { toCardinal as spanish, toOrdinal as spanishOrdinal } from 'n2words/es-ES';
import type { Speech } from '../core/message.ts';
import { madePicture } from '../core/guide/madePicture.ts';
import type { GuidePicture } from '../core/guide/guide.ts';
import { soundsSaid } from '../core/makers/soundsSaid.ts';
import { rememberLast } from '../core/remembering.ts';
import type { MakerSource } from '../core/session/makerSource.ts';
import { framing as framingAr } from './framing/ar.ts';
import { framing as framingEs } from './framing/es.ts';
import { GUIDE_LANGUAGES, type GuideLanguage } from './guideWords.ts';
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

/** Pictures that are remembered for each language: what a maker draws is a pure function of what a part was made from. */
const MOST_PICTURES = 200;

const pictures = Object.fromEntries(
  GUIDE_LANGUAGES.map((language) => [
    language,
    rememberLast(MOST_PICTURES, (source: string) =>
      madePicture(JSON.parse(source) as MakerSource, { speech: SPEECHES[language], authorSpeech }),
    ),
  ]),
) as Record<GuideLanguage, (source: string) => GuidePicture | undefined>;

/** What guides in a language are put together from: its sentences, the language of what authors wrote, makers' pictures and sounds. */
export function guideLanguage(language: GuideLanguage) {
  return {
    speech: SPEECHES[language],
    authorLanguage: AUTHOR_LANGUAGE,
    pictureOf: ({ maker, values, settings }: MakerSource) =>
      pictures[language](JSON.stringify({ maker, values, settings })),
    soundsOf: soundsSaid,
  };
}
