import type { AssignmentNeed, AssignmentOption, Steps } from './assignmentNeed.ts';
import { goodStart } from './goodStart.ts';
import { bestMultipliers } from './multipliers.ts';
import type { CapacityRow, RowNeed, RowOption } from './rows.ts';

/** What it costs to begin with one independent part: its prices are found in so many rounds. */
const STEPS_TO_BEGIN = 50;
/** After its steps are used up, a search that has no answer yet may take so many more to find one. */
const STEPS_TO_A_FIRST = 500;
const CAPACITY_TOLERANCE = 1e-9;
/** Gains are whole, so a bound within half of the best cannot hide a better answer. */
const PRUNING_TOLERANCE = 0.5;

/**
 * Searches needs that are too many to be shared out exactly, then holds each in turn to the earliest option that loses
 * nothing. Depth first from a good start; a branch is left only when a proved upper bound says that nothing better lies
 * there, and the search ends with its `steps`. Two bounds are used: every open need gets its best option that still fits by
 * itself; and the Lagrangian relaxation of the capacities (Geoffrion 1974), whose multipliers are found once. Null when a
 * need that must take one cannot, or when no answer was found in the steps.
 */
export function searchEarliest(
  needs: readonly AssignmentNeed[],
  available: ReadonlyMap<string, number>,
  { coverGain, steps }: { readonly coverGain: number; readonly steps: Steps },
): { chosen: (number | null)[]; gain: number } | null {
  const search = (among: readonly AssignmentNeed[], atLeast: number) => {
    const rows = capacityRows(among, available);
    const found = searchPart(rows.needs, rows.rows, { coverGain, steps, atLeast });
    if (!found) return null;
    const chosen: (number | null)[] = among.map(() => null);
    rows.needs.forEach(({ position }, index) => (chosen[position] = found.picks[index]!));
    return { chosen, gain: found.gain };
  };
  let best = search(needs, 0);
  let held = needs;
  for (const [position, { options }] of needs.entries()) {
    for (const option of options) {
      if (!best || steps.left <= 0 || option.index === best.chosen[position]) break;
      const tried = search(withOnly(held, position, option), best.gain);
      if (tried) best = tried;
    }
    const taken = options.find(({ index }) => index === best?.chosen[position]);
    if (taken) held = withOnly(held, position, taken);
  }
  return best;
}

function withOnly(needs: readonly AssignmentNeed[], position: number, option: AssignmentOption): AssignmentNeed[] {
  return needs.map((need, index) => (index === position ? { ...need, options: [option], mustTake: true } : need));
}

/** One row for each thing and each segment that lays it out: what the row may carry, and which options load it. */
function capacityRows(
  needs: readonly AssignmentNeed[],
  available: ReadonlyMap<string, number>,
): { needs: RowNeed[]; rows: CapacityRow[] } {
  const rows: CapacityRow[] = [];
  const rowsOf = new Map<string, Map<string, number>>();
  const segmentsOf = new Map<string, Set<string>>();
  for (const { options, use, segment } of needs)
    for (const { item } of options) {
      const segments = segmentsOf.get(item) ?? new Set<string>();
      segmentsOf.set(item, segments);
      if (use === 'lasting') segments.add(segment);
    }
  for (const [item, segments] of segmentsOf) {
    const byName = new Map<string, number>();
    rowsOf.set(item, byName);
    for (const segment of segments.size > 0 ? segments : ['used up']) {
      byName.set(segment, rows.length);
      rows.push({ capacity: available.get(item) ?? 0 });
    }
  }
  const partNeeds = needs.map((need, position) => {
    const options = need.options.map(({ index, item, qty, gain }) => {
      const byName = rowsOf.get(item)!;
      return { index, qty, gain, rows: need.use === 'lasting' ? [byName.get(need.segment)!] : [...byName.values()] };
    });
    return {
      position,
      mustTake: need.mustTake === true,
      options: options.sort((left, right) => right.gain - left.gain),
    };
  });
  const largest = ({ options }: RowNeed) => Math.max(...options.map(({ qty }) => qty));
  partNeeds.sort((left, right) => largest(right) - largest(left) || left.options.length - right.options.length);
  return { needs: partNeeds, rows };
}

function searchPart(
  needs: readonly RowNeed[],
  rows: readonly CapacityRow[],
  { coverGain, steps, atLeast }: { readonly coverGain: number; readonly steps: Steps; readonly atLeast: number },
): { gain: number; picks: readonly (number | null)[] } | null {
  const firstFitting = takeFirstFitting(needs, rows);
  if (firstFitting) return firstFitting.gain >= atLeast ? firstFitting : null;
  steps.left -= STEPS_TO_BEGIN;
  const multipliers = bestMultipliers(needs, rows, coverGain);
  const priceOf = ({ qty, rows: optionRows }: RowOption) =>
    qty * optionRows.reduce((sum, row) => sum + multipliers[row]!, 0);
  const ordered = needs.map((need) =>
    [...need.options].sort((left, right) => right.gain - priceOf(right) - (left.gain - priceOf(left))),
  );
  const remaining = rows.map((row) => row.capacity);
  const picks: (number | null)[] = needs.map(() => null);
  // What gains less than what is known is not looked for.
  let best: { gain: number; picks: readonly (number | null)[] | null } = { gain: atLeast - 1, picks: null };
  const start = atLeast > 0 ? null : goodStart(needs, rows);
  if (start) best = start;

  const upperBound = boundOver(needs, { coverGain, multipliers, remaining });
  const fits = ({ qty, rows: optionRows }: RowOption) =>
    optionRows.every((row) => qty <= remaining[row]! + CAPACITY_TOLERANCE);

  const visit = (depth: number, gain: number): void => {
    // Where a gain was asked for, nothing better lies anywhere.
    if (atLeast > 0 && best.picks) return;
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
  return best.picks && { gain: best.gain, picks: best.picks };
}

/** The most that can still be gained from a need on, with what remains of each row: the smaller of two bounds, whole covers first. */
function boundOver(
  needs: readonly RowNeed[],
  {
    coverGain,
    multipliers,
    remaining,
  }: { readonly coverGain: number; readonly multipliers: readonly number[]; readonly remaining: readonly number[] },
): (depth: number, gain: number) => number {
  const net = ({ qty, rows, gain }: RowOption) => gain - qty * rows.reduce((sum, row) => sum + multipliers[row]!, 0);
  const reducedGainFrom = suffixSums(needs.map(({ options }) => Math.max(0, ...options.map(net))));
  const fits = ({ qty, rows }: RowOption) => rows.every((row) => qty <= remaining[row]! + CAPACITY_TOLERANCE);
  return (depth, gain) => {
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
}

/** Every need with its best option, where all of them fit together: nothing can be better. */
function takeFirstFitting(
  needs: readonly RowNeed[],
  rows: readonly CapacityRow[],
): { gain: number; picks: number[] } | null {
  const load = rows.map(() => 0);
  for (const { options } of needs) for (const row of options[0]!.rows) load[row]! += options[0]!.qty;
  const allFit = rows.every(({ capacity }, row) => load[row]! <= capacity + CAPACITY_TOLERANCE);
  if (!allFit) return null;
  const firsts = needs.map(({ options }) => options[0]!);
  return { gain: firsts.reduce((sum, { gain }) => sum + gain, 0), picks: firsts.map(({ index }) => index) };
}

/** sums[k] is the sum of values[k], values[k+1], …; one longer than the values. */
function suffixSums(values: readonly number[]): number[] {
  const sums = [...values, 0];
  for (let index = values.length - 1; index >= 0; index--) sums[index] = sums[index + 1]! + values[index]!;
  return sums;
}
