import { moneyWriter } from '../numbers/currencies.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { count, listWords, numberName, ordinalName } from './words.ts';

test('amounts are all written in the small unit, or all in the large one', () => {
  assert.equal(moneyWriter([35, 99], 'pence')(35), '35p');
  assert.deepEqual([35, 120].map(moneyWriter([35, 120], 'pence')), ['£0.35', '£1.20']);
  assert.equal(moneyWriter([35, 500], 'tokens')(500), '500 tokens');
});

test('numbers have their spoken names', () => {
  assert.deepEqual([0, 19, 40, 99, 100, 115].map(numberName), [
    'zero',
    'nineteen',
    'forty',
    'ninety-nine',
    'one hundred',
    'one hundred and fifteen',
  ]);
});

test('places in a row have their spoken names', () => {
  assert.deepEqual([1, 2, 3, 5, 8, 9, 12, 14, 20, 23].map(ordinalName), [
    'first',
    'second',
    'third',
    'fifth',
    'eighth',
    'ninth',
    'twelfth',
    'fourteenth',
    'twentieth',
    'twenty-third',
  ]);
});

test('lists and counts read as sentences do', () => {
  assert.deepEqual([listWords([]), listWords([2]), listWords([2, 3, 5])], ['', '2', '2, 3 and 5']);
  assert.deepEqual([count(1, 'cup'), count(0, 'cup'), count(2, 'person', 'people')], ['1 cup', '0 cups', '2 people']);
});
