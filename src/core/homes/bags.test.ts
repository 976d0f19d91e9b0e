import assert from 'node:assert/strict';
import { test } from 'node:test';
import { gatherBags } from './bags.ts';

const thing = { one: '', many: '', traits: [], allergens: [] };
const THINGS = { stick: { ...thing, key: 'stick', pack: 20 }, cup: { ...thing, key: 'cup' } };

test('bags are added up, and bought in whole packs', () => {
  const bags = [
    { home: 'a', nickname: 'Blue door', things: [{ item: 'stick', qty: 12 }] },
    {
      home: 'b',
      nickname: 'Mill end',
      things: [
        { item: 'stick', qty: 9 },
        { item: 'cup', qty: 2 },
      ],
    },
  ];
  assert.deepEqual(gatherBags(bags, THINGS), [
    { item: 'stick', qty: 21, bags: 2, packs: 2, left: 19 },
    { item: 'cup', qty: 2, bags: 1, packs: null, left: 0 },
  ]);
  const exact = [{ home: 'a', nickname: 'A', things: [{ item: 'stick', qty: 20 }] }];
  assert.deepEqual(gatherBags(exact, THINGS), [{ item: 'stick', qty: 20, bags: 1, packs: 1, left: 0 }]);
  assert.deepEqual(gatherBags([], THINGS), []);
});
