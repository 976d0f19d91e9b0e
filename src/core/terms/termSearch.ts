import { seededChance } from '../chance.ts';
import { SlotFiller } from './slotFiller.ts';
import { TermState } from './termState.ts';
import type { TermPlan, TermPlanInput } from './termScore.ts';

/** How many changes are tried for each slot: some tenths of a second for a dozen slots, some seconds for three dozen. */
const CHANGES_PER_SLOT = 1_500;
/** The temperature at which a loss of so many points is still taken now and then; falls to near nothing. */
const FIRST_HEAT = 3;
const LAST_HEAT = 0.3;
/** By so many points, times the temperature, what activities gain is blurred when a slot is filled. */
const NOISE = 0.7;
/** How far back an activity that is put in brings along what it builds on. */
const DEPTH = 2;
/** Of a hundred changes: how many put one activity in at any cost, and how many empty two slots and not one. */
const FORCED = 65;
const EMPTYING_TWO = 25;

/** How a search starts and how long it goes on. */
export interface SearchHints {
  readonly seed: number;
  /** 1: some tenths of a second for a dozen slots; 3: three times as long. */
  readonly effort?: number | undefined;
  /** The search ends once a plan scores so much. */
  readonly enough?: number | undefined;
  /** Places, by slot and activity, that are worth filling; all of them when it is not given. */
  readonly isOpen?: ((slot: number, activity: number) => boolean) | undefined;
}

/**
 * A good plan by simulated annealing: one or two slots are emptied, or an activity is put in at any cost, and what was
 * changed is filled again as well as can be, always within the rules. The same input and hints give the same plan. Null
 * where no plan was found, which proves nothing.
 */
export function searchTerm(
  input: TermPlanInput,
  { seed, effort = 1, enough = Infinity, isOpen }: SearchHints,
): TermPlan['slots'] | null {
  const term = new TermState(input, isOpen);
  if (!term.placePinned()) return null;
  if (input.slots.length === 0) return [];
  if (term.standsNowhere()) return term.isFull() ? term.read() : null;
  const chance = seededChance(seed);
  const filler = new SlotFiller(term, input.perSlot[1]);
  const changes = CHANGES_PER_SLOT * term.slotCount * effort;
  const cooling = (LAST_HEAT / FIRST_HEAT) ** (1 / changes);
  let temperature = FIRST_HEAT;
  let bestScore = -Infinity;
  const rememberIfBest = () => {
    if (term.score <= bestScore || !term.isFull()) return;
    bestScore = term.score;
    term.remember();
  };
  for (let slot = 0; slot < term.slotCount; slot++) filler.fill(slot, NOISE * temperature, chance);
  rememberIfBest();
  for (let change = 0; change < changes && bestScore < enough; change++) {
    temperature *= cooling;
    const before = term.score;
    term.begin();
    if (!makeRoom(term, chance)) {
      term.undo();
      continue;
    }
    for (const slot of shuffle(term.changedSlots(), chance)) filler.fill(slot, NOISE * temperature, chance);
    if (term.score < before && chance() >= Math.exp((term.score - before) / temperature)) term.undo();
    else rememberIfBest();
  }
  return term.readRemembered();
}

/** Empties one or two slots, or puts one activity in at any cost; false, part of it done, when that does not go. */
function makeRoom(term: TermState, chance: () => number): boolean {
  const slot = Math.floor(chance() * term.slotCount);
  const way = chance() * 100;
  if (way < FORCED) return term.force(slot, offer(term, slot, chance), chance, DEPTH);
  if (!term.empty(slot)) return false;
  return way >= FORCED + EMPTYING_TWO || term.empty(Math.floor(chance() * term.slotCount));
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

/** In place, by Fisher and Yates. */
function shuffle(slots: number[], chance: () => number): number[] {
  for (let at = slots.length - 1; at > 0; at--) {
    const other = Math.floor(chance() * (at + 1));
    [slots[at], slots[other]] = [slots[other]!, slots[at]!];
  }
  return slots;
}
