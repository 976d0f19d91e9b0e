import assert from 'node:assert/strict';
import { test } from 'node:test';
import { isDeepStrictEqual } from 'node:util';
import { starterOffers } from './starterOffers.ts';

const entry = (key: string, text: string) => ({ kind: 'activity', key, body: { text } });
const ours = (key: string, text: string, isRetired = false) => ({ ...entry(key, text), isRetired });

test('a collection offers what is not there and what was left as it was, and nothing that somebody changed', () => {
  const collection = ['new', 'same', 'newer', 'changed', 'removed', 'own'].map((key) => entry(key, `${key} of today`));
  const shelf = [
    ours('same', 'same of today'),
    ours('newer', 'as it came'),
    ours('changed', 'in our own words'),
    ours('removed', 'as it came', true),
    ours('own', 'never taken'),
  ];
  const taken = [
    entry('same', 'same of today'),
    entry('newer', 'as it came'),
    entry('changed', 'as it came'),
    entry('removed', 'as it came'),
  ];
  const offers = starterOffers(collection, { shelf, taken }, isDeepStrictEqual);
  assert.deepEqual(
    offers.map(({ entry: { key }, state }) => [key, state]),
    [
      ['new', 'new'],
      ['newer', 'newer'],
    ],
  );
  assert.deepEqual(starterOffers([], { shelf, taken }, isDeepStrictEqual), []);
});
