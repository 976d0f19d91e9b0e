/** A session to be filled: its minutes, theme and whether it is to be light. */
export interface TermSlot {
  readonly id: string;
  readonly minutes: number;
  readonly theme?: string | null | undefined;
  /** In a light slot nothing of effort 3 stands. */
  readonly light?: boolean | undefined;
  /** Least activities here, where that is another number than for the others: nothing is asked of what is over. */
  readonly least?: number | undefined;
}

/** The least activities that are asked of a slot. */
export function leastIn(slot: TermSlot, { perSlot }: Pick<TermPlanInput, 'perSlot'>): number {
  return slot.least ?? perSlot[0];
}

/** An activity as a plan counts it. */
export interface TermActivity {
  readonly id: string;
  readonly skills: readonly string[];
  readonly minutes: number;
  /** 1 to 3. */
  readonly effort: number;
  readonly themes: readonly string[];
  /** Activities that must have been used in an earlier slot. */
  readonly after?: readonly string[] | undefined;
  /** What `balance` counts it as. */
  readonly kind?: string | undefined;
}

/** Everything a term plan is made from. */
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
  /**
   * How well activities suit a slot's theme, 0 to 1, by slot id and activity id. A slot that it names earns 3 × that for each,
   * and nothing for one it leaves out; a slot that it does not name earns by its theme.
   */
  readonly fit?: Readonly<Record<string, Readonly<Record<string, number>>>> | undefined;
  /** What may not stand where. */
  readonly forbid?: readonly (readonly [slot: string, activity: string])[] | undefined;
  /** The second skill only in slots after one with the first. */
  readonly order?: readonly (readonly [first: string, second: string])[] | undefined;
  /** Least and most activities of a kind in the whole term. */
  readonly balance?: Readonly<Record<string, readonly [number, number]>> | undefined;
}

/** Activities by slot, with the points they have and the most any plan could have. */
export interface TermPlan {
  readonly slots: readonly { readonly id: string; readonly activities: readonly string[] }[];
  readonly score: number;
  /** No plan scores higher; proved by the solver. */
  readonly bound: number;
  readonly unmet: Readonly<Record<string, number>>;
}

/** What a plan earns: for each visit a skill still wants, for a fitting theme, for an activity used at all. */
export const POINTS = { target: 10, theme: 3, distinct: 1 } as const;

/** The score of a filled term: 10 for each target met (up to its number), 3 for each fitting theme, 1 for each distinct activity. */
export function scoreTerm(
  input: Pick<TermPlanInput, 'slots' | 'activities' | 'targets' | 'fit'>,
  slots: TermPlan['slots'],
): { score: number; unmet: Record<string, number> } {
  const byId = new Map(input.activities.map((activity) => [activity.id, activity]));
  const used = slots.flatMap(({ activities }, slot) =>
    activities.map((id) => ({ activity: byId.get(id)!, slot: input.slots[slot]! })),
  );
  let score = POINTS.distinct * new Set(used.map(({ activity }) => activity.id)).size;
  for (const { activity, slot } of used) score += suits(input, slot, activity);
  const unmet: Record<string, number> = {};
  for (const [skill, target] of Object.entries(input.targets)) {
    const met = Math.min(target, used.filter(({ activity }) => activity.skills.includes(skill)).length);
    score += POINTS.target * met;
    if (met < target) unmet[skill] = target - met;
  }
  return { score: toMillionths(score), unmet };
}

/** Scores to the millionth: sums of parts of points have no rounding to show. */
const toMillionths = (score: number) => Math.round(score * 1e6) / 1e6;

/** The points an activity earns in a slot by suiting its theme: 3 where it bears it, or 3 × its fit. */
export function suits({ fit }: Pick<TermPlanInput, 'fit'>, slot: TermSlot, activity: TermActivity): number {
  const fits = fit && Object.hasOwn(fit, slot.id) ? fit[slot.id]! : null;
  if (fits) return POINTS.theme * (Object.hasOwn(fits, activity.id) ? fits[activity.id]! : 0);
  return slot.theme != null && activity.themes.includes(slot.theme) ? POINTS.theme : 0;
}

/** Whether an activity may stand in a slot, looking at these two alone, by slot and activity. */
export function placesOf({ forbid = [] }: Pick<TermPlanInput, 'forbid'>) {
  const forbidden = new Set(forbid.map((place) => JSON.stringify(place)));
  return (slot: TermSlot, activity: TermActivity): boolean =>
    activity.minutes <= slot.minutes &&
    !(slot.light && activity.effort >= 3) &&
    !(forbidden.size > 0 && forbidden.has(JSON.stringify([slot.id, activity.id])));
}
