/**
 * The languages of guides, each with the locale of its dates, lists and numbers (BCP 47) and the side it is read from.
 * The first is the one that authors write in. A further language is a line here, a file in `messages/languages` and a
 * column in `messages/cautionWords.ts`.
 */
export const GUIDE_LANGUAGES = {
  en: { locale: 'en-GB', direction: 'ltr' },
  es: { locale: 'es-ES', direction: 'ltr' },
  ar: { locale: 'ar', direction: 'rtl' },
} as const satisfies Readonly<Record<string, { readonly locale: string; readonly direction: 'ltr' | 'rtl' }>>;

/** A language that guides are written in. */
export type GuideLanguage = keyof typeof GUIDE_LANGUAGES;

/** The languages of guides in the order in which they are offered. */
export const GUIDE_LANGUAGE_IDS = Object.keys(GUIDE_LANGUAGES) as GuideLanguage[];
