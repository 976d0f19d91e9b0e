import type { AssignmentNeed, AssignmentOption, Steps } from './assignmentNeed.ts';
import { searchEarliest } from './boundedSearch.ts';
import { shareOut } from './shareOut.ts';

/** What serves each need, and whether it was proved that nothing is better. */
export interface Assignment {
  /** For each need the index of its option; null: none. */
  readonly chosen: readonly (number | null)[];
  readonly isProved: boolean;
}

/** Steps of sharing out are quicker than those of a search: so many count as one. */
const SHARED_IN_A_STEP = 400;
const CAPACITY_TOLERANCE = 1e-9;

/**
 * Gives each need at most one of its options so that the summed gain is largest and no thing is used beyond what is
 * there: used-up quantities over all needs, plus the largest segment's sum of lasting ones. Among equals each need in turn
 * takes the earlier option. Null when a need that must take one cannot.
 *
 * Things that are there in plenty are settled first, and needs that share no thing are looked at apart. Up to fourteen that
 * do share are given their things exactly (`shareOut`). More are searched with proved bounds until the `steps` are used up
 * (`searchEarliest`).
 */
export function searchAssignment(
  needs: readonly AssignmentNeed[],
  available: ReadonlyMap<string, number>,
  { coverGain, steps }: { readonly coverGain: number; readonly steps: Steps },
): Assignment | null {
  const chosen: (number | null)[] = needs.map(() => null);
  const open = needs.map((need) =>
    need.options.filter(({ item, qty }) => qty <= (available.get(item) ?? 0) + CAPACITY_TOLERANCE),
  );
  if (needs.some(({ mustTake }, position) => mustTake && open[position]!.length === 0)) return null;
  assignUncontested(needs, open, available, chosen);
  let isProved = true;
  for (const part of independentParts(needs, open, chosen)) {
    const ofPart = part.map((position) => ({ ...needs[position]!, options: open[position]! }));
    const shared = shareOut(ofPart, available);
    if (shared === null) return null;
    const answer = shared === 'too-large' ? searchEarliest(ofPart, available, { coverGain, steps }) : shared;
    if (!answer) return null;
    if (shared !== 'too-large') steps.left -= Math.ceil(shared.steps / SHARED_IN_A_STEP);
    else isProved &&= steps.left >= 0;
    part.forEach((position, index) => (chosen[position] = answer.chosen[index]!));
  }
  return { chosen, isProved };
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
      const better = options.filter(
        (option) => option.gain > sure.gain || (option.gain === sure.gain && option.index < sure.index),
      );
      if (better.length + 1 < options.length) isSettled = false;
      open[position] = options.filter((option) => option === sure || better.includes(option));
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
  return parts.map(({ members }) => members.sort((left, right) => left - right));
}

function partition<Value>(values: readonly Value[], belongs: (value: Value) => boolean): [Value[], Value[]] {
  return [values.filter((value) => belongs(value)), values.filter((value) => !belongs(value))];
}
