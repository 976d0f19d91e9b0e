import { bad, good, type Outcome } from '../outcome.ts';

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
}

export interface TermPlan {
  readonly slots: readonly { readonly id: string; readonly activities: readonly string[] }[];
  readonly score: number;
  /** No plan scores higher; proved by the solver. */
  readonly bound: number;
  readonly unmet: Readonly<Record<string, number>>;
}

/** A linear programme over whole or continuous variables from 0, to be made as large as it can be. */
export interface LinearModel {
  readonly columns: readonly { readonly gain: number; readonly upper: number; readonly isWhole: boolean }[];
  readonly rows: readonly {
    readonly lower: number;
    readonly upper: number;
    readonly terms: readonly (readonly [column: number, factor: number])[];
  }[];
}

/** What a solver found: values by column and a proved upper bound; null where no values fit. */
export interface LinearAnswer {
  readonly values: readonly number[];
  readonly bound: number;
}

export type SolveLinear = (model: LinearModel) => LinearAnswer | null;

/** The rules that can be loosened, in the order they are tried when nothing fits. */
export type TermRule = 'rest' | 'repeat' | 'after' | 'light' | 'minutes' | 'perSlot';

export interface TermProblem {
  readonly code: 'nothing-fits';
  /** The first rule whose loosening alone lets a plan fit. */
  readonly loosen: TermRule;
}

const POINTS_FOR_TARGET = 10;
const POINTS_FOR_THEME = 3;
const POINTS_FOR_NEW = 1;
const LOOSENED: readonly TermRule[] = ['rest', 'repeat', 'after', 'light', 'minutes'];

/**
 * Fills the slots of a term so that targets are met, themes fit and many different activities are used. The plan is as
 * good as the solver proves by its bound. No slots: an empty plan.
 */
export function planTerm(input: TermPlanInput, solve: SolveLinear): Outcome<TermPlan, TermProblem> {
  const model = buildTermModel(input);
  const answer = solve(model.model);
  if (!answer) return bad({ code: 'nothing-fits', loosen: findRuleToLoosen(input, solve) });
  const slots = input.slots.map(({ id }, slot) => ({
    id,
    activities: input.activities
      .filter((_, activity) => (answer.values[model.use[activity]![slot]!] ?? 0) > 0.5)
      .map((activity) => activity.id),
  }));
  const { score, unmet } = scoreTerm(input, slots);
  return good({ slots, score, bound: Math.max(score, Math.floor(answer.bound + 1e-6)), unmet });
}

/** The score of a filled term: 10 for each target met (up to its number), 3 for each fitting theme, 1 for each distinct activity. */
export function scoreTerm(
  input: TermPlanInput,
  slots: TermPlan['slots'],
): { score: number; unmet: Record<string, number> } {
  const byId = new Map(input.activities.map((activity) => [activity.id, activity]));
  const used = slots.flatMap(({ activities }, slot) =>
    activities.map((id) => ({ activity: byId.get(id)!, theme: input.slots[slot]!.theme })),
  );
  let score = POINTS_FOR_NEW * new Set(used.map(({ activity }) => activity.id)).size;
  score +=
    POINTS_FOR_THEME * used.filter(({ activity, theme }) => theme != null && activity.themes.includes(theme)).length;
  const unmet: Record<string, number> = {};
  for (const [skill, target] of Object.entries(input.targets)) {
    const met = Math.min(target, used.filter(({ activity }) => activity.skills.includes(skill)).length);
    score += POINTS_FOR_TARGET * met;
    if (met < target) unmet[skill] = target - met;
  }
  return { score, unmet };
}

interface TermModel {
  readonly model: LinearModel;
  /** use[activity][slot] is the column that says whether the activity stands in the slot. */
  readonly use: readonly (readonly number[])[];
}

function buildTermModel(input: TermPlanInput): TermModel {
  const { slots, activities, targets, perSlot, repeat, rest } = input;
  const columns: LinearModel['columns'][number][] = [];
  const rows: LinearModel['rows'][number][] = [];
  const addColumn = (gain: number, upper: number, isWhole: boolean) => columns.push({ gain, upper, isWhole }) - 1;
  const atMost = (upper: number, terms: (readonly [number, number])[]) =>
    terms.length > 0 && rows.push({ lower: -Infinity, upper, terms });

  const use = activities.map((activity) =>
    slots.map((slot) => {
      const fits = activity.minutes <= slot.minutes && !(slot.light && activity.effort >= 3);
      const gain = slot.theme != null && activity.themes.includes(slot.theme) ? POINTS_FOR_THEME : 0;
      return addColumn(gain, fits && repeat > 0 ? 1 : 0, true);
    }),
  );
  slots.forEach((slot, at) => {
    atMost(
      slot.minutes,
      activities.map(({ minutes }, activity) => [use[activity]![at]!, minutes] as const),
    );
    rows.push({
      lower: perSlot[0],
      upper: perSlot[1],
      terms: activities.map((_, activity) => [use[activity]![at]!, 1] as const),
    });
  });
  const indexOf = new Map(activities.map(({ id }, index) => [id, index]));
  activities.forEach((activity, index) => {
    const all = use[index]!.map((column) => [column, 1] as const);
    if (repeat < slots.length) atMost(repeat, all);
    if (repeat > 1) for (let from = 0; from + 1 < slots.length; from++) atMost(1, all.slice(from, from + rest + 1));
    const isNew = addColumn(POINTS_FOR_NEW, 1, false);
    atMost(0, [[isNew, 1], ...use[index]!.map((column) => [column, -1] as const)]);
    for (const earlier of activity.after ?? []) {
      const before = use[indexOf.get(earlier)!]!;
      use[index]!.forEach((column, slot) =>
        atMost(0, [[column, 1], ...before.slice(0, slot).map((other) => [other, -1] as const)]),
      );
    }
  });
  for (const [skill, target] of Object.entries(targets)) {
    const met = addColumn(POINTS_FOR_TARGET, target, false);
    const touching = activities.flatMap(({ skills }, activity) => (skills.includes(skill) ? use[activity]! : []));
    atMost(0, [[met, 1], ...touching.map((column) => [column, -1] as const)]);
  }
  return { model: { columns, rows }, use };
}

/** Tries each rule without the others' help; asking for fewer activities a slot always works. */
function findRuleToLoosen(input: TermPlanInput, solve: SolveLinear): TermRule {
  return LOOSENED.find((rule) => solve(buildTermModel(loosen(input, rule)).model) !== null) ?? 'perSlot';
}

function loosen(input: TermPlanInput, rule: TermRule): TermPlanInput {
  const slots = (change: Partial<TermSlot>) => input.slots.map((slot) => ({ ...slot, ...change }));
  switch (rule) {
    case 'rest':
      return { ...input, rest: 0 };
    case 'repeat':
      return { ...input, repeat: input.slots.length };
    case 'after':
      return { ...input, activities: input.activities.map((activity) => ({ ...activity, after: [] })) };
    case 'light':
      return { ...input, slots: slots({ light: false }) };
    case 'minutes':
      return {
        ...input,
        slots: slots({ minutes: Infinity }),
        activities: input.activities.map((activity) => ({ ...activity, minutes: 0 })),
      };
    case 'perSlot':
      return { ...input, perSlot: [0, input.perSlot[1]] };
  }
}
