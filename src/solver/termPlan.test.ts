import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { planTerm, scoreTerm, type TermPlanInput } from '../core/terms/termPlan.ts';
import { linearSolver } from './highs.ts';

const SKILLS = ['sort', 'rhyme', 'order'];
const THEMES = ['wheels', 'bridges'];

const inputs: fc.Arbitrary<TermPlanInput> = fc
  .record({
    slots: fc.array(
      fc.record({ minutes: fc.constantFrom(10, 15, 25), theme: fc.constantFrom(...THEMES, null), light: fc.boolean() }),
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
    const plan = input.slots.map(({ id }, index) => ({ id, activities: chosen[index]! }));
    const { score } = scoreTerm(input, plan);
    if (best === null || score > best) best = score;
  };
  visit([]);
  return best;
}

function mayStand(input: TermPlanInput, before: readonly string[][], set: readonly string[]): boolean {
  const at = before.length;
  const slot = input.slots[at]!;
  const chosen = set.map((id) => input.activities.find((activity) => activity.id === id)!);
  if (set.length < input.perSlot[0] || set.length > input.perSlot[1]) return false;
  if (chosen.reduce((sum, { minutes }) => sum + minutes, 0) > slot.minutes) return false;
  if (slot.light && chosen.some(({ effort }) => effort === 3)) return false;
  return chosen.every(({ id, after = [] }) => {
    const uses = before.flatMap((earlier, index) => (earlier.includes(id) ? [index] : []));
    if (uses.length + 1 > input.repeat) return false;
    if (uses.some((index) => at - index - 1 < input.rest)) return false;
    return after.every((other) => before.some((earlier) => earlier.includes(other)));
  });
}

test('term plans score as well as trying everything, keep every rule, and prove it', async () => {
  const solve = await linearSolver({ seconds: 20, gap: 0 });
  fc.assert(
    fc.property(inputs, (input) => {
      const plan = planTerm(input, solve);
      const best = bestByTrying(input);
      assert.equal(plan.ok ? plan.value.score : null, best);
      if (!plan.ok) return;
      assert.equal(plan.value.bound, plan.value.score);
      plan.value.slots.forEach(({ activities }, at) =>
        assert.ok(
          mayStand(
            input,
            plan.value.slots.slice(0, at).map((slot) => [...slot.activities]),
            activities,
          ),
        ),
      );
    }),
    { numRuns: 150 },
  );
});

test('where nothing fits, the rule to loosen is one that helps', async () => {
  const solve = await linearSolver({ seconds: 20, gap: 0 });
  const activity = { id: 'ramp', skills: ['order'], minutes: 10, effort: 2, themes: [] };
  const slots = ['w1', 'w2', 'w3'].map((id) => ({ id, minutes: 10, theme: null }));
  const base = { slots, activities: [activity], targets: {}, perSlot: [1, 1] as const };
  const loosened = (rules: { repeat: number; rest: number }) => {
    const plan = planTerm({ ...base, ...rules }, solve);
    return plan.ok ? 'fits' : plan.problem.loosen;
  };
  assert.equal(loosened({ repeat: 3, rest: 0 }), 'fits');
  assert.equal(loosened({ repeat: 3, rest: 2 }), 'rest');
  assert.equal(loosened({ repeat: 1, rest: 0 }), 'repeat');
  assert.equal(loosened({ repeat: 1, rest: 1 }), 'perSlot');
});
