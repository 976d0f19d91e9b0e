import { searchAssignment, type AssignmentNeed, type Steps } from '../materials/assignment.ts';
import { worthAmong, type StockItem, type Worth } from '../materials/swaps.ts';
import { waysOf, type NeedOfWay, type PartToServe, type PartWay } from './partWays.ts';

/** What serves each need of a part, by its place (null: nothing there does), and the dials that come of it. */
export interface PartPicks {
  readonly way: PartWay;
  readonly places: readonly (number | null)[];
}

/** A part with all its ways, worked out once and asked about for different stocks. */
export interface PreparedPart {
  readonly part: PartToServe;
  readonly ways: readonly PartWay[];
}

/** Steps that the picks of one home may take before the best so far is taken. Real sessions take a few hundred. */
const MOST_STEPS = 10_000;
const TOLERANCE = 1e-9;

/** Works out the ways of a part. */
export function preparePart(part: PartToServe): PreparedPart {
  return { part, ways: waysOf(part) };
}

/**
 * Chooses what serves each need of a whole session at one home: most needs covered, then the highest fit, then most of
 * what the script says, then, need by need, the earlier option. Swaps that set dials change what the other needs of
 * their part ask for, and are weighed with that. Exact within `steps`, which are counted and not timed; beyond them the
 * best that was found. No parts: no picks.
 */
export function bestPicks(
  parts: readonly PreparedPart[],
  stock: readonly StockItem[],
  steps: Steps = { left: MOST_STEPS },
): PartPicks[] {
  const available = new Map<string, number>();
  for (const { item, qty } of stock) available.set(item, (available.get(item) ?? 0) + qty);
  const worth = worthAmong(parts.reduce((sum, { part }) => sum + part.needs.length, 0));
  const picks: PartPicks[] = new Array<PartPicks>(parts.length);
  for (const group of groupsThatShare(parts, available)) {
    const chosen = bestOfGroup(
      group.map((index) => parts[index]!),
      { available, worth, steps },
    );
    group.forEach((index, place) => (picks[index] = chosen[place]!));
  }
  return picks;
}

/** Groups of parts (by index) such that no thing at hand could serve parts of two groups. */
function groupsThatShare(parts: readonly PreparedPart[], available: ReadonlyMap<string, number>): number[][] {
  const groupOf = parts.map((_, index) => index);
  const rootOf = (index: number): number => (groupOf[index] === index ? index : rootOf(groupOf[index]!));
  const firstWith = new Map<string, number>();
  for (const [index, { part }] of parts.entries())
    for (const { options } of part.needs)
      for (const { item } of options) {
        if (!available.has(item)) continue;
        const first = firstWith.get(item);
        if (first === undefined) firstWith.set(item, index);
        else groupOf[rootOf(index)] = rootOf(first);
      }
  const groups = new Map<number, number[]>();
  for (const index of parts.keys()) {
    const members = groups.get(rootOf(index));
    if (members) members.push(index);
    else groups.set(rootOf(index), [index]);
  }
  return [...groups.values()];
}

interface Solution {
  readonly gain: number;
  readonly picks: readonly PartPicks[];
}

/** For one need of one part, the option it is held to (by its place). */
type Held = ReadonlyMap<string, number>;

function bestOfGroup(
  parts: readonly PreparedPart[],
  { available, worth, steps }: Omit<Search, 'held'>,
): readonly PartPicks[] {
  if (parts.every(({ ways }) => ways.length === 1)) {
    // Nothing gains more, and among equals nothing comes earlier.
    const chosen = parts.map(({ ways: [way] }) => ({ way: way!, needs: way!.needs }));
    const all = everyBest(parts, chosen, { available, worth, steps });
    if (all) return all.picks;
  }
  let best = solve(parts, { available, worth, steps, held: new Map() }) ?? withNothing(parts);
  // Among equals the earlier option: each need in turn is held to the earliest one that loses nothing.
  const held = new Map<string, number>();
  parts.forEach(({ part }, partIndex) =>
    part.needs.forEach(({ id, options }, needIndex) => {
      const now = () => best.picks[partIndex]!.places[needIndex] ?? Infinity;
      for (const { item, place } of options) {
        if (place >= now() || steps.left <= 0) break;
        if ((available.get(item) ?? 0) === 0 && !isFree(parts[partIndex]!, needIndex, place)) continue;
        const tried = solve(parts, { available, worth, steps, held: new Map([...held, [id, place]]) });
        if (tried && tried.gain === best.gain) best = tried;
      }
      const place = best.picks[partIndex]!.places[needIndex];
      if (place !== null && place !== undefined) held.set(id, place);
    }),
  );
  return best.picks;
}

/** Every need going without: what is left where whatever is there would set a dial in two ways. */
function withNothing(parts: readonly PreparedPart[]): Solution {
  return { gain: 0, picks: parts.map(({ part, ways: [way] }) => ({ way: way!, places: part.needs.map(() => null) })) };
}

/** Whether an option takes nothing in some way of the part (none of it is needed). */
function isFree({ ways }: PreparedPart, needIndex: number, place: number): boolean {
  return ways.some(({ needs }) =>
    needs[needIndex]!.options.some((option) => option.place === place && option.qty === 0),
  );
}

interface Search {
  readonly available: ReadonlyMap<string, number>;
  readonly worth: Worth;
  readonly held: Held;
  readonly steps: Steps;
}

/** The best combination of ways, by depth-first search that leaves a branch once no better answer can lie there. */
function solve(parts: readonly PreparedPart[], search: Search): Solution | null {
  const open = parts.map(({ part, ways }) =>
    ways
      .flatMap((way) => {
        const needs = holdNeeds(part, way, search.held);
        return needs ? [{ way, needs, bound: boundOf(needs, search) }] : [];
      })
      .filter(({ bound }) => bound >= 0)
      .sort((left, right) => right.bound - left.bound),
  );
  const boundFrom = [...open.map((ways) => ways[0]?.bound ?? -Infinity), 0];
  for (let index = open.length - 1; index >= 0; index--) boundFrom[index]! += boundFrom[index + 1]!;
  let best: Solution | null = null;
  const chosen: (typeof open)[number] = [];
  const visit = (index: number, bound: number) => {
    if (best && bound + boundFrom[index]! <= best.gain) return;
    search.steps.left -= 1;
    if (search.steps.left < 0 && (best || search.steps.left < -MOST_STEPS)) return;
    if (index === parts.length) {
      const solved = assign(parts, chosen, search);
      if (solved && (!best || solved.gain > best.gain)) best = solved;
      return;
    }
    for (const way of open[index]!) {
      chosen.push(way);
      visit(index + 1, bound + way.bound);
      chosen.pop();
    }
  };
  visit(0, 0);
  return best;
}

/** The needs of a way with some held to one option; null when the way does not allow it. */
function holdNeeds(part: PartToServe, way: PartWay, held: Held): readonly NeedOfWay[] | null {
  const needs: NeedOfWay[] = [];
  for (const [index, need] of way.needs.entries()) {
    const place = held.get(part.needs[index]!.id);
    if (place === undefined) needs.push(need);
    else {
      const options = need.options.filter((option) => option.place === place);
      if (options.length === 0) return null;
      needs.push({ takes: 'one', options });
    }
  }
  return needs;
}

/** What a way could gain at most, each need served alone; below 0 when one that must take cannot. */
function boundOf(needs: readonly NeedOfWay[], { available, worth }: Search): number {
  let bound = 0;
  for (const { takes, options } of needs) {
    let best = -1;
    for (const { item, qty, fit, place } of options)
      if (qty <= (available.get(item) ?? 0) + TOLERANCE) best = Math.max(best, worth.of(fit, place === 0));
    if (best < 0 && takes === 'one') return -1;
    bound += Math.max(0, best);
  }
  return bound;
}

/** A way of a part that is looked at, with what its needs may take there. */
interface ChosenWay {
  readonly way: PartWay;
  readonly needs: readonly NeedOfWay[];
}

/** Each need with its best option, the earliest of equals, where all of them are there together: nothing gains more. Null where they are not. */
function everyBest(
  parts: readonly PreparedPart[],
  chosen: readonly ChosenWay[],
  { available, worth }: Omit<Search, 'held'>,
): Solution | null {
  const usedUp = new Map<string, number>();
  const lasting = new Map<string, number>();
  let gain = 0;
  const picks: PartPicks[] = [];
  for (const [index, { way, needs }] of chosen.entries()) {
    const uses = parts[index]!.part.needs;
    const laidOut = new Map<string, number>();
    const places: (number | null)[] = [];
    for (const [needIndex, { takes, options }] of needs.entries()) {
      let best: (typeof options)[number] | null = null;
      let most = 0;
      for (const option of options) {
        if (option.qty > (available.get(option.item) ?? 0) + TOLERANCE) continue;
        const of = worth.of(option.fit, option.place === 0);
        if (best === null || of > most || (of === most && option.place < best.place)) [best, most] = [option, of];
      }
      if (best === null && takes === 'one') return null;
      places.push(best === null ? null : best.place);
      if (best === null) continue;
      gain += most;
      const taken = uses[needIndex]!.use === 'used-up' ? usedUp : laidOut;
      taken.set(best.item, (taken.get(best.item) ?? 0) + best.qty);
    }
    for (const [item, qty] of laidOut) lasting.set(item, Math.max(qty, lasting.get(item) ?? 0));
    picks.push({ way, places });
  }
  const isEnough = (item: string) =>
    (usedUp.get(item) ?? 0) + (lasting.get(item) ?? 0) <= (available.get(item) ?? 0) + TOLERANCE;
  return [...usedUp.keys(), ...lasting.keys()].every(isEnough) ? { gain, picks } : null;
}

function assign(parts: readonly PreparedPart[], chosen: readonly ChosenWay[], search: Search): Solution | null {
  const { available, worth } = search;
  const all = everyBest(parts, chosen, search);
  if (all) return all;
  const needs = parts.flatMap(({ part }, index) =>
    chosen[index]!.needs.map(({ takes, options }, needIndex): AssignmentNeed => ({
      segment: part.id,
      use: part.needs[needIndex]!.use,
      mustTake: takes === 'one',
      options: options.map(({ item, qty, fit, place }, at) => ({
        index: at,
        item,
        qty,
        gain: worth.of(fit, place === 0),
      })),
    })),
  );
  const answer = searchAssignment(needs, available, { coverGain: worth.cover, steps: search.steps });
  if (!answer) return null;
  let at = 0;
  let gain = 0;
  const picks = parts.map((_, index): PartPicks => {
    const { way, needs: wayNeeds } = chosen[index]!;
    const places = wayNeeds.map(({ options }) => {
      const option = options[answer[at++] ?? -1];
      if (option) gain += worth.of(option.fit, option.place === 0);
      return option?.place ?? null;
    });
    return { way, places };
  });
  return { gain, picks };
}
