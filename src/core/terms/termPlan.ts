import { bad, good, type Outcome } from '../outcome.ts';
import type { LinearProgress, SolveLinear } from './linearModel.ts';
import { buildTermModel } from './termModel.ts';
import { scoreTerm, type TermActivity, type TermPlan, type TermPlanInput, type TermSlot } from './termScore.ts';
import { searchTerm } from './termSearch.ts';

export { scoreTerm };
export type { TermActivity, TermPlan, TermPlanInput, TermSlot };

/** The rules that can be loosened, in the order they are tried when nothing fits. */
export type TermRule = 'rest' | 'repeat' | 'after' | 'light' | 'minutes' | 'perSlot';

export interface TermProblem {
  readonly code: 'nothing-fits';
  /** The first rule whose loosening alone lets a plan fit. */
  readonly loosen: TermRule;
}

export interface TermProgress {
  /** The best plan so far, when it is a new one. */
  readonly plan?: Pick<TermPlan, 'slots' | 'score'> | undefined;
  /** What no plan can exceed, as far as is proved by now. */
  readonly bound: number | null;
}

const LOOSENED: readonly TermRule[] = ['rest', 'repeat', 'after', 'light', 'minutes'];
const SEARCH_SEED = 20270311;

/**
 * Fills the slots of a term so that targets are met, themes fit and many different activities are used. A search gives
 * a good plan at once; the solver starts from it, betters it and proves by `bound` how good it is. No slots: an empty
 * plan. `onProgress` hears of each better plan and each lower bound.
 */
export function planTerm(
  input: TermPlanInput,
  solve: SolveLinear,
  onProgress?: (progress: TermProgress) => void,
): Outcome<TermPlan, TermProblem> {
  const early = searchTerm(input, SEARCH_SEED);
  if (early) onProgress?.({ plan: { slots: early, score: scoreTerm(input, early).score }, bound: null });
  const { model, read, write } = buildTermModel(input);
  const tell = (progress: LinearProgress) => {
    const slots = progress.values && read(progress.values);
    onProgress?.({
      bound: progress.bound,
      plan: slots && { slots, score: scoreTerm(input, slots).score },
    });
  };
  const answer = solve(model, { start: early ? write(early) : undefined, onProgress: tell });
  if (!answer) return bad({ code: 'nothing-fits', loosen: findRuleToLoosen(input, solve) });
  const slots = read(answer.values);
  const { score, unmet } = scoreTerm(input, slots);
  return good({ slots, score, bound: Math.max(score, Math.floor(answer.bound + 1e-6)), unmet });
}

/** The better of a plan and what another search found for the same input; the proved bound stays. */
export function betterOf(input: TermPlanInput, plan: TermPlan, other: TermPlan['slots'] | null): TermPlan {
  if (!other) return plan;
  const { score, unmet } = scoreTerm(input, other);
  return score > plan.score ? { slots: other, score, bound: plan.bound, unmet } : plan;
}

/** Tries each rule without the others' help; asking for fewer activities a slot always works. */
function findRuleToLoosen(input: TermPlanInput, solve: SolveLinear): TermRule {
  return (
    LOOSENED.find((rule) => {
      const loosened = loosen(input, rule);
      return searchTerm(loosened, SEARCH_SEED) !== null || solve(buildTermModel(loosened).model) !== null;
    }) ?? 'perSlot'
  );
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
    case 'perSlot':
      return { ...input, perSlot: [0, input.perSlot[1]] };
  }
}
