import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { totalMaterials, type MaterialsInput } from './materials.ts';

const need = fc.record({
  item: fc.constantFrom('lid', 'paper', 'peg'),
  qty: fc.integer({ min: 0, max: 30 }),
  per: fc.constantFrom('home' as const, 'child' as const),
  use: fc.constantFrom('lasting' as const, 'used-up' as const),
});
const inputs: fc.Arbitrary<MaterialsInput> = fc.record({
  children: fc.integer({ min: 0, max: 4 }),
  segments: fc
    .array(fc.array(need, { maxLength: 5 }), { maxLength: 5 })
    .map((lists) => lists.map((needs, index) => ({ id: `s${index}`, dials: {}, needs }))),
});

/** Adds item by item, walking through the whole session for each. */
function totalsByWalking({ children, segments }: MaterialsInput): Record<string, number> {
  const items = new Set(segments.flatMap(({ needs }) => needs.map(({ item }) => item)));
  const times = (entry: { per: string; qty: number | string }) =>
    Number(entry.qty) * (entry.per === 'child' ? children : 1);
  return Object.fromEntries(
    [...items].map((item) => {
      let usedUp = 0;
      let largest = 0;
      for (const { needs } of segments) {
        const here = needs.filter((entry) => entry.item === item);
        usedUp += here.filter(({ use }) => use === 'used-up').reduce((sum, entry) => sum + times(entry), 0);
        largest = Math.max(
          largest,
          here.filter(({ use }) => use === 'lasting').reduce((sum, entry) => sum + times(entry), 0),
        );
      }
      return [item, usedUp + largest];
    }),
  );
}

test('totals agree with walking through the session for every item', () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const totals = totalMaterials(input);
      assert.ok(totals.ok);
      assert.deepEqual(Object.fromEntries(totals.value.map(({ item, qty }) => [item, qty])), totalsByWalking(input));
      assert.deepEqual(
        totals.value.map(({ item }) => item),
        totals.value.map(({ item }) => item).sort(),
      );
    }),
  );
});

test('parts of things add up before they are rounded up once', () => {
  const half = { item: 'roll', qty: 0.5, per: 'home', use: 'used-up' } as const;
  const totals = totalMaterials({
    children: 1,
    segments: [
      { id: 'a', dials: {}, needs: [half] },
      { id: 'b', dials: {}, needs: [half, half] },
    ],
  });
  assert.deepEqual(totals, { ok: true, value: [{ item: 'roll', qty: 2, segments: ['a', 'b'] }] });
});

test('a quantity without a value names its segment and need', () => {
  const bad = { item: 'lid', qty: 'n/(k-2)', per: 'home', use: 'lasting' } as const;
  const totals = totalMaterials({ children: 1, segments: [{ id: 'a', dials: { n: 4, k: 2 }, needs: [bad] }] });
  assert.deepEqual(totals, {
    ok: false,
    problem: { segment: 0, need: 0, problem: { code: 'division-by-zero', at: 'n/(k-2)' } },
  });
});
