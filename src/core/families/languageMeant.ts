import { GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../languages.ts';

/** Languages that families speak and that we have no guide in: enough to know a word for a language. */
const OTHERS = [
  'polish',
  'romanian',
  'portuguese',
  'french',
  'german',
  'italian',
  'ukrainian',
  'russian',
  'urdu',
  'punjabi',
  'bengali',
  'gujarati',
  'hindi',
  'tamil',
  'somali',
  'turkish',
  'kurdish',
  'farsi',
  'persian',
  'dari',
  'pashto',
  'chinese',
  'mandarin',
  'cantonese',
  'vietnamese',
  'welsh',
  'gaelic',
  'irish',
  'albanian',
  'bulgarian',
  'greek',
  'lithuanian',
  'hungarian',
  'tigrinya',
  'amharic',
  'swahili',
  'yoruba',
  'nepali',
  'tagalog',
  'japanese',
  'korean',
  'dutch',
  'czech',
  'slovak',
] as const;

const OWN_NAMES: Readonly<Record<string, GuideLanguage>> = {
  espanol: 'es',
  castellano: 'es',
  العربية: 'ar',
  عربي: 'ar',
};

/**
 * The language of guides that a cell names, in English, by itself or as a code; with several, the first that is not English,
 * for whoever speaks two. `other` is a language that there are no guides in; undefined names none.
 */
export function languageMeant(cell: string): GuideLanguage | 'other' | undefined {
  const words = cell
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter(Boolean)
    .slice(0, 20);
  const meant = words.flatMap((word) => one(word) ?? []);
  return (
    meant.find((language) => language !== 'en' && language !== 'other') ?? meant.find((one) => one !== 'en') ?? meant[0]
  );
}

function one(word: string): GuideLanguage | 'other' | undefined {
  if ((GUIDE_LANGUAGE_IDS as readonly string[]).includes(word)) return word as GuideLanguage;
  const byEnglish: Readonly<Record<string, GuideLanguage>> = { english: 'en', spanish: 'es', arabic: 'ar' };
  if (Object.hasOwn(byEnglish, word)) return byEnglish[word];
  if (Object.hasOwn(OWN_NAMES, word)) return OWN_NAMES[word];
  return (OTHERS as readonly string[]).includes(word) ? 'other' : undefined;
}
