import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { TermPlan } from '../../core/terms/index.ts';
import { CalcInputError } from './calculation.ts';
import { calcTermPlan } from './terms.ts';

const activity = (id: string, change: object = {}) => ({
  id,
  skills: ['sort'],
  minutes: 10,
  effort: 1,
  themes: ['wheels'],
  ...change,
});
const TERM = {
  slots: ['w1', 'w2'].map((id) => ({ id, minutes: 10, theme: 'wheels', light: false })),
  activities: [activity('ramp', { kind: 'floor' }), activity('post', { skills: ['rhyme'], kind: 'table' })],
  targets: { sort: 1 },
  perSlot: [1, 1],
  repeat: 1,
  rest: 0,
};
const plan = async (change: object) => (await calcTermPlan({ ...TERM, ...change })) as TermPlan;
const refusal = (change: object) =>
  plan(change).then(
    () => 'planned',
    (error: unknown) => (error instanceof CalcInputError ? error.message : assert.fail(String(error))),
  );

test('a plan counts how well things suit, and keeps what is forbidden, ordered and balanced', async () => {
  const [first, second] = (await plan({ fit: { w1: { post: 0.35, ramp: 0.1 } } })).slots;
  assert.deepEqual([first!.activities, second!.activities], [['post'], ['ramp']]);
  assert.equal((await plan({ fit: { w1: { post: 0.35, ramp: 0.1 } } })).score, 10 + 3 * 0.35 + 3 + 2);
  assert.deepEqual((await plan({ forbid: [['w1', 'post']] })).slots[0]!.activities, ['ramp']);
  assert.deepEqual((await plan({ order: [['rhyme', 'sort']] })).slots[0]!.activities, ['post']);
  assert.equal((await plan({ perSlot: [0, 1], balance: { floor: [0, 0] } })).unmet.sort, 1);
});

test('what cannot be planned names the smallest set of rules to loosen, and what is not there is named by its place', async () => {
  assert.match(await refusal({ order: [['pour', 'sort']] }), /^repeat: .+; loosen: \["repeat"\]$/);
  assert.match(await refusal({ balance: { table: [3, 3] } }), /; loosen: \["balance"\]$/);
  assert.match(
    await refusal({ balance: { lap: [1, 1] }, repeat: 2, perSlot: [2, 2] }),
    /; loosen: \["minutes","balance"\]$/,
  );
  assert.match(await refusal({ fit: { w9: {} } }), /^fit\.w9: /);
  assert.match(await refusal({ forbid: [['w1', 'cart']] }), /^forbid\[0\]\[1\]: /);
  for (const change of [
    { fit: { w1: { ramp: 2 } } },
    { balance: { floor: [2, 1] } },
    { forbid: [['w1']] },
    { order: 'sort' },
  ])
    await assert.rejects(() => Promise.resolve(plan(change)));
});
