import { describeMeasure } from '../../messages/measures.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { giveChange, leastTender, sortPrices } from './change.ts';
import { payingWays, type Coins } from './coins.ts';
import { shareVolumes } from './measures.ts';
import { pairCards } from './pairs.ts';
import { patternRow } from './pattern.ts';
import { markedStrips, numberPots } from './pots.ts';

const purses: fc.Arbitrary<Coins> = fc.dictionary(
  fc.integer({ min: 1, max: 12 }).map(String),
  fc.integer({ min: 0, max: 4 }),
  { maxKeys: 4 },
);

/** Every handful of a purse, largest coins first. */
function handfuls(purse: Coins): number[][] {
  return Object.entries(purse)
    .map(([worth, count]) => [Number(worth), count] as const)
    .sort(([left], [right]) => right - left)
    .reduce<number[][]>(
      (sofar, [worth, count]) =>
        sofar.flatMap((handful) =>
          Array.from({ length: count + 1 }, (_, used) => [...handful, ...new Array<number>(used).fill(worth)]),
        ),
      [[]],
    );
}
const worthOf = (handful: readonly number[]) => handful.reduce((sum, coin) => sum + coin, 0);

test('ways to pay, the fewest coins and the list agree with trying every handful', () => {
  fc.assert(
    fc.property(purses, fc.integer({ min: 0, max: 40 }), (purse, pay) => {
      const exact = handfuls(purse).filter((handful) => worthOf(handful) === pay);
      const answer = payingWays(purse, pay, 1000);
      assert.equal(answer.ways, exact.length);
      assert.equal(
        answer.fewest?.length ?? null,
        exact.length === 0 ? null : Math.min(...exact.map(({ length }) => length)),
      );
      const written = (list: readonly (readonly number[])[]) => list.map((handful) => handful.join(' ')).sort();
      assert.deepEqual(written(answer.list), written(exact));
      assert.deepEqual(
        answer.list.map(({ length }) => length),
        answer.list.map(({ length }) => length).sort((left, right) => left - right),
      );
      if (answer.fewest) assert.deepEqual(answer.list[0], answer.fewest);
    }),
    { numRuns: 600 },
  );
});

test('taking the largest coin first can be wrong', () => {
  assert.deepEqual(payingWays({ 5: 1, 2: 3 }, 6, 5).fewest, [2, 2, 2]);
});

test('ways beyond what a double can hold are counted exactly', () => {
  const purse = Object.fromEntries(Array.from({ length: 60 }, (_, index) => [String(index + 1), 500]));
  const { ways } = payingWays(purse, 500, 0);
  const table = new Array<bigint>(501).fill(0n);
  table[0] = 1n;
  for (let coin = 1; coin <= 60; coin++) for (let sum = coin; sum <= 500; sum++) table[sum]! += table[sum - coin]!;
  assert.equal(BigInt(ways), table[500]);
  assert.equal(typeof ways, 'bigint');
});

test('prices are sorted by trying every handful and every way to give change', () => {
  fc.assert(
    fc.property(
      purses,
      purses,
      fc.uniqueArray(fc.integer({ min: 0, max: 40 }), { maxLength: 6 }),
      (purse, till, prices) => {
        const paid = handfuls(purse);
        const changes = new Set(handfuls(till).map(worthOf));
        const expected = { exact: [] as number[], withChange: [] as number[], stuck: [] as number[] };
        for (const price of [...prices].sort((left, right) => left - right)) {
          const isExact = paid.some((handful) => worthOf(handful) === price);
          const needsAll = (handful: number[]) => handful.every((coin) => worthOf(handful) - coin < price);
          const isChanged = paid.some(
            (handful) => worthOf(handful) > price && needsAll(handful) && changes.has(worthOf(handful) - price),
          );
          expected[isExact ? 'exact' : isChanged ? 'withChange' : 'stuck'].push(price);
          const tenders = paid
            .filter((handful) => needsAll(handful) && changes.has(worthOf(handful) - price))
            .map(worthOf)
            .filter((sum) => sum > price);
          assert.equal(leastTender(price, purse, till), tenders.length > 0 ? Math.min(...tenders) : null);
        }
        assert.deepEqual(sortPrices(prices, purse, till), expected);
      },
    ),
    { numRuns: 600 },
  );
});

test('hops count up from price to tender by way of tens', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 300 }), (left, right) => {
      const [price, tender] = left <= right ? [left, right] : [right, left];
      const { hops, change } = giveChange(price, tender, {});
      assert.equal(
        hops.reduce((sum, [from, to]) => sum + to - from, 0),
        change,
      );
      hops.forEach(([from, to], index) => {
        assert.ok(from < to);
        assert.equal(from, hops[index - 1]?.[1] ?? price);
      });
      hops.slice(0, -1).forEach(([, to]) => assert.equal(to % 10, 0));
    }),
  );
  assert.deepEqual(giveChange(32, 37, {}).hops, [[32, 37]]);
  assert.deepEqual(giveChange(40, 50, {}).hops, [[40, 50]]);
});

test('pots, strips and pairs agree with laying them out', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 0, max: 20 }), (start, more) => {
      const numbers = Array.from({ length: more + 1 }, (_, index) => start + index);
      assert.deepEqual(numberPots(start, start + more), { counters: worthOf(numbers), pots: numbers.length });
      assert.deepEqual(markedStrips(start, start + more), { strips: numbers.length, marks: worthOf(numbers) });
      const ordered = pairCards({ max: more, ordered: true });
      assert.equal(ordered.count, ((more + 1) * (more + 2)) / 2);
      assert.ok(ordered.pairs.every(([left, right]) => left + right <= more));
      const unordered = pairCards({ max: more, ordered: false, total: start });
      assert.ok(unordered.pairs.every(([left, right]) => left <= right && right <= more && left + right === start));
    }),
  );
});

test('a pattern row says what comes next and what is lacking', () => {
  assert.deepEqual(patternRow({ unit: ['a', 'b'], length: 0, have: {} }), { row: [], next: 'a', uses: {}, short: {} });
  const row = patternRow({ unit: ['a', 'b', 'b'], length: 7, have: { a: 3, b: 2 } });
  assert.deepEqual(row, { row: ['a', 'b', 'b', 'a', 'b', 'b', 'a'], next: 'b', uses: { a: 3, b: 4 }, short: { b: 2 } });
});

test('volumes are shared to five millilitres and named as a kitchen measures', () => {
  const shared = shareVolumes({ container: 750, parts: [1, 2], headroom: 0.1, spoons: [5, 15], cup: 240 });
  assert.deepEqual(shared.ml, [225, 450]);
  assert.deepEqual(
    shareVolumes({ container: 480, parts: [1, 1], headroom: 0, spoons: [5, 15], cup: 240 }).measures.map(
      describeMeasure,
    ),
    ['1 cup', '1 cup'],
  );
  assert.deepEqual(
    shareVolumes({ container: 30, parts: [1, 1], headroom: 0, spoons: [5, 15], cup: 240 }).measures.map(
      describeMeasure,
    ),
    ['1 tablespoon', '1 tablespoon'],
  );
});

test('shares go into their container: equal ones stay equal, and none is 5 ml off or more', () => {
  const of = (container: number, parts: number[], headroom = 0) =>
    shareVolumes({ container, parts, headroom, spoons: [5, 15], cup: 240 }).ml;
  assert.deepEqual(
    [of(100, [1, 1, 1]), of(100, [1, 1, 1], 0.1), of(1000, [1, 1, 1])],
    [
      [30, 30, 30],
      [30, 30, 30],
      [330, 330, 330],
    ],
  );
  for (let container = 50; container <= 1000; container += 5)
    for (const parts of [
      [1, 1, 1],
      [1, 2],
      [1, 1, 2],
      [2, 3, 2],
      [1, 1, 1, 1, 1, 1],
    ])
      for (const headroom of [0, 0.1, 0.25]) {
        const ml = of(container, parts, headroom);
        assert.ok(ml.reduce((sum, share) => sum + share, 0) <= container, `${container} ${parts}`);
        for (const [index, part] of parts.entries()) {
          assert.equal(ml[index], ml[parts.indexOf(part)]);
          const exact = (container * (1 - headroom) * part) / parts.reduce((sum, other) => sum + other, 0);
          assert.ok(Math.abs(ml[index]! - exact) < 5, `${container} ${parts} ${headroom}`);
        }
      }
});
