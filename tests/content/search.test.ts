import assert from 'node:assert/strict';
import { test } from 'node:test';
import { type Findable, findableIndex, findIn } from '../../src/core/search/index.ts';
import { dialsOf } from '../../src/core/makers/index.ts';
import { MAKERS } from '../../src/makers/index.ts';
import { makerAbout, makerTitle } from '../../src/messages/makers.ts';
import { demoEntries } from '../support/demoFile.ts';

interface Entry {
  readonly key: string;
  readonly title: string;
  readonly idea?: string;
  readonly summary?: string;
  readonly one?: string;
  readonly many?: string;
}

const of = (kind: Findable['kind'], section: string): Findable[] =>
  demoEntries<Entry>(section).map(({ key, title, many, one, idea, summary }) => ({
    kind,
    key,
    title: many ?? title,
    about: idea ?? summary ?? '',
    words: one,
    href: `/shelf/${kind}/${key}`,
  }));

const makers: Findable[] = MAKERS.map((maker) => ({
  kind: 'maker',
  key: maker.id,
  title: makerTitle(maker.id),
  about: makerAbout(maker.id),
  href: `/makers/${maker.id}`,
  numbers: dialsOf(maker).flatMap((dial) =>
    dial.kind === 'number' ? [{ dial: dial.name, min: dial.min, max: dial.max }] : [],
  ),
}));
const shelf = findableIndex([
  ...of('activity', 'activities'),
  ...of('book', 'books'),
  ...of('song', 'songs'),
  ...of('thing', 'things'),
  ...makers,
]);
const firstThree = (words: string) =>
  findIn(shelf, words)
    .slice(0, 3)
    .map(({ key }) => key);

test('slips of typing, one and many, and another word for the same thing find what was meant among the first three', () => {
  const wanted: readonly (readonly [string, string])[] = [
    ['carts and lids', 'carts-and-lids'],
    ['cart and lid', 'carts-and-lids'],
    ['wheell hunt', 'wheel-hunt'],
    ['who stand in the lights', 'shadow-guess'],
    ['sauspan', 'saucepan'],
    ['clothspeg', 'clothes-peg'],
    ['settee cushion', 'cushion'],
    ['flashlight', 'torch'],
    ['numbr pots', 'number-pots'],
    ['place setting', 'place-settings'],
    ['pair cards', 'pair-cards'],
    ['umbrela', 'umbrella'],
    ['teaspoon', 'teaspoon'],
    ['tea for the letter carrier', 'tea-for-the-carrier'],
    ['nine odd sock', 'nine-odd-socks'],
    ['money', 'money-table'],
  ];
  const missed = wanted
    .filter(([words, key]) => !firstThree(words).includes(key))
    .map(([words, key]) => `${words} → ${key}: ${firstThree(words).join(', ')}`);
  assert.deepEqual(missed, []);
});

test('a word as it is comes before one that it begins, a number opens a maker so, and nothing finds nothing', () => {
  const animals = ['Catalogue', 'Caterpillar', 'Cats', 'Cat', 'Category'].map((title): Findable => ({
    kind: 'thing',
    key: title,
    title,
    about: '',
    href: '/',
  }));
  assert.deepEqual(
    findIn(findableIndex(animals), 'cat')
      .slice(0, 2)
      .map(({ key }) => key)
      .sort(),
    ['Cat', 'Cats'],
  );
  const [pots] = findIn(shelf, 'pots to 5');
  assert.match(pots!.href, /^\/makers\/number-pots\?\w+=5$/);
  for (const words of ['', '   ', 'the', '%%%', 'x'.repeat(5000)])
    assert.deepEqual(findIn(shelf, words), [], words.slice(0, 9));
});
