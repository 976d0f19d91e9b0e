import { type CalendarDate, daysBetween } from '../calendar/index.ts';
import type { Term } from './term.ts';
import type { TermActivity, TermPlanInput } from './termPlan.ts';
import { heldSessions, type WeekRow } from './weekRows.ts';

/** An activity of the shelf as a term plan counts it. */
export interface PlannableActivity extends TermActivity {
  readonly title: string;
}

/** Why an activity stands where it stands. */
export type PlanReason =
  | { readonly code: 'pinned' }
  | { readonly code: 'brings-back'; readonly skill: string; readonly weeks: number }
  | { readonly code: 'first-touch'; readonly skill: string }
  | { readonly code: 'again'; readonly skill: string }
  | { readonly code: 'theme'; readonly theme: string }
  | { readonly code: 'builds-on'; readonly title: string }
  | { readonly code: 'light' };

/**
 * What is to be planned: the sessions that are held and lie ahead. What stands in sessions before today, and what is
 * pinned, stays. Pinned activities that would break a rule make the rule the author's to settle, see `pinConflicts`.
 */
export function proposalInput(
  term: Term,
  {
    rows,
    activities,
    today,
  }: { rows: readonly WeekRow[]; activities: readonly PlannableActivity[]; today: CalendarDate },
): TermPlanInput {
  const held = heldSessions(rows);
  const known = new Set(activities.map(({ id }) => id));
  const stays = held.map(({ session, on }) => ({
    id: session.id,
    keys: session.activities
      .filter(({ key, isPinned }) => known.has(key) && (isPinned || on < today))
      .map(({ key }) => key),
  }));
  return {
    slots: held.map(({ session, on, row }) => {
      const pinnedMinutes = minutesOf(stays.find(({ id }) => id === session.id)!.keys, activities);
      return {
        id: session.id,
        // A session that is over takes nothing more; one with long pins has at least the room they take.
        minutes: on < today ? pinnedMinutes : Math.max(session.minutes, pinnedMinutes),
        theme: row.week.theme || null,
        light: row.isLight,
        ...(on < today && { least: 0 }),
      };
    }),
    activities: activities.map((activity) => ({
      ...activity,
      after: (activity.after ?? []).filter((earlier) => known.has(earlier)),
    })),
    targets: term.rules.targets,
    perSlot: term.rules.perSlot,
    repeat: term.rules.repeat,
    rest: term.rules.rest,
    pinned: Object.fromEntries(stays.map(({ id, keys }) => [id, keys])),
  };
}

/** What of a plan is taken over: sessions that lie ahead. What is over stays as it was held, whatever a plan says of it. */
export function slotsAhead<Slot extends { readonly id: string }>(
  slots: readonly Slot[],
  { rows, today }: { rows: readonly WeekRow[]; today: CalendarDate },
): Slot[] {
  const ahead = new Set(heldSessions(rows).flatMap(({ session, on }) => (on < today ? [] : [session.id])));
  return slots.filter(({ id }) => ahead.has(id));
}

/** The sessions of a term that are not as they were when a plan was asked for, by id, or were not there yet. */
export function changedSince(before: Term, after: Term): ReadonlySet<string> {
  const former = new Map(
    before.weeks.flatMap((week) => week.sessions.map((session) => [session.id, stateOf(session)])),
  );
  return new Set(
    after.weeks.flatMap((week) =>
      week.sessions.filter((session) => former.get(session.id) !== stateOf(session)).map(({ id }) => id),
    ),
  );
}

/** What a plan would write over, and what it was made from, of a session. */
function stateOf({ minutes, activities }: Term['weeks'][number]['sessions'][number]): string {
  return JSON.stringify([minutes, activities.map(({ key, isPinned }) => [key, isPinned])]);
}

/** A rule that a pin can break. */
export type PinRule = 'light' | 'repeat' | 'rest' | 'count';

/** Pinned activities that break a rule of the plan, by session, so that the author can settle them before asking. */
export function pinConflicts(input: TermPlanInput): { session: string; activity: string; rule: PinRule }[] {
  const byId = new Map(input.activities.map((activity) => [activity.id, activity]));
  const uses = new Map<string, number[]>();
  return input.slots.flatMap(({ id, light }, at) => {
    const keys = input.pinned?.[id] ?? [];
    return keys.flatMap((key, place) => {
      const before = uses.get(key) ?? [];
      uses.set(key, [...before, at]);
      const conflict = (rule: PinRule) => [{ session: id, activity: key, rule }];
      if (light && byId.get(key)!.effort >= 3) return conflict('light');
      if (before.length >= input.repeat) return conflict('repeat');
      if (before.some((other) => at - other <= input.rest)) return conflict('rest');
      if (place >= input.perSlot[1]) return conflict('count');
      return [];
    });
  });
}

/** For each activity of each held session, why it stands there: at most two reasons, the strongest first. */
export function explainPlan(
  term: Term,
  { rows, activities }: { rows: readonly WeekRow[]; activities: readonly PlannableActivity[] },
): Record<string, Record<string, PlanReason[]>> {
  const byId = new Map(activities.map((activity) => [activity.id, activity]));
  const lastTouched = new Map<string, CalendarDate>();
  const used = new Map<string, string>();
  const explained: Record<string, Record<string, PlanReason[]>> = {};
  for (const { session, on, row } of heldSessions(rows)) {
    const touchedNow = new Set<string>();
    explained[session.id] = Object.fromEntries(
      session.activities.map(({ key, isPinned }) => {
        const activity = byId.get(key);
        const reasons: PlanReason[] = isPinned ? [{ code: 'pinned' }] : [];
        if (!activity) return [key, reasons];
        const earlier = (activity.after ?? []).find((other) => used.has(other));
        if (earlier) reasons.push({ code: 'builds-on', title: byId.get(earlier)!.title });
        reasons.push(...skillReasons(activity, { term, lastTouched, on }));
        if (row.week.theme && activity.themes.includes(row.week.theme))
          reasons.push({ code: 'theme', theme: row.week.theme });
        if (row.isLight && activity.effort < 3) reasons.push({ code: 'light' });
        activity.skills.forEach((skill) => touchedNow.add(skill));
        used.set(key, session.id);
        return [key, reasons.slice(0, 2)];
      }),
    );
    touchedNow.forEach((skill) => lastTouched.set(skill, on));
  }
  return explained;
}

const WEEKS_TO_BRING_BACK = 2;

function skillReasons(
  { skills }: PlannableActivity,
  { term, lastTouched, on }: { term: Term; lastTouched: ReadonlyMap<string, CalendarDate>; on: CalendarDate },
): PlanReason[] {
  const wanted = skills.filter((skill) => (term.rules.targets[skill] ?? 0) > 0);
  const reasons = (wanted.length > 0 ? wanted : skills).map((skill): PlanReason & { weight: number } => {
    const last = lastTouched.get(skill);
    if (!last) return { code: 'first-touch', skill, weight: 50 };
    const weeks = Math.round(daysBetween(last, on) / 7);
    return weeks >= WEEKS_TO_BRING_BACK
      ? { code: 'brings-back', skill, weeks, weight: 50 + weeks }
      : { code: 'again', skill, weight: 0 };
  });
  return reasons
    .sort((left, right) => right.weight - left.weight)
    .slice(0, 1)
    .map(({ weight: _, ...reason }) => reason);
}

function minutesOf(keys: readonly string[], activities: readonly PlannableActivity[]): number {
  return keys.reduce((sum, key) => sum + (activities.find(({ id }) => id === key)?.minutes ?? 0), 0);
}
