import assert from 'node:assert/strict';
import { test } from 'node:test';
import { CAUTION_LEVELS, CAUTION_RULES } from '../core/cautions/index.ts';
import { GUIDE_LANGUAGE_IDS } from '../core/languages.ts';
import { describeCaution } from './cautions.ts';
import { dayInWords } from './dates.ts';
import { guideWords, inBag, withoutThing } from './guideWords.ts';
import { guide as ar } from './languages/ar.ts';
import { guide as en } from './languages/en.ts';
import { guide as es } from './languages/es.ts';

test('every caution has words in every language and at every level', () => {
  for (const language of GUIDE_LANGUAGE_IDS)
    for (const rule of Object.keys(CAUTION_RULES))
      for (const level of CAUTION_LEVELS) {
        const words = guideWords(language).caution(rule, level);
        assert.ok(words.length > 8 && words !== rule, `${language} ${rule}`);
      }
  assert.equal(guideWords('es').caution('own-pond', 'hold', 'No pond today.'), 'No pond today.');
});

test('no language leaves English in its place', () => {
  const english = new Set<string>(Object.values(en));
  for (const catalogue of [es, ar])
    assert.deepEqual(
      Object.values(catalogue).filter((sentence) => english.has(sentence)),
      [],
    );
});

test('a bag and what to do without a thing are said whole, with one choice, two or none', () => {
  const words = guideWords('en');
  assert.equal(inBag(words, 'Quillbrook'), 'in a bag from Quillbrook: ask for it');
  assert.equal(inBag(words, 'Quillbrook', 3), '3 of them in a bag from Quillbrook: ask for it');
  const without = (...elseDo: string[]) => withoutThing(words, { name: 'a torch', elseDo });
  assert.equal(without(), 'If you haven’t got a torch: leave this part for another day.');
  assert.equal(
    without('a lamp', 'a candle'),
    'If you haven’t got a torch: a lamp or a candle will do. Or leave this part for another day.',
  );
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
