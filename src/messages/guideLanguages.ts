import type { Speech } from '../core/message.ts';
import { GUIDE_LANGUAGES, GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../core/languages.ts';
import { type GuidePicture, madePicture } from '../core/guide/index.ts';
import { soundsSaid } from '../core/makers/index.ts';
import { rememberLast } from '../core/remembering.ts';
import type { MakerSource } from '../core/session/index.ts';
import { authorMakers } from './authorMakers.ts';
import { LANGUAGE_WORDS } from './languageWords.ts';
import { createSpeech } from './speech.ts';
import { AUTHOR_LANGUAGE, authorSpeech } from './speeches.ts';

const SPEECHES = eachLanguage((language): Speech => {
  if (language === AUTHOR_LANGUAGE) return authorSpeech;
  const { guide, framing, numberNames, makers } = LANGUAGE_WORDS[language];
  return createSpeech({
    locale: GUIDE_LANGUAGES[language].locale,
    catalogues: { ...makers, framing, guide },
    numberNames,
    isolates: true,
  });
});

/** Pictures that are remembered for each language: what a maker draws is a pure function of what a part was made from. */
const MOST_PICTURES = 200;

const PICTURES = eachLanguage((language) =>
  rememberLast(MOST_PICTURES, (source: string): GuidePicture | undefined =>
    madePicture(JSON.parse(source) as MakerSource, { speech: SPEECHES[language], makers: authorMakers }),
  ),
);

function eachLanguage<Made>(make: (language: GuideLanguage) => Made): Readonly<Record<GuideLanguage, Made>> {
  return Object.fromEntries(GUIDE_LANGUAGE_IDS.map((language) => [language, make(language)])) as Record<
    GuideLanguage,
    Made
  >;
}

/** Every sentence of a guide in a language: the guide's own, what frames its parts, and its makers'. */
export function guideSpeech(language: GuideLanguage): Speech {
  return SPEECHES[language];
}

/** What guides in a language are put together from: its sentences, the language of what authors wrote, makers' pictures and sounds. */
export function guideLanguage(language: GuideLanguage) {
  return {
    speech: SPEECHES[language],
    authorLanguage: AUTHOR_LANGUAGE,
    pictureOf: ({ maker, values, settings }: MakerSource) =>
      PICTURES[language](JSON.stringify({ maker, values, settings })),
    soundsOf: soundsSaid,
  };
}
