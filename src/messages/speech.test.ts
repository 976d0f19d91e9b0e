import assert from 'node:assert/strict';
import { test } from 'node:test';
import { IntlMessageFormat } from 'intl-messageformat';
import { listOf, type Catalogues } from '../core/message.ts';
import { MAKERS } from '../makers/index.ts';
import { runKeys, runShape } from '../core/makers/run.ts';
import { GUIDE_LANGUAGE_IDS, type GuideLanguage } from '../core/languages.ts';
import { LANGUAGE_WORDS } from './languageWords.ts';
import { scripts as en } from '../makers/scripts.en.ts';
import { own, splitOwn, withoutMarks } from './ownWords.ts';
import { print } from './print/en.ts';
import { SCREEN_CATALOGUES } from './screenWords.ts';
import { createSpeech } from './speech.ts';
import { authorSpeech } from './speeches.ts';

/** The names of values that a sentence takes. */
function argumentsOf(sentence: string): string[] {
  const names = new Set<string>();
  const visit = (
    elements: readonly { value?: unknown; options?: Record<string, { value: unknown }>; type: number }[],
  ) => {
    for (const element of elements) {
      if (element.type !== 0 && element.type !== 7 && typeof element.value === 'string') names.add(element.value);
      for (const option of Object.values(element.options ?? {})) visit(option.value as never);
    }
  };
  visit(new IntlMessageFormat(sentence, 'en', {}, { ignoreTag: true }).getAst() as never);
  return [...names].sort();
}

const catalogues = (language: GuideLanguage): Catalogues => {
  const { makers, framing, guide } = LANGUAGE_WORDS[language];
  return { ...makers, framing, guide };
};
const ENGLISH: Catalogues = { ...catalogues('en'), print, ...SCREEN_CATALOGUES };

test('every English sentence can be read by the message format', () => {
  for (const [name, catalogue] of Object.entries(ENGLISH))
    for (const [key, sentence] of Object.entries(catalogue))
      assert.doesNotThrow(() => argumentsOf(sentence), `${name}/${key}`);
});

test('every maker has a catalogue under its name, with a title, what it is for, and the label of each dial', () => {
  for (const { id, dials } of MAKERS) {
    assert.ok(authorSpeech.find(`${id}/title`), `${id} has no title`);
    assert.ok(authorSpeech.find(`${id}/about`), `${id} does not say what it is for`);
    for (const { name, kind } of dials) {
      assert.ok(authorSpeech.find(`${id}/dial.${name}`), `${id} has no label for ${name}`);
      if (kind === 'list') assert.ok(authorSpeech.find(`${id}/hint.${name}`), `${id} has no hint for ${name}`);
    }
  }
});

test('every maker has all the sentences of its run: a way in, each way of running it, cases, roles and a way out', () => {
  for (const { id, run, plays } of MAKERS) {
    if (plays) continue;
    const catalogue = (en as Catalogues)[id]!;
    const lacking = [...runKeys(runShape(run)), 'picture'].filter((key) => !Object.hasOwn(catalogue, key));
    assert.deepEqual(lacking, [], id);
  }
});

test('a catalogue in another language has the sentences of the English one, and each speaks of the same values', () => {
  for (const language of GUIDE_LANGUAGE_IDS)
    for (const [name, catalogue] of Object.entries(catalogues(language))) {
      const english = ENGLISH[name]!;
      const lacking = Object.keys(english).filter((key) => !Object.hasOwn(catalogue, key));
      assert.deepEqual(lacking, [], `${language}/${name} lacks sentences`);
      for (const [key, sentence] of Object.entries(catalogue))
        assert.deepEqual(argumentsOf(sentence), argumentsOf(english[key]!), `${language}/${name}/${key}`);
    }
});

const small = createSpeech({
  locale: 'en-GB',
  catalogues: {
    a: {
      counted: '{n, plural, one {# cup} other {# cups}}',
      named: '{n, number, words}, {n, number, ordinal}',
      listed: '{all}',
      around: 'before {inner} after',
    },
  },
  numberNames: { cardinal: (value) => `c${value}`, ordinal: (value) => `o${value}` },
  isolates: true,
});

test('numbers are counted and named, lists joined, messages said inside messages', () => {
  assert.deepEqual([small.say('a/counted', { n: 1 }), small.say('a/counted', { n: 0 })], ['1 cup', '0 cups']);
  assert.equal(small.say('a/named', { n: 7 }), 'c7, o7');
  assert.equal(small.say('a/listed', { all: listOf([1, 2, 3]) }), '1, 2 and 3');
  assert.equal(small.say('a/listed', { all: listOf([1, 2], 'plus') }), '1 + 2');
  assert.equal(small.say('a/listed', { all: listOf([]) }), '');
  const money = { minor: 120, currency: 'pence', asMajor: true } as const;
  assert.equal(small.say('a/around', { inner: money }), 'before £1.20 after');
  const inner = { key: 'a/counted', values: { n: 2 } };
  assert.equal(small.say('a/around', { inner }), 'before 2 cups after');
});

test('what a language lacks is told as lacking, and never said as nothing', () => {
  assert.equal(small.find('a/none'), null);
  assert.equal(small.find('a/counted', {}), null);
  assert.throws(() => small.say('b/counted', { n: 1 }), /no sentence/);
});

test('an author’s words are marked inside a sentence of another language, and unmarked for paper', () => {
  const said = small.say('a/around', { inner: { own: 'Carts' } });
  assert.deepEqual(splitOwn(said), [
    { text: 'before ', isOwn: false },
    { text: 'Carts', isOwn: true },
    { text: ' after', isOwn: false },
  ]);
  assert.equal(withoutMarks(said), 'before Carts after');
  assert.deepEqual([own(''), splitOwn('')], ['', []]);
});

test('numbers have their spoken names', () => {
  const named = (number: number) => authorSpeech.say('makers/number', { number });
  assert.deepEqual([0, 19, 40, 99, 100, 115].map(named), [
    'zero',
    'nineteen',
    'forty',
    'ninety-nine',
    'one hundred',
    'one hundred and fifteen',
  ]);
  const place = (number: number) => authorSpeech.say('volumes/place', { place: number });
  assert.deepEqual([1, 2, 3, 5, 9, 12, 20, 23].map(place), [
    ...['first', 'second', 'third', 'fifth', 'ninth', 'twelfth', 'twentieth', 'twenty-third'],
  ]);
});
