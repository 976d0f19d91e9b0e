import { bad, good, type Outcome } from '../outcome.ts';
import type { LinearProgress, SolveLinear } from './linearModel.ts';
import { buildTermModel } from './termModel.ts';
import { searchTerm } from './termSearch.ts';

export interface TermSlot {
  readonly id: string;
  readonly minutes: number;
  readonly theme?: string | null | undefined;
  /** In a light slot nothing of effort 3 stands. */
  readonly light?: boolean | undefined;
}

export interface TermActivity {
  readonly id: string;
  readonly skills: readonly string[];
  readonly minutes: number;
  /** 1 to 3. */
  readonly effort: number;
  readonly themes: readonly string[];
  /** Activities that must have been used in an earlier slot. */
  readonly after?: readonly string[] | undefined;
}

export interface TermPlanInput {
  readonly slots: readonly TermSlot[];
  readonly activities: readonly TermActivity[];
  /** How often each skill is to be touched. */
  readonly targets: Readonly<Record<string, number>>;
  /** Least and most activities in a slot. */
  readonly perSlot: readonly [number, number];
  /** How often an activity may be used. */
  readonly repeat: number;
  /** Slots that lie at least between two uses of an activity. */
  readonly rest: number;
  /** Activities that must stand in a slot, by slot id: what an author has pinned. */
  readonly pinned?: Readonly<Record<string, readonly string[]>> | undefined;
}

export interface TermPlan {
  readonly slots: readonly { readonly id: string; readonly activities: readonly string[] }[];
  readonly score: number;
  /** No plan scores higher; proved by the solver. */
  readonly bound: number;
  readonly unmet: Readonly<Record<string, number>>;
}

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

export const POINTS = { target: 10, theme: 3, distinct: 1 } as const;

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

/** The score of a filled term: 10 for each target met (up to its number), 3 for each fitting theme, 1 for each distinct activity. */
export function scoreTerm(
  input: Pick<TermPlanInput, 'slots' | 'activities' | 'targets'>,
  slots: TermPlan['slots'],
): { score: number; unmet: Record<string, number> } {
  const byId = new Map(input.activities.map((activity) => [activity.id, activity]));
  const used = slots.flatMap(({ activities }, slot) =>
    activities.map((id) => ({ activity: byId.get(id)!, theme: input.slots[slot]!.theme })),
  );
  let score = POINTS.distinct * new Set(used.map(({ activity }) => activity.id)).size;
  score += POINTS.theme * used.filter(({ activity, theme }) => theme != null && activity.themes.includes(theme)).length;
  const unmet: Record<string, number> = {};
  for (const [skill, target] of Object.entries(input.targets)) {
    const met = Math.min(target, used.filter(({ activity }) => activity.skills.includes(skill)).length);
    score += POINTS.target * met;
    if (met < target) unmet[skill] = target - met;
  }
  return { score, unmet };
}

/** Whether an activity may stand in a slot, looking at these two alone. */
export function mayStandIn(activity: TermActivity, slot: TermSlot): boolean {
  return activity.minutes <= slot.minutes && !(slot.light && activity.effort >= 3);
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
