import assert from 'node:assert/strict';
import { test } from 'node:test';
import { GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../../core/languages.ts';
import { CAUTION_LEVELS, CAUTION_RULES } from '../../core/cautions/index.ts';
import { cautionText } from '../cautionWords.ts';
import { guideWords } from '../guideWords.ts';
import { LANGUAGE_WORDS } from '../languageWords.ts';

const cautionsIn = (language: GuideLanguage) =>
  Object.fromEntries(
    Object.keys(CAUTION_RULES).flatMap((rule) =>
      CAUTION_LEVELS.map((level) => [`${rule}.${level}`, cautionText(language, rule, level)]),
    ),
  );
const COUNTS = [1, 2, 5, 11, 100, 1200];

test('minutes and days are counted by the rules of each language, thousands as it writes them', () => {
  const about = (language: GuideLanguage) =>
    COUNTS.map((minutes) => guideWords(language).say('aboutMinutes', { minutes }));
  assert.deepEqual(about('en'), [
    ...['about 1 minute', 'about 2 minutes', 'about 5 minutes', 'about 11 minutes', 'about 100 minutes'],
    'about 1,200 minutes',
  ]);
  assert.deepEqual(about('es'), [
    ...['más o menos 1 minuto', 'unos 2 minutos', 'unos 5 minutos', 'unos 11 minutos', 'unos 100 minutos'],
    'unos 1200 minutos',
  ]);
  assert.deepEqual(about('ar'), [
    ...['نحو دقيقة', 'نحو دقيقتين', 'نحو 5 دقائق', 'نحو 11 دقيقة', 'نحو 100 دقيقة', 'نحو 1,200 دقيقة'],
  ]);
  const before = (language: GuideLanguage) =>
    [0, ...COUNTS].map((days) => guideWords(language).say('daysBefore', { days }));
  assert.deepEqual(before('en').slice(0, 3), ['The same day', 'The evening before', '2 days before']);
  assert.deepEqual(before('ar').slice(1, 6), [
    ...['في المساء السابق', 'قبل يومين', 'قبل 5 أيام', 'قبل 11 يومًا', 'قبل 100 يوم'],
  ]);
});

test('every sentence that counts has each form that its language knows, and none of another’s', () => {
  for (const language of GUIDE_LANGUAGE_IDS)
    for (const [name, sentence] of Object.entries({ ...LANGUAGE_WORDS[language].guide }))
      for (const [, forms] of sentence.matchAll(
        /\{\w+, plural, ((?:[^{}]|\{[^{}]*\{[^{}]*\}[^{}]*\}|\{[^{}]*\})*)\}/g,
      )) {
        const said = [...forms!.matchAll(/(?:^|\s)(=\d+|zero|one|two|few|many|other) \{/g)].map(([, form]) => form!);
        const known = new Intl.PluralRules(language).resolvedOptions().pluralCategories;
        assert.ok(said.includes('other'), `${language} ${name}`);
        for (const form of said)
          assert.ok(form.startsWith('=') || known.includes(form as never), `${language} ${name} ${form}`);
        if (said.some((form) => !form.startsWith('=') && form !== 'other') && language === 'ar')
          assert.ok(
            ['two', 'few', 'many'].every((form) => said.includes(form)),
            `ar ${name} lacks a form`,
          );
      }
});

/** Words of another form of address than the one that a language of guides keeps to. */
const OTHER_ADDRESS: Partial<Record<GuideLanguage, RegExp>> = {
  // tú, vosotros and usted; families are ustedes. “es” and “as” alone are no address.
  es: /(?<!\p{L})(?:tú|ti|tu|tus|contigo|vosotr[oa]s|os|vuestr[oa]s?|usted|le|\p{L}+(?:áis|éis)|\p{L}*(?:ad|ed|id)|\p{L}+(?:aos|eos|íos))(?!\p{L})/giu,
  // One reader alone, or two: the endings of the dual and the imperative of one.
  ar: /(?:^|[\s«])(?:ضع|اجلس|اتركه|اقرأ|توقف|افعل|قل|اسأل|لاحظ|رتبا|اجلسا|غنيا|عدا|معكما|لكما|طفلكما|هاتفك|طفلك)(?=[\s،.:؛»]|$)/gu,
};
/** Nouns that end like an imperative of vosotros. */
const NO_ADDRESS = new Set(['edad', 'pared', 'verdad', 'mitad', 'cantidad']);

test('a guide speaks to a family in one form of address throughout', () => {
  for (const [language, other] of Object.entries(OTHER_ADDRESS) as [GuideLanguage, RegExp][]) {
    const { guide, framing } = LANGUAGE_WORDS[language];
    for (const [name, sentence] of Object.entries({ ...guide, ...framing, ...cautionsIn(language) })) {
      const found = [...sentence.matchAll(other)]
        .map(([word]) => word.toLowerCase())
        .filter((word) => !NO_ADDRESS.has(word));
      assert.deepEqual(found, [], `${language} ${name}: ${sentence}`);
    }
  }
  assert.equal([...'Deja tu teléfono. Recoged las cosas.'.matchAll(OTHER_ADDRESS.es!)].length, 2);
});
