import { type CautionLevel, CAUTION_LEVELS } from '../core/cautions/index.ts';
import { GUIDE_LANGUAGES } from '../core/languages.ts';
import type { Catalogues, Message } from '../core/message.ts';
import { errors } from './author/errors.ts';
import { families } from './author/families.ts';
import { findings } from './author/findings.ts';
import { letters } from './author/letters.ts';
import { due, swaps, terms } from './author/planning.ts';
import { problems } from './author/problems.ts';
import { questions } from './author/questions.ts';
import { counts, looked, songs, times } from './author/screens.ts';
import { sheet } from './author/sheet.ts';
import { CAUTION_WORDS, cautionText } from './cautionWords.ts';
import { numberNames } from './languages/en.ts';
import { createSpeech } from './speech.ts';
import type { ValuesOf } from './valuesOf.ts';

const screens = {
  ...counts,
  ...times,
  ...songs,
  ...looked,
  ...terms,
  ...due,
  ...swaps,
  ...errors,
  ...families,
  ...sheet,
} as const;

const rules = Object.keys(CAUTION_WORDS);

/** Every sentence of screens and of letters to colleagues. The words of makers are not among them: they are fetched where they are needed. */
export const SCREEN_CATALOGUES: Catalogues = {
  screens,
  letters,
  findings,
  questions,
  problems,
  cautions: Object.fromEntries(
    rules.flatMap((rule) =>
      CAUTION_LEVELS.map((level: CautionLevel) => [`${rule}.${level}`, cautionText('en', rule, level)]),
    ),
  ),
  cautionNames: Object.fromEntries(Object.entries(CAUTION_WORDS).map(([rule, { name }]) => [rule, name.toLowerCase()])),
};

const speech = createSpeech({
  locale: GUIDE_LANGUAGES.en.locale,
  catalogues: SCREEN_CATALOGUES,
  numberNames,
});

/** Says a sentence of a screen. */
export function sayScreen<Name extends keyof typeof screens>(
  name: Name,
  ...[values]: ValuesOf<(typeof screens)[Name]>
): string {
  return speech.say(`screens/${name}`, values);
}

/** Says a sentence of a letter to a colleague. */
export function sayLetter<Name extends keyof typeof letters>(
  name: Name,
  ...[values]: ValuesOf<(typeof letters)[Name]>
): string {
  return speech.say(`letters/${name}`, values);
}

/** Says a sentence that the core named. */
export function sayMessage({ key, values }: Message): string {
  return speech.say(key, values);
}

/** Says a sentence that the core named, or null where there is none of that name. */
export function findMessage({ key, values }: Message): string | null {
  return speech.find(key, values);
}

/** A text as a sentence begins. */
export function capital(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}
