import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import {
  mergeProgress,
  planTerm,
  planTermRestricted,
  scoreTerm,
  type TermPlan,
  type TermPlanInput,
} from '../core/terms/termPlan.ts';
import { searchTerm } from '../core/terms/termSearch.ts';
import type { LinearSolver } from '../core/terms/index.ts';
import { linearSolver } from './highs.ts';
import { planOnTwoCores } from './planOnTwoCores.ts';
import { assertKeepsRules, largerTerm, isBalanced, mayStand, oddTerm, THEMES } from './termPlan.fixture.ts';

const SKILLS = ['sort', 'rhyme', 'order'];

const inputs: fc.Arbitrary<TermPlanInput> = fc
  .record({
    slots: fc.array(
      fc.record({
        minutes: fc.constantFrom(10, 15, 25),
        theme: fc.constantFrom(...THEMES, null),
        light: fc.boolean(),
        least: fc.constantFrom(undefined, undefined, 0),
      }),
      { maxLength: 3 },
    ),
    activities: fc.array(
      fc.record({
        skills: fc.uniqueArray(fc.constantFrom(...SKILLS), { maxLength: 2 }),
        minutes: fc.constantFrom(5, 8, 12),
        effort: fc.integer({ min: 1, max: 3 }),
        themes: fc.uniqueArray(fc.constantFrom(...THEMES), { maxLength: 2 }),
        after: fc.uniqueArray(fc.integer({ min: 0, max: 3 }), { maxLength: 1 }),
      }),
      { maxLength: 4 },
    ),
    targets: fc.dictionary(fc.constantFrom(...SKILLS), fc.integer({ min: 0, max: 3 })),
    perSlot: fc.constantFrom([0, 1] as const, [0, 2] as const, [1, 2] as const, [2, 3] as const),
    repeat: fc.integer({ min: 0, max: 3 }),
    rest: fc.integer({ min: 0, max: 2 }),
  })
  .map(({ slots, activities, ...rules }) => ({
    ...rules,
    slots: slots.map((slot, index) => ({ ...slot, id: `w${index}` })),
    activities: activities.map(({ after, ...activity }, index) => ({
      ...activity,
      id: `a${index}`,
      after: after.filter((other) => other !== index && other < activities.length).map((other) => `a${other}`),
    })),
  }));

/** Tries every choice of activities for every slot. */
function bestByTrying(input: TermPlanInput): number | null {
  const subsets = input.activities.reduce<string[][]>(
    (sofar, { id }) => [...sofar, ...sofar.map((set) => [...set, id])],
    [[]],
  );
  let best: number | null = null;
  const visit = (chosen: string[][]): void => {
    if (chosen.length < input.slots.length) {
      for (const set of subsets) if (mayStand(input, chosen, set)) visit([...chosen, set]);
      return;
    }
    if (!isBalanced(input, chosen)) return;
    const plan = input.slots.map(({ id }, index) => ({ id, activities: chosen[index]! }));
    const { score } = scoreTerm(input, plan);
    if (best === null || score > best) best = score;
  };
  visit([]);
  return best;
}

test('term plans score as well as trying everything, keep every rule, and prove it', async () => {
  const solver = await linearSolver({ seconds: 20, gap: 0 });
  fc.assert(
    fc.property(inputs, (input) => {
      const plan = planTerm(input, solver);
      const best = bestByTrying(input);
      assert.equal(plan.ok ? plan.value.score : null, best);
      if (!plan.ok) return;
      assert.equal(plan.value.bound, plan.value.score);
      assertKeepsRules(input, plan.value.slots);
    }),
    { numRuns: 150 },
  );
});

/** The same terms under further rules: how well things suit, what is kept out, skills in an order, kinds in balance. */
const ruled: fc.Arbitrary<TermPlanInput> = fc
  .record({
    input: inputs,
    fits: fc.array(fc.constantFrom(0, 0.25, 0.35, 1), { minLength: 16, maxLength: 16 }),
    kinds: fc.array(fc.constantFrom('table', 'floor'), { minLength: 8, maxLength: 8 }),
    out: fc.array(fc.tuple(fc.nat(3), fc.nat(7)), { maxLength: 3 }),
    order: fc.option(fc.constantFrom([SKILLS[0]!, SKILLS[1]!] as const, [SKILLS[1]!, SKILLS[0]!] as const)),
    balance: fc.option(fc.tuple(fc.integer({ min: 0, max: 2 }), fc.integer({ min: 0, max: 2 }))),
  })
  .map(({ input, fits, kinds, out, order, balance }) => ({
    ...input,
    activities: input.activities.map((activity, index) => ({ ...activity, kind: kinds[index % 8] })),
    fit: Object.fromEntries(
      input.slots
        .filter((_, index) => index % 3 !== 2)
        .map(({ id }, at) => [
          id,
          Object.fromEntries(
            input.activities
              .filter((_, index) => index % 4 !== 3)
              .map((activity, index) => [activity.id, fits[(at * 5 + index) % 16]!]),
          ),
        ]),
    ),
    forbid: out.flatMap(([slot, activity]) => {
      const [where, what] = [input.slots[slot], input.activities[activity]];
      return where && what ? [[where.id, what.id] as const] : [];
    }),
    ...(order && { order: [order] }),
    ...(balance && { balance: { table: [balance[0], balance[0] + balance[1]] as const } }),
  }));

test('under further rules, both ways score as well as trying everything, and keep them all', async () => {
  const solver = await linearSolver({ seconds: 20, gap: 0 });
  fc.assert(
    fc.property(ruled, (input) => {
      const best = bestByTrying(input);
      const plan = planTerm(input, solver);
      const narrowed = planTermRestricted(input, solver);
      assert.equal(plan.ok ? plan.value.score : null, best);
      assert.equal(narrowed?.score ?? null, best);
      if (!plan.ok) return;
      assert.ok(plan.value.bound - plan.value.score < 1e-5, `${plan.value.bound}`);
      for (const { slots } of [plan.value, narrowed!]) assertKeepsRules(input, slots);
    }),
    { numRuns: 120 },
  );
});

test('what is to be loosened is the smallest set that helps', async () => {
  const solver = await linearSolver({ seconds: 20, gap: 0 });
  const activities = ['ramp', 'tracks'].map((id) => ({
    id,
    skills: ['order'],
    minutes: 10,
    effort: 2,
    themes: [],
    kind: 'floor',
  }));
  const slots = ['w1', 'w2'].map((id) => ({ id, minutes: 10, theme: null }));
  const base = { slots, activities, targets: {}, perSlot: [1, 1] as const, repeat: 1, rest: 0 };
  const loosened = (rules: Partial<TermPlanInput>) => {
    const plan = planTerm({ ...base, ...rules }, solver);
    return plan.ok ? 'fits' : plan.problem.code === 'nothing-fits' ? plan.problem.loosen.join() : plan.problem.code;
  };
  assert.equal(loosened({}), 'fits');
  assert.equal(
    loosened({
      forbid: [
        ['w1', 'ramp'],
        ['w1', 'tracks'],
      ],
    }),
    'forbid',
  );
  assert.equal(loosened({ order: [['count', 'order']] }), 'order');
  assert.equal(loosened({ balance: { floor: [0, 1] } }), 'balance');
  assert.equal(
    loosened({ balance: { table: [1, 2] }, slots: [...slots, { id: 'w3', minutes: 5, theme: null }] }),
    'balance,perSlot',
  );
});

test('planned the narrowed way, terms score as well as by trying everything, and prove it', async () => {
  const solver = await linearSolver({ seconds: 20, gap: 0 });
  fc.assert(
    fc.property(inputs, (input) => {
      const plan = planTermRestricted(input, solver);
      assert.equal(plan ? plan.score : null, bestByTrying(input));
      if (!plan) return;
      assert.equal(plan.bound, plan.score);
      assertKeepsRules(input, plan.slots);
    }),
    { numRuns: 100 },
  );
});

test('a search keeps every rule and every pin, is the same for the same seed, and grows no worse with effort', () => {
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const input = largerTerm(seed, { slots: 8, activities: 18 });
    const found = searchTerm(input, { seed })!;
    assertKeepsRules(input, found);
    assert.deepEqual(searchTerm(input, { seed }), found);
    const isOpen = (_: number, activity: number) => activity % 2 === 0;
    const narrow = searchTerm(input, { seed, isOpen });
    for (const { id, activities } of narrow ?? [])
      for (const name of activities)
        assert.ok(Number(name.slice(1)) % 2 === 0 || input.pinned![id]?.includes(name), `${name} is closed`);
    assert.ok(scoreTerm(input, searchTerm(input, { seed, enough: 1 })!).score <= scoreTerm(input, found).score);
  }
});

test('both ways of planning, alone and on two cores, come to the same score', async () => {
  const solver = await linearSolver({ seconds: 20, gap: 0 });
  for (const seed of [11, 12, 13]) {
    const input = largerTerm(seed, { slots: 9, activities: 24 });
    const straight = planTerm(input, solver);
    const narrowed = planTermRestricted(input, solver)!;
    const both = await planOnTwoCores(input, { seconds: 20, gap: 0 });
    assert.ok(straight.ok && both.ok);
    for (const plan of [straight.value, narrowed, both.value]) {
      assertKeepsRules(input, plan.slots);
      assert.deepEqual([plan.score, plan.bound], [straight.value.score, straight.value.score]);
      assert.equal(scoreTerm(input, plan.slots).score, plan.score);
    }
  }
});

test('the two ways, each by its own model, prove the same optimum and agree where nothing fits', async () => {
  const solver = await linearSolver({ seconds: 20, gap: 0 });
  let fitting = 0;
  for (let seed = 1; seed <= 30; seed++) {
    const input = oddTerm(seed);
    const straight = planTerm(input, solver);
    const narrowed = planTermRestricted(input, solver);
    assert.equal(narrowed !== null, straight.ok, `seed ${seed}`);
    if (!straight.ok || !narrowed) continue;
    fitting++;
    assertKeepsRules(input, narrowed.slots);
    assert.equal(scoreTerm(input, narrowed.slots).score, narrowed.score);
    assert.deepEqual(
      [narrowed.score, narrowed.bound, straight.value.bound],
      [straight.value.score, straight.value.score, straight.value.score],
      `seed ${seed}`,
    );
  }
  assert.ok(fitting > 20, `${fitting} fit`);
});

test('what is learned keeps the better plan and the lowest bound', () => {
  const plan = (score: number, bound: number): TermPlan => ({ slots: [], score, bound, unmet: {} });
  assert.equal(mergeProgress(null, { bound: 40 }), null);
  assert.deepEqual(mergeProgress(null, { plan: plan(30, Infinity), bound: 40.5 }), plan(30, 40));
  assert.deepEqual(mergeProgress(plan(30, 40), { plan: plan(28, 36), bound: null }), plan(30, 36));
  assert.deepEqual(mergeProgress(plan(30, 36), { plan: plan(34, Infinity), bound: null }), plan(34, 36));
  assert.deepEqual(mergeProgress(plan(34, 36), { bound: 12 }), plan(34, 34));
});

test('where the time is over before any plan was found, that is said, and no rule is blamed', () => {
  const stopped: LinearSolver = { solve: () => 'out-of-time', relax: () => null };
  const activity = { id: 'ramp', skills: ['order'], minutes: 10, effort: 2, themes: [] };
  const slots = [{ id: 'w1', minutes: 5, theme: null }];
  const input = { slots, activities: [activity], targets: {}, perSlot: [1, 1] as const, repeat: 1, rest: 0 };
  assert.deepEqual(planTerm(input, stopped), { ok: false, problem: { code: 'out-of-time' } });
  assert.equal(planTermRestricted(input, stopped), null);
});

test('where nothing fits, the rule to loosen is one that helps', async () => {
  const solver = await linearSolver({ seconds: 20, gap: 0 });
  const activity = { id: 'ramp', skills: ['order'], minutes: 10, effort: 2, themes: [] };
  const slots = ['w1', 'w2', 'w3'].map((id) => ({ id, minutes: 10, theme: null }));
  const base = { slots, activities: [activity], targets: {}, perSlot: [1, 1] as const };
  const loosened = (rules: { repeat: number; rest: number }) => {
    const plan = planTerm({ ...base, ...rules }, solver);
    return plan.ok ? 'fits' : plan.problem.code === 'nothing-fits' ? plan.problem.loosen.join() : plan.problem.code;
  };
  assert.equal(loosened({ repeat: 3, rest: 0 }), 'fits');
  assert.equal(loosened({ repeat: 3, rest: 2 }), 'rest');
  assert.equal(loosened({ repeat: 1, rest: 0 }), 'repeat');
  assert.equal(loosened({ repeat: 1, rest: 1 }), 'perSlot');
});
