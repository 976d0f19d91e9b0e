import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { amountFor } from './amount.ts';
import type { Need, Swap } from './need.ts';
import { amountAsWritten, optionsOf, putBack, takeOver } from './options.ts';
import { amountOf } from './serving.ts';
import type { ThingsByKey } from './thing.ts';

const ITEMS = ['sheet', 'note', 'tray', 'lid', 'bowl'];
const THINGS: ThingsByKey = Object.fromEntries(
  ITEMS.map((key, index) => [
    key,
    { key, one: key, many: `${key}s`, traits: [], allergens: [], ...(index > 1 && { places: index * 2 }) },
  ]),
);
const quantity = fc.constantFrom<number | string>(1, 6, 'n', 'n+m', '2*n');
const swap: fc.Arbitrary<Swap> = fc.record(
  {
    item: fc.constantFrom(...ITEMS.slice(1)),
    fit: fc.constantFrom(0.4, 0.8, 1),
    why: fc.constantFrom('', 'it will do'),
    qty: fc.constantFrom('ceil(need/6)', 'need*2', '1', 'n'),
    sets: fc.constantFrom<Record<string, number>>({ n: 12 }, { n: 3, m: 4 }, { m: 1 }),
  },
  { requiredKeys: ['item', 'fit', 'why'], noNullPrototype: true },
);
const need: fc.Arbitrary<Need> = fc.record(
  {
    id: fc.constant('n1'),
    item: fc.constant('sheet'),
    qty: quantity,
    per: fc.constantFrom('home' as const, 'child' as const),
    use: fc.constantFrom('lasting' as const, 'used-up' as const),
    swaps: fc.uniqueArray(swap, { minLength: 1, maxLength: 4, selector: ({ item }) => item }),
    optional: fc.constant(true),
    eaten: fc.constant(true),
  },
  { requiredKeys: ['id', 'item', 'qty', 'per', 'use', 'swaps'], noNullPrototype: true },
);
const dials = fc.record(
  { n: fc.integer({ min: 1, max: 12 }), m: fc.integer({ min: 1, max: 12 }) },
  { noNullPrototype: true },
);
const places = fc.array(fc.nat(3), { minLength: 1, maxLength: 5 });

test('whatever is taken over, one after another, is put back as it was, with its dials', () => {
  fc.assert(
    fc.property(need, dials, places, (before, values, choices) => {
      let now = { need: before, dials: { ...values } };
      for (const choice of choices) {
        const item = now.need.swaps[choice % now.need.swaps.length]!.item;
        const taken = takeOver(now.need, item, now.dials)!;
        assert.equal(taken.need.item, item);
        now = { need: taken.need, dials: { ...now.dials, ...taken.dials } };
      }
      const back = putBack(now.need, now.dials) ?? { need: now.need, dials: {} };
      assert.deepEqual(back.need, before);
      assert.deepEqual({ ...now.dials, ...back.dials }, values);
      const byName = takeOver(now.need, 'sheet', now.dials);
      if (byName) assert.deepEqual(byName.need, before);
    }),
    { numRuns: 1000 },
  );
});

test('a swap that was taken over serves with as many, and sets as much, as it did at a home that used it', () => {
  fc.assert(
    fc.property(need, dials, fc.integer({ min: 1, max: 3 }), fc.nat(3), (before, values, children, choice) => {
      const options = optionsOf(before, THINGS);
      const option = options[1 + (choice % before.swaps.length)]!;
      const atHome = { ...values, ...option.sets };
      const taken = takeOver(before, option.item, values)!;
      const standing = { ...values, ...taken.dials };
      assert.deepEqual(standing, atHome);
      const written = amountFor(amountAsWritten(taken.need, THINGS), children, standing);
      assert.equal(written.ok && written.value, amountOf(option, { need: before, values: atHome, children }));
      // What was written before is a swap now, and serves as it did.
      const former = optionsOf(taken.need, THINGS)[1]!;
      assert.equal(former.item, before.item);
      const dialsOfFormer = { ...standing, ...former.sets };
      assert.deepEqual(dialsOfFormer, values);
      assert.equal(
        amountOf(former, { need: taken.need, values: dialsOfFormer, children }),
        amountOf(options[0]!, { need: before, values, children }),
      );
    }),
    { numRuns: 1000 },
  );
});

test('what is no swap of a need is not taken over, and what was never taken over is not put back', () => {
  const plain: Need = { id: 'a', item: 'sheet', qty: 6, per: 'home', use: 'lasting', swaps: [] };
  assert.equal(takeOver(plain, 'note', {}), null);
  assert.equal(putBack(plain, {}), null);
});
