import { searchAssignment } from './assignment.ts';
import type { AssignmentNeed, Steps } from './assignmentNeed.ts';
import { leniently, type DialSetting, type NeedHere, type OptionHere, type PreparedPart } from './dialSettings.ts';
import { worthAmong, type Worth } from './worth.ts';

/** So many of a thing, by its key. */
export interface StockItem {
  readonly item: string;
  readonly qty: number;
}

/** What serves the needs of some parts at one home. */
export interface Fitting {
  /** For each part and need the place of its option; null: nothing that is there serves it. */
  readonly picks: readonly (readonly (number | null)[])[];
  /** Whether it was proved that nothing is better; false where the steps did not reach. */
  readonly isProved: boolean;
}

/** Steps that fitting one home may take before the best so far is taken. Real sessions take a few hundred. */
const MOST_STEPS = 30_000;
const TOLERANCE = 1e-9;

/**
 * Chooses what serves each need of a whole session at one home: most needs covered, then the highest fit, then most of
 * what the script says, then, need by need, the earlier option. What sets dials changes what the other needs of its part ask
 * for, and is weighed with that; options that set one dial differently exclude each other, and a need that goes without still
 * sets what its first permitted option sets.
 *
 * The optimum wherever at most fourteen needs contend for the same things and a part has at most 512 settings of its dials;
 * beyond that the best that a fixed number of `steps` finds, the same on every machine, with `isProved` false unless it was.
 * No parts: no picks, proved.
 */
export function fitParts(
  parts: readonly PreparedPart[],
  stock: readonly StockItem[],
  steps: Steps = { left: MOST_STEPS },
): Fitting {
  const available = new Map<string, number>();
  for (const { item, qty } of stock) available.set(item, (available.get(item) ?? 0) + qty);
  const worth = worthAmong(parts.reduce((sum, { part }) => sum + part.needs.length, 0));
  const picks = new Array<readonly (number | null)[]>(parts.length);
  let isProved = true;
  for (const group of groupsThatShare(parts, available)) {
    const members = group.map((index) => parts[index]!);
    const solution = bestOfGroup(members, { available, worth, steps });
    isProved &&= solution.isProved && members.every(({ isWhole }) => isWhole);
    group.forEach((index, place) => (picks[index] = solution.picks[place]!));
  }
  return { picks, isProved };
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

interface Search {
  readonly available: ReadonlyMap<string, number>;
  readonly worth: Worth;
  readonly steps: Steps;
}

interface Solution {
  readonly gain: number;
  readonly picks: readonly (readonly (number | null)[])[];
  readonly isProved: boolean;
}

function bestOfGroup(parts: readonly PreparedPart[], search: Search): Solution {
  const strict = bestOverSettings(parts, search);
  if (strict) return strict;
  // Whatever is done here sets one dial in two ways: going without sets nothing then.
  const lenient = bestOverSettings(parts.map(leniently), search);
  return lenient ?? { gain: 0, picks: parts.map(({ part }) => part.needs.map(() => null)), isProved: false };
}

/** The best combination of settings, one a part: depth first, leaving a branch once nothing better can lie there. */
function bestOverSettings(parts: readonly PreparedPart[], search: Search): Solution | null {
  const { steps } = search;
  const open = parts.map(({ settings }) =>
    settings
      .map((setting) => ({ setting, bound: boundOf(setting.needs, search) }))
      .filter(({ bound }) => bound >= 0)
      .sort((left, right) => right.bound - left.bound),
  );
  const boundFrom = [...open.map((settings) => settings[0]?.bound ?? -Infinity), 0];
  for (let index = open.length - 1; index >= 0; index--) boundFrom[index]! += boundFrom[index + 1]!;
  let best: Solution | null = null;
  let isProved = true;
  const chosen: DialSetting[] = [];
  const visit = (index: number, bound: number) => {
    if (best && bound + boundFrom[index]! < best.gain) return;
    steps.left -= 1;
    if (steps.left < 0 && (best || steps.left < -MOST_STEPS)) {
      isProved = false;
      return;
    }
    if (index === parts.length) {
      const solved = solveSettings(chosen, { ...search, least: best?.gain ?? 0 });
      if (solved && (!best || isBetter(solved, best))) best = solved;
      isProved &&= solved?.isProved ?? true;
      return;
    }
    for (const { setting, bound: own } of open[index]!) {
      chosen.push(setting);
      visit(index + 1, bound + own);
      chosen.pop();
    }
  };
  visit(0, 0);
  const found = best as Solution | null;
  return found && { ...found, isProved };
}

/** More gained, or as much with an earlier option at the first need where they differ. */
function isBetter(one: Solution, other: Solution): boolean {
  if (one.gain !== other.gain) return one.gain > other.gain;
  const [own, others] = [one.picks.flat(), other.picks.flat()];
  const at = own.findIndex((place, index) => place !== others[index]);
  return at >= 0 && (own[at] ?? Infinity) < (others[at] ?? Infinity);
}

/** What a setting could gain at most, each need served alone; below 0 when one that must be served cannot. */
function boundOf(needs: readonly NeedHere[], { available, worth }: Search): number {
  let bound = 0;
  for (const { mayGoWithout, options } of needs) {
    let best = -1;
    for (const { item, qty, fit, place } of options)
      if (qty <= (available.get(item) ?? 0) + TOLERANCE) best = Math.max(best, worth.of(fit, place === 0));
    if (best < 0 && !mayGoWithout) return -1;
    bound += Math.max(0, best);
  }
  return bound;
}

/** For each part its needs at the setting that is looked at. */
type Needs = readonly (readonly NeedHere[])[];

/**
 * The best answer in which every dial that the settings set is brought about by something that is taken. First without
 * asking for that; where a dial is then brought about by nothing, each of those who could is tried in turn.
 */
function solveSettings(
  settings: readonly DialSetting[],
  { least, ...search }: Search & { readonly least: number },
): Solution | null {
  let floor = least;
  const solve = (needs: Needs): Solution | null => {
    search.steps.left -= 1;
    const solved = assign(needs, search);
    if (!solved || solved.gain < floor) return null;
    const lacking = firstLacking(settings, needs, solved.picks);
    if (!lacking) {
      floor = solved.gain;
      return solved;
    }
    let best: Solution | null = null;
    let isProved = solved.isProved;
    for (const held of waysToBring(needs, lacking)) {
      if (search.steps.left < -MOST_STEPS) return best && { ...best, isProved: false };
      const tried = solve(held);
      if (!tried) continue;
      isProved &&= tried.isProved;
      if (!best || isBetter(tried, best)) best = tried;
    }
    return best && { ...best, isProved };
  };
  return solve(settings.map(({ needs }) => needs));
}

interface Lacking {
  readonly part: number;
  readonly dial: string;
}

/** The first dial that a setting sets and that nothing taken brings about. */
function firstLacking(settings: readonly DialSetting[], needs: Needs, picks: Solution['picks']): Lacking | null {
  for (const [part, { sets }] of settings.entries())
    for (const dial of Object.keys(sets)) {
      const isBrought = needs[part]!.some(({ options, withoutBrings }, index) => {
        const place = picks[part]![index]!;
        const brings = place === null ? withoutBrings : options.find((option) => option.place === place)!.brings;
        return brings.includes(dial);
      });
      if (!isBrought) return { part, dial };
    }
  return null;
}

/** The needs with one of those that could bring a dial about held to doing so, for each of them. */
function waysToBring(needs: Needs, { part, dial }: Lacking): Needs[] {
  return needs[part]!.flatMap((need, index): Needs[] => {
    const options = need.options.filter(({ brings }) => brings.includes(dial));
    const goesWithout = need.mayGoWithout && need.withoutBrings.includes(dial);
    const held: NeedHere[] = [
      ...(options.length > 0 ? [{ ...need, options, mayGoWithout: false }] : []),
      ...(goesWithout ? [{ ...need, options: [] }] : []),
    ];
    return held.map((one) => needs.with(part, needs[part]!.with(index, one)));
  });
}

/** The best answer in one setting of each part. */
function assign(needs: Needs, search: Search): Solution | null {
  const { available, worth, steps } = search;
  const all = everyBest(needs, search);
  if (all) return all;
  const flat = needs.flatMap((own, part) =>
    own.map(({ options, use, mayGoWithout }): AssignmentNeed => ({
      segment: String(part),
      use,
      mustTake: !mayGoWithout,
      options: options.map(({ item, qty, fit, place }, index) => ({
        index,
        item,
        qty,
        gain: worth.of(fit, place === 0),
      })),
    })),
  );
  const answer = searchAssignment(flat, available, { coverGain: worth.cover, steps });
  if (!answer) return null;
  let at = 0;
  let gain = 0;
  const picks = needs.map((own) =>
    own.map(({ options }) => {
      const option = options[answer.chosen[at++] ?? -1];
      if (option) gain += worth.of(option.fit, option.place === 0);
      return option?.place ?? null;
    }),
  );
  return { gain, picks, isProved: answer.isProved };
}

/** Each need with its best option, the earliest of equals, where all of them are there together: nothing gains more. Null where they are not. */
function everyBest(needs: Needs, { available, worth }: Search): Solution | null {
  const usedUp = new Map<string, number>();
  const lasting = new Map<string, number>();
  let gain = 0;
  const picks: (number | null)[][] = [];
  for (const own of needs) {
    const laidOut = new Map<string, number>();
    const places: (number | null)[] = [];
    for (const { mayGoWithout, options, use } of own) {
      let best: OptionHere | null = null;
      let most = 0;
      for (const option of options) {
        if (option.qty > (available.get(option.item) ?? 0) + TOLERANCE) continue;
        const of = worth.of(option.fit, option.place === 0);
        if (best === null || of > most) [best, most] = [option, of];
      }
      if (best === null && !mayGoWithout) return null;
      places.push(best === null ? null : best.place);
      if (best === null) continue;
      gain += most;
      const taken = use === 'used-up' ? usedUp : laidOut;
      taken.set(best.item, (taken.get(best.item) ?? 0) + best.qty);
    }
    for (const [item, qty] of laidOut) lasting.set(item, Math.max(qty, lasting.get(item) ?? 0));
    picks.push(places);
  }
  const isEnough = (item: string) =>
    (usedUp.get(item) ?? 0) + (lasting.get(item) ?? 0) <= (available.get(item) ?? 0) + TOLERANCE;
  return [...usedUp.keys(), ...lasting.keys()].every(isEnough) ? { gain, picks, isProved: true } : null;
}
