import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { evaluateExpression, evaluateQuantity, roundUp } from './expression.ts';

const value = (source: string, scope: Record<string, number | string> = {}) => {
  const evaluation = evaluateExpression(source, scope);
  assert.ok(evaluation.ok, `${source}: ${JSON.stringify(evaluation)}`);
  return evaluation.value;
};
const problem = (source: string, scope: Record<string, number | string> = {}) => {
  const evaluation = evaluateQuantity(source, scope);
  assert.ok(!evaluation.ok, `${source} has a value`);
  return evaluation.problem;
};

test('arithmetic binds as it is taught, and dials stand for their values', () => {
  assert.equal(value('2+3*4'), 14);
  assert.equal(value('(2+3)*4'), 20);
  assert.equal(value('10-4-3'), 3);
  assert.equal(value('8/4/2'), 1);
  assert.equal(value('-n+12', { n: 5 }), 7);
  assert.equal(value('max(2, n, 4) + min(9, 7)', { n: 3 }), 11);
});

test('sums by ones agree with adding one after the other', () => {
  fc.assert(
    fc.property(fc.integer({ min: -20, max: 60 }), fc.integer({ min: -20, max: 60 }), (from, to) => {
      let slow = 0;
      for (let number = from; number <= to; number++) slow += number;
      assert.equal(value('sum(a,b)', { a: from, b: to }), slow);
    }),
  );
});

test('rounding up forgives the last bits of binary fractions', () => {
  assert.equal(value('ceil(0.1*30)'), 3);
  assert.equal(value('ceil(0.1*31)'), 4);
  assert.equal(value('floor(0.3/0.1)'), 3);
  assert.equal(value('round(2.5)'), 3);
  assert.equal(value('round(-2.5)'), -2);
  assert.equal(roundUp(1e9 + 0.5), 1e9 + 1);
});

test('random sums of dials agree with the language itself', () => {
  const tree: fc.Arbitrary<string> = fc.letrec<{ sum: string; leaf: string }>((tie) => ({
    leaf: fc.oneof(fc.integer({ min: 0, max: 9 }).map(String), fc.constantFrom('n', 'k')),
    sum: fc.oneof(
      { depthSize: 'small' },
      tie('leaf'),
      fc
        .tuple(tie('sum'), fc.constantFrom('+', '-', '*'), tie('sum'))
        .map(([left, sign, right]) => `(${left} ${sign} ${right})`),
    ),
  })).sum;
  fc.assert(
    fc.property(tree, fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 9 }), (source, n, k) => {
      const expected = new Function('n', 'k', `return ${source}`) as (n: number, k: number) => number;
      assert.equal(value(source, { n, k }), expected(n, k));
    }),
  );
});

test('what cannot be evaluated names the piece at fault', () => {
  assert.deepEqual(problem('n/(k-2)', { n: 1, k: 2 }), { code: 'division-by-zero', at: 'n/(k-2)' });
  assert.deepEqual(problem('2*boxs', { boxes: 3 }), { code: 'unknown-name', at: 'boxs', known: ['boxes'] });
  assert.deepEqual(problem('n-5', { n: 3 }), { code: 'negative', at: 'n-5', value: -2 });
  assert.equal(problem('2 +* 3').code, 'unreadable');
  assert.equal(problem('').code, 'unreadable');
  assert.equal(problem('colour*2', { colour: 'red' }).code, 'not-a-number');
  assert.equal(problem('sqrt(4)').code, 'unknown-function');
  assert.equal(problem('sum(4)').code, 'wrong-arguments');
});

test('nothing but arithmetic is allowed', () => {
  for (const source of [
    'n.constructor',
    'this',
    'n[0]',
    '"a"',
    'n ? 1 : 2',
    'n && 2',
    '[1]',
    'a = 2',
    'constructor',
    'toString()',
    '1; 2',
    'n ** 2',
    '`x`',
    '2 % 3',
  ]) {
    assert.equal(evaluateExpression(source, { n: 1, a: 1 }).ok, false, source);
  }
});
