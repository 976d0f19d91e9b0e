import type { LinearModel, LinearRow } from './linearModel.ts';
import { leastIn, mayStandIn, POINTS, type TermPlan, type TermPlanInput } from './termScore.ts';

export interface TermModel {
  readonly model: LinearModel;
  /** The plan that values by column stand for. */
  readonly read: (values: readonly number[]) => TermPlan['slots'];
  /** Whether a column says that an activity stands in a slot. */
  readonly isPlace: (column: number) => boolean;
  /** That column; null where the activity may not stand in the slot. Both by index. */
  readonly placeOf: (slot: number, activity: number) => number | null;
  /** Values by column that stand for a plan that keeps every rule. */
  readonly write: (slots: TermPlan['slots']) => number[];
}

/** With more ways than this to fill a slot's minutes, the plain row of minutes stands in for them. */
const MOST_FILLINGS = 400;

/**
 * How the minutes of a slot are put down: as one sum, which is quickly dealt with, or by the ways they can be filled (so
 * many activities of 5 minutes, so many of 7), with which the fractional optimum lies close to the whole one (Gilmore and
 * Gomory's cutting patterns).
 */
export type MinutesAs = 'sums' | 'fillings';

/**
 * A term as a linear programme: one column for each activity in each slot where it may stand, one for how often each is
 * used, whether it is used at all, and how far each target is met. The solver branches best on how often.
 */
export function buildTermModel(input: TermPlanInput, minutesAs: MinutesAs): TermModel {
  const { slots, activities, targets, perSlot, repeat, rest, pinned = {} } = input;
  const columns: LinearModel['columns'][number][] = [];
  const rows: LinearRow[] = [];
  const fill: ((values: number[]) => number)[] = [];
  const addColumn = (gain: number, upper: number, isWhole: boolean, value: (values: number[]) => number) => {
    fill.push(value);
    return columns.push({ gain, upper, isWhole }) - 1;
  };
  const addRow = (lower: number, upper: number, terms: LinearRow['terms']) => {
    if (terms.length > 0 || lower > 0) rows.push({ lower, upper, terms });
  };
  const atMost = (upper: number, terms: LinearRow['terms']) => addRow(-Infinity, upper, terms);
  const fromPlan = () => 0;
  const fillingOf: ((values: number[]) => void)[] = [];

  const use: (number | null)[][] = activities.map((activity) =>
    slots.map((slot) => {
      if (repeat < 1 || !mayStandIn(activity, slot)) return null;
      const gain = slot.theme != null && activity.themes.includes(slot.theme) ? POINTS.theme : 0;
      return addColumn(gain, 1, true, fromPlan);
    }),
  );
  const placeCount = columns.length;
  const usesOf = (activity: number, from = 0, to = slots.length): number[] =>
    use[activity]!.slice(from, to).filter((column): column is number => column !== null);
  const ones = (list: readonly number[], factor = 1) => list.map((column) => [column, factor] as const);

  slots.forEach((slot, at) => {
    const standing = activities.flatMap(({ minutes }, index) => {
      const column = use[index]![at]!;
      return column === null ? [] : [{ column, minutes }];
    });
    const all = standing.map(({ column }) => column);
    addRow(leastIn(slot, input), perSlot[1], ones(all));
    const sizes = [...new Set(standing.map(({ minutes }) => minutes))].sort((left, right) => left - right);
    const most = sizes.map((size) => standing.filter(({ minutes }) => minutes === size).length);
    const fillings =
      minutesAs === 'fillings' ? findFillings({ sizes, most, minutes: slot.minutes, count: perSlot[1] }) : null;
    if (fillings === null) {
      atMost(
        slot.minutes,
        standing.map(({ column, minutes }) => [column, minutes] as const),
      );
      return;
    }
    const chosen = fillings.map(() => addColumn(0, 1, false, fromPlan));
    const chosenWith = (size: number) => chosen.filter((_, filling) => fillings[filling]![size]! > 0);
    fillingOf.push((values) => {
      const counts = sizes.map(() => 0);
      for (const { column, minutes } of standing) if (values[column]! > 0.5) counts[sizes.indexOf(minutes)]! += 1;
      const covering = fillings.findIndex((filling) => counts.every((count, size) => count <= filling[size]!));
      if (covering >= 0) values[chosen[covering]!] = 1;
    });
    atMost(1, ones(chosen));
    // One activity alone stands in no more fillings than have its size, however many of it they have.
    for (const { column, minutes } of standing) {
      const size = sizes.indexOf(minutes);
      if (fillings.some((filling) => filling[size]! > 1)) atMost(0, [[column, 1], ...ones(chosenWith(size), -1)]);
    }
    sizes.forEach((size, index) =>
      atMost(0, [
        ...ones(standing.filter(({ minutes }) => minutes === size).map(({ column }) => column)),
        ...chosen.flatMap((column, filling) =>
          fillings[filling]![index]! > 0 ? [[column, -fillings[filling]![index]!] as const] : [],
        ),
      ]),
    );
  });

  const timesOf: number[] = [];
  const indexOf = new Map(activities.map(({ id }, index) => [id, index]));
  activities.forEach((activity, index) => {
    const all = usesOf(index);
    if (repeat < slots.length) atMost(repeat, ones(all));
    if (repeat > 1 && rest > 0)
      for (let from = 0; from + 1 < slots.length; from++) {
        const near = usesOf(index, from, from + rest + 1);
        if (near.length > 1) atMost(1, ones(near));
      }
    const times = addColumn(0, Math.max(0, repeat), true, (values) => sumOf(values, all));
    timesOf.push(times);
    addRow(0, 0, [[times, 1], ...ones(all, -1)]);
    const isNew = addColumn(POINTS.distinct, 1, true, (values) => Math.min(1, values[times]!));
    atMost(0, [
      [isNew, 1],
      [times, -1],
    ]);
    for (const earlier of activity.after ?? []) {
      const before = indexOf.get(earlier)!;
      slots.forEach((_, slot) => {
        const upTo = usesOf(before, 0, slot);
        const column = use[index]![slot]!;
        // Of slots so near that one use at most stands in them, all together need the earlier one; that bounds more tightly.
        const mine = usesOf(index, repeat === 1 ? 0 : Math.max(0, slot - rest), slot + 1);
        if (column !== null) atMost(0, [...ones(mine), ...ones(upTo, -1)]);
      });
    }
  });
  for (const [skill, target] of Object.entries(targets)) {
    const touching = timesOf.filter((_, index) => activities[index]!.skills.includes(skill));
    const met = addColumn(POINTS.target, target, true, (values) => Math.min(target, sumOf(values, touching)));
    atMost(0, [[met, 1], ...ones(touching, -1)]);
  }
  // These follow from the rows of the slots; over whole numbers the solver draws tighter bounds from them.
  atMost(
    slots.reduce((sum, { minutes }) => sum + minutes, 0),
    timesOf.map((column, index) => [column, activities[index]!.minutes] as const),
  );
  atMost(slots.length * perSlot[1], ones(timesOf));
  slots.forEach(({ id }, at) =>
    (pinned[id] ?? []).forEach((activity) => {
      const column = use[indexOf.get(activity)!]![at]!;
      addRow(1, 1, column === null ? [] : [[column, 1]]);
    }),
  );

  const read = (values: readonly number[]) =>
    slots.map(({ id }, at) => ({
      id,
      activities: activities
        .filter((_, index) => use[index]![at] !== null && (values[use[index]![at]!] ?? 0) > 0.5)
        .map((activity) => activity.id),
    }));
  const write = (plan: TermPlan['slots']) => {
    const values = columns.map(() => 0);
    plan.forEach((slot, at) => slot.activities.forEach((id) => (values[use[indexOf.get(id)!]![at]!] = 1)));
    for (const fillSlot of fillingOf) fillSlot(values);
    columns.forEach((_, column) => {
      if (fill[column] !== fromPlan) values[column] = fill[column]!(values);
    });
    return values;
  };
  return {
    model: { columns, rows },
    read,
    write,
    isPlace: (column) => column < placeCount,
    placeOf: (slot, activity) => use[activity]![slot]!,
  };
}

const sumOf = (values: readonly number[], columns: readonly number[]) =>
  columns.reduce((sum, column) => sum + values[column]!, 0);

/**
 * The ways to fill a slot that leave no room for one more: how many activities of each size. Null when there are too
 * many to list. `most` is how many of a size there are; `count` how many activities a slot may hold.
 */
function findFillings(input: {
  readonly sizes: readonly number[];
  readonly most: readonly number[];
  readonly minutes: number;
  readonly count: number;
}): number[][] | null {
  const { sizes, most } = input;
  const found: number[][] = [];
  const filling = sizes.map(() => 0);
  const visit = (size: number, minutes: number, count: number): boolean => {
    if (size < 0) {
      const hasRoom = sizes.some(
        (candidate, index) => count > 0 && filling[index]! < most[index]! && candidate <= minutes + 1e-9,
      );
      if (!hasRoom) found.push([...filling]);
      return found.length <= MOST_FILLINGS;
    }
    const fits = sizes[size]! > 0 ? Math.floor((minutes + 1e-9) / sizes[size]!) : count;
    for (let taken = Math.min(most[size]!, count, fits); taken >= 0; taken--) {
      filling[size] = taken;
      if (!visit(size - 1, minutes - taken * sizes[size]!, count - taken)) return false;
    }
    filling[size] = 0;
    return true;
  };
  return visit(sizes.length - 1, input.minutes, input.count) ? found : null;
}
