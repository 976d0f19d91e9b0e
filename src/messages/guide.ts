import type { GuideWords, GuideLanguage } from './guideWords.ts';
import type { CautionLevel } from '../core/cautions/rules.ts';
import { ar } from './guide.ar.ts';
import { en } from './guide.en.ts';
import { es } from './guide.es.ts';

const WORDS: Readonly<Record<GuideLanguage, GuideWords>> = { en, es, ar };

/** The words of guides in a language. */
export function guideWords(language: GuideLanguage): GuideWords {
  return WORDS[language];
}

/** What a caution says, at its level; a programme's own rule says what it says, in the programme's words. */
export function cautionText(words: GuideWords, rule: string, level: CautionLevel, own?: string): string {
  const caution = words.caution[rule];
  return own ?? (caution ? (caution[level] ?? caution.otherwise) : rule);
}

/** The language of guides that a browser asks for first; English where it asks for none of them. */
export function askedLanguage(acceptLanguage: string): GuideLanguage {
  const asked = acceptLanguage
    .slice(0, 200)
    .split(',')
    .map((part) => part.trim().slice(0, 2).toLowerCase());
  return asked.find((language): language is GuideLanguage => Object.hasOwn(WORDS, language)) ?? 'en';
}
