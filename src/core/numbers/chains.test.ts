import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { longestChain } from './chains.ts';

type Pair = readonly [number, number];
const upTo = (last: number) => Array.from({ length: last + 1 }, (_, index) => index);
const ordered = (total: number): Pair[] =>
  upTo(total).flatMap((one) => upTo(total - one).map((other) => [one, other] as const));
const once = (total: number) => ordered(total).filter(([one, other]) => one <= other);

/** Tries every card after every card. */
function slowLongest(cards: readonly Pair[]): number {
  const from = (end: number | null, left: readonly Pair[]): number =>
    Math.max(
      0,
      ...left.flatMap(([one, other], at) => {
        const rest = left.toSpliced(at, 1);
        return [
          ...(end === null || one === end ? [1 + from(other, rest)] : []),
          ...(end === null || other === end ? [1 + from(one, rest)] : []),
        ];
      }),
    );
  return from(null, cards);
}

test('all cards of totals to 9 with either part first close in one ring; each pair once needs three chains', () => {
  assert.equal(ordered(9).length, 55);
  assert.deepEqual(longestChain(ordered(9)), { longest: 55, isRing: true, chains: 1 });
  assert.equal(once(9).length, 30);
  assert.equal(longestChain(once(9)).chains, 3);
  assert.deepEqual(longestChain([]), { longest: 0, isRing: false, chains: 0 });
  assert.deepEqual(longestChain([[2, 2]]), { longest: 1, isRing: true, chains: 1 });
  assert.deepEqual(
    longestChain([
      [0, 5],
      [1, 4],
      [2, 3],
    ]),
    { longest: 1, isRing: false, chains: 3 },
  );
});

test('the longest chain is as long as the longest that trying everything finds', () => {
  const end = fc.integer({ min: 0, max: 5 });
  fc.assert(
    fc.property(fc.array(fc.tuple(end, end), { maxLength: 7 }), (cards) => {
      assert.equal(longestChain(cards).longest, slowLongest(cards), JSON.stringify(cards));
    }),
    { numRuns: 400 },
  );
});

test('every set of cards up to a total of 12 answers quickly', () => {
  for (const total of upTo(12)) {
    const { longest, chains } = longestChain(once(total));
    assert.ok(longest <= once(total).length && chains >= 1);
    assert.equal(longestChain(ordered(total)).longest, ordered(total).length);
  }
});

test('with more cards than are tried in every order, too, the longest chain is the longest', () => {
  const end = fc.integer({ min: 0, max: 6 });
  const pairs = fc.uniqueArray(fc.tuple(end, end), {
    minLength: 10,
    maxLength: 11,
    selector: ([one, other]) => [one, other].sort().join(),
  });
  fc.assert(
    fc.property(pairs, (cards) => {
      assert.equal(longestChain(cards).longest, slowLongest(cards), JSON.stringify(cards));
    }),
    { numRuns: 60 },
  );
});
