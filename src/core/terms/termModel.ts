import { findCuttingPatterns } from './cuttingPatterns.ts';
import type { LinearModel, LinearRow } from './linearModel.ts';
import { leastIn, placesOf, POINTS, suits, type TermPlan, type TermPlanInput } from './termScore.ts';

/** A term as a linear programme, and the way from plans to its columns and back. */
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

/**
 * How the minutes of a slot are put down: as one sum, which is quickly dealt with, or by the ways they can be filled (so
 * many activities of 5 minutes, so many of 7), with which the fractional optimum lies close to the whole one (Gilmore and
 * Gomory's cutting patterns).
 */
export type MinutesAs = 'sums' | 'cutting-patterns';

type Terms = LinearRow['terms'];

/** An activity that may stand in a slot: its column and its minutes. */
interface Standing {
  readonly column: number;
  readonly minutes: number;
}

const ones = (columns: readonly number[], factor = 1) => columns.map((column) => [column, factor] as const);
const fromPlan = () => 0;

const sumOf = (values: readonly number[], columns: readonly number[]) =>
  columns.reduce((sum, column) => sum + values[column]!, 0);

/**
 * A term as a linear programme: one column for each activity in each slot where it may stand, one for how often each is
 * used, whether it is used at all, and how far each target is met. The solver branches best on how often.
 */
export function buildTermModel(input: TermPlanInput, minutesAs: MinutesAs): TermModel {
  return new TermModelBuilder(input).build(minutesAs);
}

class TermModelBuilder {
  readonly #input: TermPlanInput;
  readonly #columns: LinearModel['columns'][number][] = [];
  readonly #rows: LinearRow[] = [];
  /** How the value of each column follows from those before it. */
  readonly #valueOf: ((values: number[]) => number)[] = [];
  readonly #fillSlots: ((values: number[]) => void)[] = [];
  /** places[activity][slot] is a column, or null where the activity may not stand. */
  readonly #places: (number | null)[][];
  readonly #placeCount: number;
  readonly #indexOf: ReadonlyMap<string, number>;

  constructor(input: TermPlanInput) {
    const { slots, activities, repeat } = input;
    this.#input = input;
    this.#indexOf = new Map(activities.map(({ id }, index) => [id, index]));
    const mayStand = placesOf(input);
    this.#places = activities.map((activity) =>
      slots.map((slot) =>
        repeat < 1 || !mayStand(slot, activity)
          ? null
          : this.#addColumn(suits(input, slot, activity), 1, true, fromPlan),
      ),
    );
    this.#placeCount = this.#columns.length;
  }

  build(minutesAs: MinutesAs): TermModel {
    this.#input.slots.forEach((_, slot) => this.#fillSlot(slot, minutesAs));
    const times = this.#input.activities.map((_, activity) => this.#countUses(activity));
    this.#keepOrder();
    this.#balance(times);
    this.#meetTargets(times);
    this.#boundWholeTerm(times);
    this.#pin();
    return {
      model: { columns: this.#columns, rows: this.#rows },
      read: (values) => this.#read(values),
      write: (slots) => this.#write(slots),
      isPlace: (column) => column < this.#placeCount,
      placeOf: (slot, activity) => this.#places[activity]![slot]!,
    };
  }

  #addColumn(gain: number, upper: number, isWhole: boolean, value: (values: number[]) => number): number {
    this.#valueOf.push(value);
    return this.#columns.push({ gain, upper, isWhole }) - 1;
  }

  #addRow(lower: number, upper: number, terms: Terms): void {
    if (terms.length > 0 || lower > 0) this.#rows.push({ lower, upper, terms });
  }

  #atMost(upper: number, terms: Terms): void {
    this.#addRow(-Infinity, upper, terms);
  }

  /** The columns of an activity in the slots from one up to before another. */
  #usesOf(activity: number, from = 0, to = this.#input.slots.length): number[] {
    return this.#places[activity]!.slice(from, to).filter((column): column is number => column !== null);
  }

  /** How many activities a slot takes, and how many minutes. */
  #fillSlot(at: number, minutesAs: MinutesAs): void {
    const { slots, activities, perSlot } = this.#input;
    const slot = slots[at]!;
    const standing = activities.flatMap(({ minutes }, index): Standing[] => {
      const column = this.#places[index]![at]!;
      return column === null ? [] : [{ column, minutes }];
    });
    this.#addRow(leastIn(slot, this.#input), perSlot[1], ones(standing.map(({ column }) => column)));
    const sizes = [...new Set(standing.map(({ minutes }) => minutes))].sort((left, right) => left - right);
    const most = sizes.map((size) => standing.filter(({ minutes }) => minutes === size).length);
    const patterns =
      minutesAs === 'cutting-patterns'
        ? findCuttingPatterns({ sizes, most, minutes: slot.minutes, count: perSlot[1] })
        : null;
    if (patterns) this.#chooseAmong(patterns, { standing, sizes });
    else
      this.#atMost(
        slot.minutes,
        standing.map(({ column, minutes }) => [column, minutes] as const),
      );
  }

  /** One cutting pattern at most is chosen for a slot, and what stands in it must lie within that pattern. */
  #chooseAmong(
    patterns: readonly (readonly number[])[],
    { standing, sizes }: { standing: readonly Standing[]; sizes: readonly number[] },
  ): void {
    const chosen = patterns.map(() => this.#addColumn(0, 1, false, fromPlan));
    this.#fillSlots.push((values) => {
      const counts = sizes.map(() => 0);
      for (const { column, minutes } of standing) if (values[column]! > 0.5) counts[sizes.indexOf(minutes)]! += 1;
      const covering = patterns.findIndex((pattern) => counts.every((count, size) => count <= pattern[size]!));
      if (covering >= 0) values[chosen[covering]!] = 1;
    });
    this.#atMost(1, ones(chosen));
    // One activity alone stands in no more patterns than have its size, however many of it they have.
    for (const { column, minutes } of standing) {
      const size = sizes.indexOf(minutes);
      const chosenWith = chosen.filter((_, pattern) => patterns[pattern]![size]! > 0);
      if (patterns.some((pattern) => pattern[size]! > 1)) this.#atMost(0, [[column, 1], ...ones(chosenWith, -1)]);
    }
    sizes.forEach((size, index) =>
      this.#atMost(0, [
        ...ones(standing.filter(({ minutes }) => minutes === size).map(({ column }) => column)),
        ...chosen.flatMap((column, pattern) =>
          patterns[pattern]![index]! > 0 ? [[column, -patterns[pattern]![index]!] as const] : [],
        ),
      ]),
    );
  }

  /** How often an activity is used, with rest between and after what it needs; gives the column of how often. */
  #countUses(activity: number): number {
    const { slots, activities, repeat, rest } = this.#input;
    const all = this.#usesOf(activity);
    if (repeat < slots.length) this.#atMost(repeat, ones(all));
    if (repeat > 1 && rest > 0)
      for (let from = 0; from + 1 < slots.length; from++) {
        const near = this.#usesOf(activity, from, from + rest + 1);
        if (near.length > 1) this.#atMost(1, ones(near));
      }
    const times = this.#addColumn(0, Math.max(0, repeat), true, (values) => sumOf(values, all));
    this.#addRow(0, 0, [[times, 1], ...ones(all, -1)]);
    const isNew = this.#addColumn(POINTS.distinct, 1, true, (values) => Math.min(1, values[times]!));
    this.#atMost(0, [
      [isNew, 1],
      [times, -1],
    ]);
    for (const earlier of activities[activity]!.after ?? []) this.#comeAfter(activity, this.#indexOf.get(earlier)!);
    return times;
  }

  #comeAfter(activity: number, earlier: number): void {
    const { slots, repeat, rest } = this.#input;
    slots.forEach((_, slot) => {
      const upTo = this.#usesOf(earlier, 0, slot);
      // Of slots so near that one use at most stands in them, all together need the earlier one; that bounds more tightly.
      const mine = this.#usesOf(activity, repeat === 1 ? 0 : Math.max(0, slot - rest), slot + 1);
      if (this.#places[activity]![slot] !== null) this.#atMost(0, [...ones(mine), ...ones(upTo, -1)]);
    });
  }

  /** Each activity of a skill that comes second needs one of the first in an earlier slot. */
  #keepOrder(): void {
    const { slots, activities, order = [], repeat, rest } = this.#input;
    for (const [first, second] of order) {
      const firsts = activities.flatMap(({ skills }, index) => (skills.includes(first) ? [index] : []));
      activities.forEach(({ skills }, activity) => {
        if (!skills.includes(second)) return;
        slots.forEach((_, slot) => {
          if (this.#places[activity]![slot] === null) return;
          const earlier = firsts.flatMap((index) => this.#usesOf(index, 0, slot));
          const mine = this.#usesOf(activity, repeat === 1 ? 0 : Math.max(0, slot - rest), slot + 1);
          this.#atMost(0, [
            ...ones(mine.filter((column) => !earlier.includes(column))),
            ...ones(
              earlier.filter((column) => !mine.includes(column)),
              -1,
            ),
          ]);
        });
      });
    }
  }

  /** Of each kind that is named no fewer and no more in the whole term. */
  #balance(times: readonly number[]): void {
    const { activities, balance = {} } = this.#input;
    for (const [kind, [least, most]] of Object.entries(balance))
      this.#addRow(least, most, ones(times.filter((_, index) => activities[index]!.kind === kind)));
  }

  #meetTargets(times: readonly number[]): void {
    const { targets, activities } = this.#input;
    for (const [skill, target] of Object.entries(targets)) {
      const touching = times.filter((_, index) => activities[index]!.skills.includes(skill));
      const met = this.#addColumn(POINTS.target, target, true, (values) => Math.min(target, sumOf(values, touching)));
      this.#atMost(0, [[met, 1], ...ones(touching, -1)]);
    }
  }

  /** These follow from the rows of the slots; over whole numbers the solver draws tighter bounds from them. */
  #boundWholeTerm(times: readonly number[]): void {
    const { slots, activities, perSlot } = this.#input;
    this.#atMost(
      slots.reduce((sum, { minutes }) => sum + minutes, 0),
      times.map((column, index) => [column, activities[index]!.minutes] as const),
    );
    this.#atMost(slots.length * perSlot[1], ones(times));
  }

  #pin(): void {
    const { slots, pinned = {} } = this.#input;
    slots.forEach(({ id }, at) =>
      (pinned[id] ?? []).forEach((activity) => {
        const column = this.#places[this.#indexOf.get(activity)!]![at]!;
        this.#addRow(1, 1, column === null ? [] : [[column, 1]]);
      }),
    );
  }

  #read(values: readonly number[]): TermPlan['slots'] {
    const { slots, activities } = this.#input;
    const stands = (activity: number, slot: number) => {
      const column = this.#places[activity]![slot]!;
      return column !== null && (values[column] ?? 0) > 0.5;
    };
    return slots.map(({ id }, at) => ({
      id,
      activities: activities.filter((_, index) => stands(index, at)).map((activity) => activity.id),
    }));
  }

  #write(plan: TermPlan['slots']): number[] {
    const values = this.#columns.map(() => 0);
    plan.forEach((slot, at) =>
      slot.activities.forEach((id) => (values[this.#places[this.#indexOf.get(id)!]![at]!] = 1)),
    );
    for (const fillSlot of this.#fillSlots) fillSlot(values);
    this.#columns.forEach((_, column) => {
      if (this.#valueOf[column] !== fromPlan) values[column] = this.#valueOf[column]!(values);
    });
    return values;
  }
}
