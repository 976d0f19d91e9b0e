import { err, ok, type Outcome } from '../outcome.ts';
import type { LinearProgress, LinearSolver } from './linearModel.ts';
import { buildTermModel } from './termModel.ts';
import { scoreTerm, type TermActivity, type TermPlan, type TermPlanInput, type TermSlot } from './termScore.ts';
import { searchTerm, type SearchHints } from './termSearch.ts';

export { scoreTerm };
export type { TermActivity, TermPlan, TermPlanInput };

/** The rules that can be loosened, in the order they are tried when nothing fits. */
export type TermRule = 'rest' | 'repeat' | 'after' | 'light' | 'minutes' | 'forbid' | 'order' | 'balance' | 'perSlot';

/** Why there is no plan: none keeps the rules, with the smallest set of rules whose loosening lets one fit; or none was found in time. */
export type PlanProblem =
  { readonly code: 'nothing-fits'; readonly loosen: readonly TermRule[] } | { readonly code: 'out-of-time' };

/** A better plan or bound, found on the way. */
export interface TermProgress {
  /** A better plan than before; its bound is Infinity while nothing is proved. */
  readonly plan?: TermPlan | undefined;
  /** What no plan can exceed, as far as is proved by now. */
  readonly bound: number | null;
}

/** What a plan may start from, and who hears of progress. */
export interface TermPlanHints {
  readonly onProgress?: ((progress: TermProgress) => void) | undefined;
  /** Asked now and then; once true, the best plan so far is the answer. */
  readonly shouldStop?: (() => boolean) | undefined;
}

const LOOSENED: readonly TermRule[] = [
  'rest',
  'repeat',
  'after',
  'light',
  'minutes',
  'forbid',
  'order',
  'balance',
  'perSlot',
];
const FULL_SEARCH: SearchHints = { seed: 20270311 };
/** From so many places (slots × activities) on, a term is large: it is not likely to be proved to the end. */
const FEWEST_LARGE = 1500;
/** A small term is searched again, and longer, until a score comes twice; most often it is the best, then. */
const RESTRICTED_SEARCHES: Readonly<Record<'small' | 'large', readonly SearchHints[]>> = {
  small: [{ seed: 77 }, { seed: 78, effort: 2 }, { seed: 79, effort: 2 }, { seed: 80, effort: 2 }],
  large: [{ seed: 77, effort: 3 }],
};
/** A plan that lies no more than so many points below the fractional optimum is not searched further. */
const NEAR = 2;
/** The second search puts nothing where the fractional optimum loses more points by it. */
const MOST_LOSS_IN_SEARCH = 1;
/** Of a large term, so many places a slot are left open: those where the fractional optimum loses least. */
const OPEN_PER_SLOT = 25;
const RESTRICTED_SECONDS = 8;
/** From so many places (slots × activities) on, planning in two ways at once is worth a second core. */
const FEWEST_PLACES_FOR_TWO = 200;
const HEAD_START_MS = 2000;

/** Two ways to plan the same term; see `planTerm` and `planTermRestricted`. */
export type SearchStrategy = 'full' | 'restricted';
/** The ways worth taking, the one that comes to its end sooner, most often, first. */
export function strategiesFor(input: TermPlanInput): readonly [SearchStrategy, SearchStrategy?] {
  if (!isWorthTwoCores(input)) return ['full'];
  return isLarge(input) ? ['full', 'restricted'] : ['restricted', 'full'];
}
/** So long the second way lets the first one alone: two at once take each other's time, and most small terms need one. */
export const headStartMs = (input: TermPlanInput): number => (isLarge(input) ? 0 : HEAD_START_MS);

const countPlaces = ({ slots, activities }: TermPlanInput) => slots.length * activities.length;
const isLarge = (input: TermPlanInput) => countPlaces(input) >= FEWEST_LARGE;
const isWorthTwoCores = (input: TermPlanInput) => countPlaces(input) >= FEWEST_PLACES_FOR_TWO;
/** Whether no plan can have more points than this one. */
export const isProved = ({ score, bound }: Pick<TermPlan, 'score' | 'bound'>) => score >= bound;

/**
 * Fills the slots of a term so that targets are met, themes fit and many different activities are used. A search gives
 * a good plan at once; the solver starts from it, betters it and proves by `bound` how good it is. No slots: an empty
 * plan. `onProgress` hears of each better plan and each lower bound.
 */
export function planTerm(
  input: TermPlanInput,
  solver: LinearSolver,
  { onProgress, shouldStop }: TermPlanHints = {},
): Outcome<TermPlan, PlanProblem> {
  const early =
    isLarge(input) && isSearched(input)
      ? searchAt(input, FULL_SEARCH)
      : relaxAndSearch(input, solver, [FULL_SEARCH])?.early;
  if (early) onProgress?.({ plan: early, bound: isLarge(input) ? null : early.bound });
  if (early && isProved(early)) return ok(early);
  const { model, read, write } = buildTermModel(input, 'sums');
  const tell = ({ values, bound }: LinearProgress) =>
    onProgress?.({ bound, plan: values && toPlan(input, read(values), bound ?? Infinity) });
  const answer = solver.solve(model, {
    start: early ? write(early.slots) : undefined,
    onProgress: tell,
    shouldStop,
    leastGain: leastGain(input),
  });
  if (answer === 'out-of-time') return early ? ok(early) : err({ code: 'out-of-time' });
  if (!answer) return err({ code: 'nothing-fits', loosen: findRulesToLoosen(input, solver) });
  return ok(betterOf(toPlan(input, read(answer.values), answer.bound), early ?? null));
}

/**
 * Plans the same in another way, for a second core: the fractional optimum says which places are worth looking at. A
 * longer search tries these; then the solver works on a term from which all else is left out. In a small term that is
 * what cannot be part of a better plan, so that its bound holds; in a large one it is more, for the sake of a good plan.
 * Null where it finds no plan, which proves nothing.
 */
export function planTermRestricted(
  input: TermPlanInput,
  solver: LinearSolver,
  { onProgress, shouldStop }: TermPlanHints = {},
): TermPlan | null {
  const relaxed = relaxAndSearch(input, solver, RESTRICTED_SEARCHES[isLarge(input) ? 'large' : 'small']);
  if (!relaxed) return null;
  const { bound, losses, fillings, early } = relaxed;
  if (early) onProgress?.({ plan: early, bound: early.bound });
  if (early && isProved(early)) return early;

  const isExact = !isLarge(input);
  const { model, read, write, isPlace } = isExact ? fillings : buildTermModel(input, 'sums');
  const start = early ? write(early.slots) : undefined;
  const mostLoss = isExact
    ? bound - (early?.score ?? -Infinity) - leastGain(input)
    : lossOfNth(
        losses.filter((_, column) => isPlace(column)),
        OPEN_PER_SLOT * input.slots.length,
      );
  const answer = solver.solve(model, {
    start,
    closed: model.columns.map(
      (_, column) => (isExact || isPlace(column)) && losses[column]! > mostLoss + 1e-6 && !start?.[column],
    ),
    aim: isExact ? 'prove' : 'find',
    seconds: RESTRICTED_SECONDS,
    leastGain: leastGain(input),
    shouldStop,
  });
  if (!answer || answer === 'out-of-time') return early;
  return betterOf(early, toPlan(input, read(answer.values), isExact ? Math.min(bound, answer.bound) : bound));
}

/** Plans in one of the two ways; null where the narrowed one found nothing, which the straight one may. */
export function planTermBy(
  way: SearchStrategy,
  input: TermPlanInput,
  solver: LinearSolver,
  hints: TermPlanHints = {},
): Outcome<TermPlan, PlanProblem> | null {
  if (way === 'full') return planTerm(input, solver, hints);
  const plan = planTermRestricted(input, solver, hints);
  return plan && ok(plan);
}

/**
 * The fractional optimum, and searches in the places where it loses little, until one comes near it or to no more than
 * the ones before. Null where nothing fits, or time ran out.
 */
function relaxAndSearch(input: TermPlanInput, solver: LinearSolver, searches: readonly SearchHints[]) {
  const fillings = buildTermModel(input, 'cutting-patterns');
  const relaxed = solver.relax(fillings.model);
  if (!relaxed) return null;
  const { bound, losses } = relaxed;
  const isOpen = (slot: number, activity: number) => {
    const place = fillings.placeOf(slot, activity);
    return place !== null && losses[place]! <= MOST_LOSS_IN_SEARCH;
  };
  let early: TermPlan | null = null;
  for (const hints of isSearched(input) ? searches : []) {
    const found = searchAt(input, { ...hints, enough: toBound(input, bound), isOpen }, bound);
    const isTwice = found !== null && found.score === early?.score;
    early = betterOf(early, found);
    if (early && (isTwice || early.score > bound - NEAR)) break;
  }
  return { fillings, bound, losses, early };
}

function searchAt(input: TermPlanInput, hints: SearchHints, bound = Infinity): TermPlan | null {
  const slots = searchTerm(input, hints);
  return slots && toPlan(input, slots, bound);
}

const lossOfNth = (losses: readonly number[], nth: number) =>
  [...losses].sort((left, right) => left - right)[Math.min(nth, losses.length) - 1] ?? Infinity;

/** Orders of skills and balances of kinds are kept by the solver alone: the search does not know them. */
const isSearched = ({ order = [], balance = {} }: TermPlanInput) => order.length + Object.keys(balance).length === 0;

/** How much better a better plan is at least. */
const leastGain = ({ fit }: TermPlanInput) => (fit ? 1e-6 : 1);

/** The highest score below what is proved: a whole one, unless parts of points are given. */
const toBound = ({ fit }: TermPlanInput, bound: number) =>
  fit ? Math.ceil(bound * 1e6 - 1e-3) / 1e6 : Math.floor(bound + 1e-6);

/** A plan with its score; scores are whole where no parts of points are given, so the bound is one too. */
function toPlan(input: TermPlanInput, slots: TermPlan['slots'], bound: number): TermPlan {
  const { score, unmet } = scoreTerm(input, slots);
  return { slots, score, bound: Math.max(score, toBound(input, bound)), unmet };
}

/** The plan with more points, with the lower of the two bounds: each holds for both. Of equals the first; of none none. */
export function betterOf(one: TermPlan | null, other: TermPlan): TermPlan;
export function betterOf(one: TermPlan, other: TermPlan | null): TermPlan;
export function betterOf(one: TermPlan | null, other: TermPlan | null): TermPlan | null;
export function betterOf(one: TermPlan | null, other: TermPlan | null): TermPlan | null {
  if (!one || !other) return one ?? other;
  const better = other.score > one.score ? other : one;
  return { ...better, bound: Math.max(better.score, Math.min(one.bound, other.bound)) };
}

/** What is known after a further step: the better plan, with the lowest bound that was proved. Null before the first plan. */
export function mergeProgress(known: TermPlan | null, { plan, bound }: TermProgress): TermPlan | null {
  const better = betterOf(known, plan ?? null);
  return better && bound !== null ? betterOf(better, { ...better, bound: Math.floor(bound + 1e-6) }) : better;
}

/** With the planning before it, all rules and pairs of them are tried within twenty-three seconds. */
const SECONDS_A_RULE = 0.8;
const SECONDS_A_PAIR = 0.3;

/** The smallest set of rules without which a plan fits; asking for no least number, of a slot or a kind, always helps. */
function findRulesToLoosen(input: TermPlanInput, solver: LinearSolver): readonly TermRule[] {
  const named = LOOSENED.filter((rule) => loosen(input, rule) !== input);
  const one = named.find((rule) => fitsSomehow(loosen(input, rule), solver, SECONDS_A_RULE));
  if (one) return [one];
  const least: readonly TermRule[] = ['balance', 'perSlot'];
  const pairs = named.flatMap((rule, at) =>
    named.slice(at + 1).map((other): readonly [TermRule, TermRule] => [rule, other]),
  );
  return (
    pairs
      .filter((pair) => pair.some((rule) => least.includes(rule)))
      .find(([rule, other]) => fitsSomehow(loosen(loosen(input, rule), other), solver, SECONDS_A_PAIR)) ?? least
  );
}

function fitsSomehow(input: TermPlanInput, solver: LinearSolver, seconds: number): boolean {
  if (isSearched(input) && searchTerm(input, FULL_SEARCH) !== null) return true;
  const answer = solver.solve(buildTermModel(input, 'sums').model, { seconds });
  return answer !== null && answer !== 'out-of-time';
}

function loosen(input: TermPlanInput, rule: TermRule): TermPlanInput {
  const slots = (change: Partial<TermSlot>) => input.slots.map((slot) => ({ ...slot, ...change }));
  const activities = (change: Partial<TermActivity>) =>
    input.activities.map((activity) => ({ ...activity, ...change }));
  switch (rule) {
    case 'rest':
      return { ...input, rest: 0 };
    case 'repeat':
      return { ...input, repeat: input.slots.length };
    case 'after':
      return { ...input, activities: activities({ after: [] }) };
    case 'light':
      return { ...input, slots: slots({ light: false }) };
    case 'minutes':
      return { ...input, activities: activities({ minutes: 0 }) };
    case 'forbid':
      return input.forbid ? { ...input, forbid: [] } : input;
    case 'order':
      return input.order ? { ...input, order: [] } : input;
    case 'balance':
      return input.balance ? { ...input, balance: {} } : input;
    case 'perSlot':
      return { ...input, slots: slots({ least: 0 }), perSlot: [0, input.perSlot[1]] };
  }
}
