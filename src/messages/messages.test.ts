import type { GuideLanguage } from './guideWords.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { CAUTION_LEVELS, CAUTION_RULES } from '../core/cautions/rules.ts';
import { describeCaution } from './cautions.ts';
import { cautionText, guideWords } from './guide.ts';
import { dayInWords } from './dates.ts';

const LANGUAGES: readonly GuideLanguage[] = ['en', 'es', 'ar'];

/** Every place of a catalogue, with what kind of thing stands there. */
function placesOf(value: unknown, path = ''): string[] {
  if (typeof value !== 'object' || value === null) return [`${path}: ${typeof value}`];
  return Object.entries(value).flatMap(([key, inner]) => placesOf(inner, `${path}.${key}`));
}

test('every language of guides says everything the others say', () => {
  const places = placesOf(guideWords('en')).sort();
  for (const language of LANGUAGES) assert.deepEqual(placesOf(guideWords(language)).sort(), places, language);
});

test('every caution has words in every language and at every level', () => {
  for (const language of LANGUAGES) {
    const words = guideWords(language);
    for (const rule of Object.keys(CAUTION_RULES)) {
      for (const level of CAUTION_LEVELS) assert.ok(cautionText(words, rule, level).length > 8, `${language} ${rule}`);
    }
  }
});

test('no language leaves English in its place', () => {
  const { fetch, next, back, gone, thanks } = guideWords('en');
  for (const language of ['es', 'ar'] as const) {
    const words = guideWords(language);
    assert.deepEqual(
      [fetch, next, back, gone, thanks].filter((english) => Object.values(words).includes(english)),
      [],
    );
  }
});

test('dates are written in the language, by the same calendar', () => {
  assert.equal(dayInWords('2027-03-18', 'en-GB'), 'Thursday 18 March');
  assert.match(dayInWords('2027-03-18', 'es'), /jueves.*18.*marzo/);
  assert.match(dayInWords('2027-03-18', 'ar'), /الخميس/);
});

test('a caution for an author names the things and says at which age they are left out', () => {
  const nameOf = (item: string) => (item === 'button' ? 'buttons' : undefined);
  const caution = { rule: 'small-parts', stopsUnderMonths: 36, level: 'watch', because: ['button'] } as const;
  assert.deepEqual(describeCaution(caution, nameOf), {
    things: 'Buttons',
    text: 'Small parts: count them out, and count them back in. Left out where a child under 3 years is in the room.',
  });
  const never = { rule: 'cleaning', stopsUnderMonths: null, level: null, because: ['cleaning'] } as const;
  assert.deepEqual(describeCaution(never, nameOf), { things: '', text: 'Cleaning products are not used at all.' });
});
