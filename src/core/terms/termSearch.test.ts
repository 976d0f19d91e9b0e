import assert from 'node:assert/strict';
import { test } from 'node:test';
import { seededChance } from '../chance.ts';
import { SlotFiller } from './slotFiller.ts';
import { scoreTerm, type TermPlanInput } from './termScore.ts';
import { TermState } from './termState.ts';

const SKILLS = ['sort', 'rhyme', 'order', 'count'];
const THEMES = ['wheels', 'bridges', 'shadows'];

function randomTerm(seed: number, perSlot: TermPlanInput['perSlot'] = [0, 3]): TermPlanInput {
  const chance = seededChance(seed);
  const below = (count: number) => Math.floor(chance() * count);
  return {
    slots: Array.from({ length: 5 }, (_, index) => ({
      id: `w${index}`,
      minutes: 10 + below(16),
      theme: THEMES[below(3)]!,
      light: chance() < 0.2,
    })),
    activities: Array.from({ length: 9 }, (_, index) => ({
      id: `a${index}`,
      skills: SKILLS.filter(() => chance() < 0.4),
      minutes: 3.5 + below(9),
      effort: 1 + below(3),
      themes: THEMES.filter(() => chance() < 0.4),
      after: index > 2 && chance() < 0.4 ? [`a${below(index)}`] : [],
    })),
    targets: Object.fromEntries(SKILLS.map((skill) => [skill, 1 + below(3)])),
    perSlot,
    repeat: 2,
    rest: 1,
  };
}

/** The rules as the contract says them, looked at one by one. */
function brokenRule({ slots, activities, perSlot, repeat, rest }: TermPlanInput, plan: readonly string[][]) {
  for (const [at, names] of plan.entries()) {
    const chosen = names.map((name) => activities.find(({ id }) => id === name)!);
    if (new Set(names).size < names.length) return 'twice';
    if (names.length > perSlot[1]) return 'count';
    if (chosen.reduce((sum, { minutes }) => sum + minutes, 0) > slots[at]!.minutes) return 'minutes';
    if (slots[at]!.light && chosen.some(({ effort }) => effort === 3)) return 'light';
    for (const { after = [] } of chosen)
      if (after.some((earlier) => !plan.slice(0, at).some((set) => set.includes(earlier)))) return 'after';
  }
  for (const { id } of activities) {
    const uses = plan.flatMap((names, at) => (names.includes(id) ? [at] : []));
    if (uses.length > repeat) return 'repeat';
    if (uses.some((at, index) => index > 0 && at - uses[index - 1]! - 1 < rest)) return 'rest';
  }
  return null;
}

const sorted = (json: string) => JSON.stringify((JSON.parse(json) as string[][]).map((set) => set.sort()));
const namesOf = (term: TermState) => term.read().map(({ activities }) => [...activities]);

test('a filled term keeps every rule and its score through any changes, and undoing brings back what stood', () => {
  for (let seed = 1; seed <= 60; seed++) {
    const input = randomTerm(seed);
    const term = new TermState(input);
    const chance = seededChance(seed + 1000);
    const below = (count: number) => Math.floor(chance() * count);
    for (let step = 0; step < 80; step++) {
      const before = JSON.stringify(namesOf(term));
      term.begin();
      const slot = below(5);
      const way = below(4);
      const isDone =
        way === 0
          ? term.add(slot, below(9))
          : way === 1
            ? term.force(slot, below(9), chance, 2)
            : way === 2
              ? term.empty(slot)
              : term.counts[slot]! > 0 && term.remove(slot, term.at(slot, below(term.counts[slot]!)));
      if (!isDone || chance() < 0.3) {
        term.undo();
        assert.equal(JSON.stringify(namesOf(term).map((set) => set.sort())), sorted(before));
      }
      assert.equal(brokenRule(input, namesOf(term)), null);
      assert.equal(term.score, scoreTerm(input, term.read()).score);
    }
  }
});

test('a slot is filled with the set that gains most, as trying every set does', () => {
  for (let seed = 1; seed <= 200; seed++) {
    const input = randomTerm(seed);
    const term = new TermState(input);
    const chance = seededChance(seed);
    for (let step = 0; step < 6; step++) term.add(Math.floor(chance() * 5), Math.floor(chance() * 9));
    const slot = seed % 5;
    const plan = namesOf(term);
    const others = input.activities.map(({ id }) => id).filter((id) => !plan[slot]!.includes(id));
    let best = 0;
    for (let set = 0; set < 2 ** others.length; set++) {
      const tried = plan.map((names, at) =>
        at === slot ? [...names, ...others.filter((_, index) => (set >> index) & 1)] : names,
      );
      if (brokenRule(input, tried) !== null) continue;
      const slots = tried.map((activities, at) => ({ id: `w${at}`, activities }));
      best = Math.max(best, scoreTerm(input, slots).score);
    }
    new SlotFiller(term, input.perSlot[1]).fill(slot, 0, chance);
    assert.equal(term.score, best, `seed ${seed}`);
    assert.equal(brokenRule(input, namesOf(term)), null);
  }
});

test('what is closed stays empty, save for what is pinned there', () => {
  const input = { ...randomTerm(3), pinned: { w2: ['a1'] } };
  const slotOf = input.slots.findIndex(({ id }) => id === 'w2');
  const term = new TermState(input, (slot) => slot !== slotOf);
  const isPlaced = term.placePinned();
  const open = new TermState(input);
  assert.equal(isPlaced, open.placePinned());
  new SlotFiller(term, 3).fill(slotOf, 0, seededChance(1));
  assert.deepEqual(namesOf(term)[slotOf], isPlaced ? ['a1'] : []);
});
