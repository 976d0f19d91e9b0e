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
