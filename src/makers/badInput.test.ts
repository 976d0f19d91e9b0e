import { describeMakerProblem } from '../messages/makers.ts';
import { authorSpeech } from '../messages/speeches.ts';
import { type MakerValues, USUAL_SETTINGS } from '../core/session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { runInNewContext } from 'node:vm';
import { giveChange, payingWays, sortPrices } from '../core/numbers/index.ts';
import { firstValues, workOut } from '../core/makers/index.ts';
import { findMaker } from './index.ts';

const refusal = (id: string, values: MakerValues): string => {
  const maker = findMaker(id)!;
  const answer = workOut(
    maker,
    { ...firstValues(maker), ...values },
    { settings: USUAL_SETTINGS, speech: authorSpeech },
  );
  return answer.ok ? 'made' : describeMakerProblem(answer.problem);
};

/** Runs synchronous work and breaks it off after a time that only unbounded work reaches. */
const bounded = <Value>(work: () => Value, milliseconds = 30_000): Value =>
  runInNewContext('work()', { work }, { timeout: milliseconds }) as Value;

const endless = (): never => {
  for (;;);
};

test('bad input is refused with the range, and its work is bounded', () => {
  assert.throws(() => bounded(endless, 10), /timed out/);
  bounded(() => {
    assert.match(refusal('money-table', { purse: '0 5' }), /takes whole numbers from 1 to 500, so “0” was not taken/);
    assert.match(refusal('money-table', { purse: '1 '.repeat(140) }), /at most 60 numbers, not 140/);
    assert.match(refusal('money-table', { purse: '1'.repeat(1_000_000) }), /at most 300 characters/);
    assert.match(refusal('money-table', { prices: 'three' }), /so “three” was not taken/);
    assert.match(refusal('money-table', { variant: 'constructor' }), /so “constructor” was not taken/);
    assert.equal(
      refusal('pair-cards', { total: 10_000 }),
      '“total” takes a whole number from 1 to 12, so “10000” was not taken.',
    );
    assert.equal(
      refusal('pattern-row', { length: 100_000 }),
      '“pieces in the row” takes a whole number from 2 to 24, so “100000” was not taken.',
    );
    assert.equal(
      refusal('number-pots', { to: 'many' }),
      '“to” takes a whole number from 1 to 20, so “many” was not taken.',
    );
    assert.match(refusal('pattern-row', { unit: 'red red red' }), /at least two different pieces/);
    assert.match(refusal('pattern-row', { length: 4 }), /so nobody can see that it repeats; take at least 6/);
    assert.match(refusal('volumes', { container: 50, shares: '1 20' }), /less than a teaspoon/);
  });
});

test('the widest purse and till that are taken are counted in bounded work, however many coins they hold', () => {
  const coins = Object.fromEntries(Array.from({ length: 100 }, (_, index) => [index + 1, 100_000]));
  const { change, coins: given } = bounded(() => giveChange(1, 100_000, coins));
  assert.equal(change, 99_999);
  assert.deepEqual(given, [...new Array<number>(999).fill(100), 99]);
  assert.deepEqual(bounded(() => sortPrices([100_000, 99_999], { 3: 100_000, 7: 1 }, coins)).exact, [99_999, 100_000]);
  // Handfuls of ones and twos that make 10,000: from none to 5,000 twos.
  assert.equal(bounded(() => payingWays({ 1: 100_000, 2: 100_000 }, 10_000, 20)).ways, 5001);
});
