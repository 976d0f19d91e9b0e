import { bestMultipliers, type CapacityRow } from './multipliers.ts';

/** One thing that would serve a need, with its worth and how many it takes. */
interface AssignmentOption {
  /** The place in the need's own list, from 0. */
  readonly index: number;
  readonly item: string;
  /** How many of it serve the need. */
  readonly qty: number;
  /** A whole number, so that sums are exact. */
  readonly gain: number;
}

/** A need with all that may serve it. */
export interface AssignmentNeed {
  readonly segment: string;
  readonly use: 'lasting' | 'used-up';
  readonly options: readonly AssignmentOption[];
  /** It takes one of its options in every answer; absent: it may also go without. */
  readonly mustTake?: boolean | undefined;
}

/** A need within one independent part of the problem; option rows are indexes into the part's capacity rows. */
interface PartNeed {
  readonly position: number;
  readonly mustTake: boolean;
  readonly options: readonly PartOption[];
}

interface PartOption {
  readonly index: number;
  readonly qty: number;
  readonly gain: number;
  readonly rows: readonly number[];
}

/**
 * How many steps a search may still take. It is counted down by those who share it, never by a clock: what comes out is
 * the same on every machine. Once it is used up, the best found so far is the answer.
 */
export interface Steps {
  left: number;
}

/** What it costs to begin with one independent part: its prices are found in so many rounds. */
const STEPS_TO_BEGIN = 50;
/** After its steps are used up, a search that has no answer yet may take so many more to find one. */
const STEPS_TO_A_FIRST = 500;
const CAPACITY_TOLERANCE = 1e-9;
/** Gains are whole, so a bound within half of the best cannot hide a better answer. */
const PRUNING_TOLERANCE = 0.5;

/**
 * Gives each need at most one of its options so that the summed gain is largest and no thing is used beyond what is
 * there: used-up quantities over all needs, plus the largest segment's sum of lasting ones. Returns, for each need,
 * the index of its option, or null; null in place of the list when a need that must take one cannot.
 *
 * Exact while there are steps left: a depth-first search that leaves a branch only when a proved upper bound says that nothing better lies there.
 * Two bounds are used: every open need gets its best option that still fits by itself; and the Lagrangian relaxation
 * of the capacities (Geoffrion 1974), whose multipliers are found once for each independent part.
 */
export function searchAssignment(
  needs: readonly AssignmentNeed[],
  available: ReadonlyMap<string, number>,
  { coverGain, steps }: { readonly coverGain: number; readonly steps: Steps },
): (number | null)[] | null {
  const chosen: (number | null)[] = needs.map(() => null);
  const open = needs.map((need) =>
    need.options.filter(({ item, qty }) => qty <= (available.get(item) ?? 0) + CAPACITY_TOLERANCE),
  );
  if (needs.some(({ mustTake }, position) => mustTake && open[position]!.length === 0)) return null;
  assignUncontested(needs, open, available, chosen);
  for (const part of independentParts(needs, open, chosen)) {
    const rows = capacityRows(part, needs, open, available);
    const best = searchPart(rows.needs, rows.rows, { coverGain, steps });
    if (!best) return null;
    rows.needs.forEach((need, index) => (chosen[need.position] = best[index]!));
  }
  return chosen;
}

/** Drops options that cannot be better, and settles needs whose best thing is there in plenty. */
function assignUncontested(
  needs: readonly AssignmentNeed[],
  open: AssignmentOption[][],
  available: ReadonlyMap<string, number>,
  chosen: (number | null)[],
): void {
  for (;;) {
    const scarce = scarceThings(needs, open, available);
    let isSettled = true;
    needs.forEach((_, position) => {
      const options = open[position]!;
      const plentiful = options.filter(({ item }) => !scarce.has(item));
      if (plentiful.length === 0 || (options.length === 1 && chosen[position] !== null)) return;
      const sure = plentiful.reduce((best, option) => (option.gain > best.gain ? option : best));
      const better = options.filter((option) => option.gain > sure.gain);
      if (better.length + 1 < options.length) isSettled = false;
      open[position] = [...better, sure];
      if (better.length === 0) chosen[position] = sure.index;
    });
    if (isSettled) return;
  }
}

/** The things of which there is not enough for every need that might ask for them. */
function scarceThings(
  needs: readonly AssignmentNeed[],
  open: readonly (readonly AssignmentOption[])[],
  available: ReadonlyMap<string, number>,
): Set<string> {
  const asked = new Map<string, { usedUp: number; lasting: Map<string, number> }>();
  needs.forEach((need, position) => {
    const most = new Map<string, number>();
    for (const { item, qty } of open[position]!) most.set(item, Math.max(qty, most.get(item) ?? 0));
    for (const [item, qty] of most) {
      const demand = asked.get(item) ?? { usedUp: 0, lasting: new Map<string, number>() };
      asked.set(item, demand);
      if (need.use === 'used-up') demand.usedUp += qty;
      else demand.lasting.set(need.segment, (demand.lasting.get(need.segment) ?? 0) + qty);
    }
  });
  const scarce = new Set<string>();
  for (const [item, { usedUp, lasting }] of asked) {
    const most = usedUp + Math.max(0, ...lasting.values());
    if (most > (available.get(item) ?? 0) + CAPACITY_TOLERANCE) scarce.add(item);
  }
  return scarce;
}

/** Groups the needs that are still open so that needs of different groups share no thing. Positions into the list of needs. */
function independentParts(
  needs: readonly AssignmentNeed[],
  open: readonly (readonly AssignmentOption[])[],
  chosen: readonly (number | null)[],
): number[][] {
  let parts: { members: number[]; items: Set<string> }[] = [];
  needs.forEach((_, position) => {
    if (chosen[position] !== null || open[position]!.length === 0) return;
    const merged = { members: [position], items: new Set(open[position]!.map(({ item }) => item)) };
    const [touching, apart] = partition(parts, ({ items }) => [...merged.items].some((item) => items.has(item)));
    for (const part of touching) {
      merged.members.push(...part.members);
      for (const item of part.items) merged.items.add(item);
    }
    parts = [...apart, merged];
  });
  return parts.map(({ members }) => members);
}

function partition<Value>(values: readonly Value[], belongs: (value: Value) => boolean): [Value[], Value[]] {
  return [values.filter((value) => belongs(value)), values.filter((value) => !belongs(value))];
}

/** One row for each thing and each segment that lays it out: what the row may carry, and which options load it. */
function capacityRows(
  part: readonly number[],
  needs: readonly AssignmentNeed[],
  open: readonly (readonly AssignmentOption[])[],
  available: ReadonlyMap<string, number>,
): { needs: PartNeed[]; rows: CapacityRow[] } {
  const rows: CapacityRow[] = [];
  const rowsOf = new Map<string, Map<string, number>>();
  const segmentsOf = new Map<string, Set<string>>();
  for (const position of part) {
    for (const { item } of open[position]!) {
      const segments = segmentsOf.get(item) ?? new Set<string>();
      segmentsOf.set(item, segments);
      if (needs[position]!.use === 'lasting') segments.add(needs[position]!.segment);
    }
  }
  for (const [item, segments] of segmentsOf) {
    const byName = new Map<string, number>();
    rowsOf.set(item, byName);
    for (const segment of segments.size > 0 ? segments : ['used up']) {
      byName.set(segment, rows.length);
      rows.push({ capacity: available.get(item) ?? 0 });
    }
  }
  const partNeeds = part.map((position) => {
    const need = needs[position]!;
    const options = open[position]!.map(({ index, item, qty, gain }) => {
      const byName = rowsOf.get(item)!;
      return { index, qty, gain, rows: need.use === 'lasting' ? [byName.get(need.segment)!] : [...byName.values()] };
    });
    return {
      position,
      mustTake: need.mustTake === true,
      options: options.sort((left, right) => right.gain - left.gain),
    };
  });
  const largest = ({ options }: PartNeed) => Math.max(...options.map(({ qty }) => qty));
  partNeeds.sort((left, right) => largest(right) - largest(left) || left.options.length - right.options.length);
  return { needs: partNeeds, rows };
}

function searchPart(
  needs: readonly PartNeed[],
  rows: readonly CapacityRow[],
  { coverGain, steps }: { readonly coverGain: number; readonly steps: Steps },
): (number | null)[] | null {
  const firstFitting = takeFirstFitting(needs, rows);
  if (firstFitting) return firstFitting;
  steps.left -= STEPS_TO_BEGIN;
  const multipliers = bestMultipliers(needs, rows, coverGain);
  const priceOf = ({ qty, rows: optionRows }: PartOption) =>
    qty * optionRows.reduce((sum, row) => sum + multipliers[row]!, 0);
  const ordered = needs.map((need) =>
    [...need.options].sort((left, right) => right.gain - priceOf(right) - (left.gain - priceOf(left))),
  );
  const reducedGain = needs.map((need) => Math.max(0, ...need.options.map((option) => option.gain - priceOf(option))));
  const reducedGainFrom = suffixSums(reducedGain);
  const remaining = rows.map((row) => row.capacity);
  const picks: (number | null)[] = needs.map(() => null);
  let best: { gain: number; picks: (number | null)[] | null } = { gain: -1, picks: null };

  const fits = ({ qty, rows: optionRows }: PartOption) =>
    optionRows.every((row) => qty <= remaining[row]! + CAPACITY_TOLERANCE);

  const upperBound = (depth: number, gain: number): number => {
    let alone = gain;
    let bestFits = gain % coverGain;
    for (let index = depth; index < needs.length; index++) {
      const option = needs[index]!.options.find(fits);
      if (!option) continue;
      alone += option.gain;
      bestFits += option.gain - coverGain;
    }
    const priced = remaining.reduce(
      (sum, capacity, row) => sum + capacity * multipliers[row]!,
      gain + reducedGainFrom[depth]!,
    );
    const bound = Math.min(alone, priced);
    const mostCovered = Math.floor(bound / coverGain + 1e-9);
    return Math.min(bound, mostCovered * coverGain + bestFits);
  };

  const visit = (depth: number, gain: number): void => {
    steps.left -= 1;
    if (steps.left < 0 && (best.picks || steps.left < -STEPS_TO_A_FIRST)) return;
    if (depth === needs.length) {
      if (gain > best.gain + PRUNING_TOLERANCE) best = { gain, picks: [...picks] };
      return;
    }
    if (upperBound(depth, gain) <= best.gain + PRUNING_TOLERANCE) return;
    const need = needs[depth]!;
    for (const option of ordered[depth]!) {
      if (!fits(option)) continue;
      for (const row of option.rows) remaining[row]! -= option.qty;
      picks[depth] = option.index;
      visit(depth + 1, gain + option.gain);
      picks[depth] = null;
      for (const row of option.rows) remaining[row]! += option.qty;
    }
    if (!need.mustTake) visit(depth + 1, gain);
  };

  visit(0, 0);
  return best.picks;
}

/** Every need with its best option, where all of them fit together: nothing can be better. */
function takeFirstFitting(needs: readonly PartNeed[], rows: readonly CapacityRow[]): number[] | null {
  const load = rows.map(() => 0);
  for (const { options } of needs) for (const row of options[0]!.rows) load[row]! += options[0]!.qty;
  const allFit = rows.every(({ capacity }, row) => load[row]! <= capacity + CAPACITY_TOLERANCE);
  return allFit ? needs.map(({ options }) => options[0]!.index) : null;
}

/** sums[k] is the sum of values[k], values[k+1], …; one longer than the values. */
function suffixSums(values: readonly number[]): number[] {
  const sums = [...values, 0];
  for (let index = values.length - 1; index >= 0; index--) sums[index] = sums[index + 1]! + values[index]!;
  return sums;
}
