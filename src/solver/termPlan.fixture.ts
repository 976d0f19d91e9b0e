import assert from 'node:assert/strict';
import { seededChance } from '../core/chance.ts';
import type { TermPlan, TermPlanInput } from '../core/terms/index.ts';

export const THEMES = ['wheels', 'bridges'];

/** Whether a set of activities keeps every rule in the slot that comes after those. */
export function mayStand(input: TermPlanInput, before: readonly string[][], set: readonly string[]): boolean {
  const at = before.length;
  const slot = input.slots[at]!;
  const chosen = set.map((id) => input.activities.find((activity) => activity.id === id)!);
  if (set.length < (slot.least ?? input.perSlot[0]) || set.length > input.perSlot[1]) return false;
  if (chosen.reduce((sum, { minutes }) => sum + minutes, 0) > slot.minutes) return false;
  if (slot.light && chosen.some(({ effort }) => effort === 3)) return false;
  if (input.forbid?.some(([where, what]) => where === slot.id && set.includes(what))) return false;
  const has = (ids: readonly string[], skill: string) =>
    input.activities.some(({ id, skills }) => ids.includes(id) && skills.includes(skill));
  if (input.order?.some(([first, second]) => has(set, second) && !before.some((earlier) => has(earlier, first))))
    return false;
  return chosen.every(({ id, after = [] }) => {
    const uses = before.flatMap((earlier, index) => (earlier.includes(id) ? [index] : []));
    if (uses.length + 1 > input.repeat) return false;
    if (uses.some((index) => at - index - 1 < input.rest)) return false;
    return after.every((other) => before.some((earlier) => earlier.includes(other)));
  });
}

/** Whether the kinds in a whole term are balanced as asked. */
export function isBalanced(
  { activities, balance = {} }: TermPlanInput,
  slots: readonly (readonly string[])[],
): boolean {
  return Object.entries(balance).every(([kind, [least, most]]) => {
    const isOfKind = (id: string) => activities.some((activity) => activity.id === id && activity.kind === kind);
    const count = slots.flat().filter(isOfKind).length;
    return count >= least && count <= most;
  });
}

/** Fails where a plan breaks a rule or leaves out what is pinned. */
export function assertKeepsRules(input: TermPlanInput, slots: TermPlan['slots']): void {
  slots.forEach(({ id, activities }, at) => {
    const before = slots.slice(0, at).map((slot) => [...slot.activities]);
    assert.ok(mayStand(input, before, activities), `${activities.join()} in ${id}`);
    for (const pinned of input.pinned?.[id] ?? [])
      assert.ok(activities.includes(pinned), `${pinned} is pinned in ${id}`);
  });
  assert.ok(
    isBalanced(
      input,
      slots.map(({ activities }) => activities),
    ),
  );
}

/** A term too large to try everything: activities build on others, come back after a rest, and some are pinned. */
export function largerTerm(seed: number, { slots, activities }: { slots: number; activities: number }): TermPlanInput {
  const chance = seededChance(seed);
  const below = (count: number) => Math.floor(chance() * count);
  const skills = ['sort', 'rhyme', 'order', 'count', 'pair', 'pour', 'listen', 'post'];
  const input: TermPlanInput = {
    slots: Array.from({ length: slots }, (_, index) => ({
      id: `w${index}`,
      minutes: 14 + below(16),
      theme: THEMES[below(3)] ?? null,
      light: index % 4 === 3,
    })),
    activities: Array.from({ length: activities }, (_, index) => ({
      id: `a${index}`,
      skills: [...new Set([skills[below(8)]!, skills[below(8)]!])],
      minutes: 4 + below(10),
      effort: 1 + below(3),
      themes: [THEMES[below(2)]!],
      after: index > 3 && index % 3 === 0 ? [`a${below(index)}`] : [],
    })),
    targets: Object.fromEntries(skills.map((skill) => [skill, 1 + below(4)])),
    perSlot: [1, 3],
    repeat: 2,
    rest: 2,
  };
  const [pinned] = input.activities.filter(({ effort, after }) => effort < 3 && after!.length === 0);
  return { ...input, pinned: { w1: [pinned!.id] } };
}

/** Terms of many shapes, too large to try everything: odd minutes, long rests, chains, few or many skills. */
export function oddTerm(seed: number): TermPlanInput {
  const chance = seededChance(seed * 31);
  const below = (count: number) => Math.floor(chance() * count);
  const skills = Array.from({ length: 3 + below(10) }, (_, index) => `skill-${index}`);
  const skill = () => skills[below(skills.length)]!;
  return {
    slots: Array.from({ length: 4 + below(7) }, (_, index) => ({
      id: `w${index}`,
      minutes: 10 + below(25),
      theme: below(4) > 0 ? `theme-${below(4)}` : null,
      light: below(4) === 0,
    })),
    activities: Array.from({ length: 10 + below(16) }, (_, index) => ({
      id: `a${index}`,
      skills: [...new Set([skill(), skill()])],
      minutes: below(2) === 0 ? 3 + below(12) : 3.5 + below(5) * 1.3,
      effort: 1 + below(3),
      themes: [`theme-${below(4)}`],
      after: index > 0 && below(6) === 0 ? [`a${below(index)}`] : [],
    })),
    targets: Object.fromEntries(skills.map((name) => [name, below(5)])),
    perSlot: [below(2), 1 + below(4)],
    repeat: 1 + below(3),
    rest: below(4),
  };
}
