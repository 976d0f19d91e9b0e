import { seededChance } from '../chance.ts';
import { TermState } from './termState.ts';
import type { TermPlan, TermPlanInput } from './termScore.ts';

/** How many changes are tried: more for larger terms, within a few seconds. */
const STEPS_PER_PLACE = 6_000;
const STEPS_PER_ACTIVITY = 20_000;
/** Terms with more places than this get four times as many changes each. */
const MANY_PLACES = 60;
/** The heat at which a loss of so many points is still taken now and then; falls to near nothing. */
const FIRST_HEAT = 4;
const LAST_HEAT = 0.1;

/**
 * A good plan by simulated annealing: activities are put in, taken out, exchanged and moved, always within the rules.
 * The same input, seed and effort (1: a few seconds at most; 3: three times as long) give the same plan. Null where no plan was found, which proves nothing.
 */
export function searchTerm(input: TermPlanInput, seed: number, effort = 1): TermPlan['slots'] | null {
  const term = new TermState(input);
  if (!term.placePinned()) return null;
  const slotCount = input.slots.length;
  if (slotCount === 0) return [];
  if (term.standsNowhere()) return term.isFull() ? term.read() : null;
  const chance = seededChance(seed);
  const places = slotCount * Math.max(1, Math.min(4, input.perSlot[1]));
  const steps =
    Math.min(STEPS_PER_PLACE * places, STEPS_PER_ACTIVITY * input.activities.length) *
    (places > MANY_PLACES ? 4 : 1) *
    effort;
  const cooling = (LAST_HEAT / FIRST_HEAT) ** (1 / steps);
  let heat = FIRST_HEAT;
  let bestScore = term.isFull() ? term.score : -Infinity;
  term.remember(bestScore > -Infinity);
  for (let step = 0; step < steps; step++) {
    heat *= cooling;
    const before = term.score;
    if (!tryChange(term, chance)) continue;
    if (term.score < before && chance() >= Math.exp((term.score - before) / heat)) term.undo();
    else if (term.score > bestScore && term.isFull()) {
      bestScore = term.score;
      term.remember(true);
    }
  }
  return term.readRemembered();
}

/** Changes one slot at random within the rules; false when nothing was changed. */
function tryChange(term: TermState, chance: () => number): boolean {
  const pick = (count: number) => Math.floor(chance() * count);
  const slot = pick(term.slotCount);
  const standing = term.counts[slot]!;
  const way = pick(16);
  term.begin();
  if (way < 9) {
    if (standing > 0 && !term.remove(slot, term.at(slot, pick(standing)))) return false;
    return term.add(slot, offer(term, slot, chance)) || !term.undo();
  }
  if (way < 12) return term.add(slot, offer(term, slot, chance));
  if (standing === 0) return false;
  if (way === 12) return term.remove(slot, term.at(slot, pick(standing)));
  const to = pick(term.slotCount);
  const going = term.at(slot, pick(standing));
  const coming = term.counts[to]! > 0 && pick(3) > 0 ? term.at(to, pick(term.counts[to]!)) : -1;
  if (to === slot || !term.remove(slot, going)) return false;
  const isMoved =
    (coming < 0 || term.remove(to, coming)) && term.add(to, going) && (coming < 0 || term.add(slot, coming));
  return isMoved || !term.undo();
}

/** An activity to try in a slot: one for a skill that still lacks, one for the slot's theme, or any. */
function offer(term: TermState, slot: number, chance: () => number): number {
  const kind = chance();
  const lists =
    kind < 0.5 && term.skillCount > 0
      ? term.lackingActivities(Math.floor(chance() * term.skillCount))
      : kind < 0.75
        ? term.fittingTheme[slot]!
        : term.anyActivity;
  const list = lists.length > 0 ? lists : term.anyActivity;
  return list[Math.floor(chance() * list.length)]!;
}
