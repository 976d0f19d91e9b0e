import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Thing } from './thing.ts';
import { thingIndex, thingsNamed } from './thingsNamed.ts';
import { toolsFor } from './toolsFor.ts';

const thing = (key: string, one: string, many: string): Thing => ({ key, one, many, traits: [], allergens: [] });
const THINGS = {
  cup: thing('cup', 'cup', 'cups'),
  'paper-cup': thing('paper-cup', 'paper cup', 'paper cups'),
  scissors: thing('scissors', 'pair of scissors', 'pairs of scissors'),
};
const named = (text: string) => thingsNamed(text, thingIndex(THINGS)).map(({ item, qty }) => `${qty} ${item}`);

test('things are told by their names, the longest first, with the largest number said of them', () => {
  assert.deepEqual(named('Put 6 cups out. Fill two of the cups.'), ['6 cup']);
  assert.deepEqual(named('Three big Paper cups, and a cup.'), ['3 paper-cup', '1 cup']);
  assert.deepEqual(named('Give me 4. Cups are next.'), ['1 cup']);
  assert.deepEqual(named('Cupboards and 900 hiccups'), []);
  assert.deepEqual(thingsNamed('6 cups', thingIndex({})), []);
});

test('work asks for its tool, where there is one', () => {
  assert.deepEqual(toolsFor('Cut it in two.', THINGS), ['scissors']);
  assert.deepEqual(toolsFor('Stir it.', THINGS), []);
  assert.deepEqual(toolsFor('A cutlery drawer', THINGS), []);
});
