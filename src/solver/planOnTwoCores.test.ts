import assert from 'node:assert/strict';
import { test } from 'node:test';
import { headStartMs, strategiesFor } from '../core/terms/index.ts';
import { planInThread, planOnTwoCores } from './planOnTwoCores.ts';
import { isTold, makeSignal, tell } from './signal.ts';
import { assertKeepsRules, largerTerm } from './termPlan.fixture.ts';

const LONG_MS = 60_000;

test('small terms are planned one way, larger ones by two: the second begins later unless the term is large', () => {
  const sized = (slots: number, activities: number) => largerTerm(11, { slots, activities });
  assert.deepEqual(strategiesFor(sized(4, 12)), ['full']);
  assert.deepEqual(strategiesFor(sized(12, 40)), ['restricted', 'full']);
  assert.deepEqual(strategiesFor(sized(36, 120)), ['full', 'restricted']);
  assert.ok(headStartMs(sized(12, 40)) > 0);
  assert.equal(headStartMs(sized(36, 120)), 0);
});

test('a second thread plans by itself, tells when it has proved its plan, and stops when told to', async () => {
  const limits = { seconds: 20, gap: 0 };
  const input = largerTerm(11, { slots: 6, activities: 18 });
  const signal = makeSignal();
  const planned = await planInThread({ input, limits, way: 'restricted', signal, waitMs: 0 }).planned;
  assert.ok(planned?.ok);
  assertKeepsRules(input, planned.value.slots);
  assert.deepEqual([planned.value.score, isTold(signal, 'done')], [planned.value.bound, true]);

  const stopped = makeSignal();
  const second = planInThread({ input, limits, way: 'full', signal: stopped, waitMs: LONG_MS });
  tell(stopped, 'done');
  assert.equal(await second.planned, null);
});

test(
  'a second thread begins as soon as it is told to, before or while it waits',
  { timeout: LONG_MS / 2 },
  async () => {
    const input = largerTerm(11, { slots: 6, activities: 18 });
    const start = (signal: Int32Array) =>
      planInThread({ input, limits: { seconds: 20, gap: 0 }, way: 'full', signal, waitMs: LONG_MS });
    const early = makeSignal();
    tell(early, 'begin');
    const first = await start(early).planned;
    const late = makeSignal();
    const waiting = start(late);
    tell(late, 'begin');
    const second = await waiting.planned;
    assert.ok(first?.ok && second?.ok);
    assert.deepEqual([second.value.score, second.value.bound], [first.value.score, first.value.score]);
  },
);

test('on two cores, a term that cannot be filled is refused with the rule to loosen', async () => {
  const input = largerTerm(12, { slots: 10, activities: 24 });
  const planned = await planOnTwoCores({ ...input, perSlot: [12, 20] }, { seconds: 20, gap: 0 });
  assert.deepEqual(planned, { ok: false, problem: { code: 'nothing-fits', loosen: ['perSlot'] } });
});
