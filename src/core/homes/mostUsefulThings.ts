import { byCodeUnit } from '../ordering.ts';
import { isOldEnough } from '../materials/index.ts';
import type { FeasibleActivity } from './feasibleActivities.ts';

/** Three things and what they open together: skills, and activities that need nothing else. */
export interface UsefulThings {
  /** Three things (fewer when there are fewer), each with the skills it adds to those before it. */
  readonly things: readonly { readonly item: string; readonly adds: readonly string[] }[];
  readonly skills: readonly string[];
  /** Activities that need nothing but what is in the basket. */
  readonly activities: readonly string[];
}

const SIZE = 3;

/**
 * The three things that together open the most skills: an activity is open when each of its needs is served by a thing
 * of the basket of which there usually are enough, and it needs at least one thing. Exact: every three are compared.
 * Among equals, the three that come first by key. Skills may be at most 62 different ones (`core/terms/skills` has 35).
 */
export function mostUsefulThings(
  activities: readonly FeasibleActivity[],
  things: readonly { readonly key: string; readonly usualQty: number }[],
  youngestMonths: number,
): UsefulThings {
  const items = things.map(({ key }) => key).sort(byCodeUnit);
  const opened = findOpenings(activities, things, { items, youngestMonths });
  const best = compareAll(opened, items.length);
  return describeBasket(best, { items, opened });
}

/** A set of at most three things (by index, rising) and what it opens. */
interface Opening {
  readonly set: readonly number[];
  readonly activity: FeasibleActivity;
  readonly low: number;
  readonly high: number;
}

function findOpenings(
  activities: readonly FeasibleActivity[],
  things: readonly { readonly key: string; readonly usualQty: number }[],
  { items, youngestMonths }: { items: readonly string[]; youngestMonths: number },
): Opening[] {
  const indexOf = new Map(items.map((key, index) => [key, index]));
  const usual = new Map(things.map(({ key, usualQty }) => [key, usualQty]));
  const bits = new Map([...new Set(activities.flatMap(({ skills }) => skills))].map((skill, bit) => [skill, bit]));
  return activities.flatMap((activity) => {
    if (activity.needs.length === 0) return [];
    const low = activity.skills.reduce(
      (mask, skill) => (bits.get(skill)! < 31 ? mask | (1 << bits.get(skill)!) : mask),
      0,
    );
    const high = activity.skills.reduce(
      (mask, skill) => (bits.get(skill)! >= 31 ? mask | (1 << (bits.get(skill)! - 31)) : mask),
      0,
    );
    let sets: number[][] = [[]];
    for (const need of activity.needs) {
      const serving = need.options
        .filter(
          (option) => isOldEnough(option, youngestMonths) && (usual.get(option.item) ?? 0) >= (option.qty ?? need.qty),
        )
        .flatMap(({ item }) => indexOf.get(item) ?? []);
      const joined = new Map<string, number[]>();
      for (const set of sets)
        for (const item of serving) {
          const next = set.includes(item) ? set : [...set, item].sort((left, right) => left - right);
          if (next.length <= SIZE) joined.set(next.join(), next);
        }
      sets = [...joined.values()];
    }
    return sets.map((set) => ({ set, activity, low, high }));
  });
}

/** Compares every three things by the number of skills they open, through tables of what ones and twos open. */
function compareAll(openings: readonly Opening[], count: number): number[] {
  const size = Math.min(SIZE, count);
  const low = new Int32Array(count * count);
  const high = new Int32Array(count * count);
  const triples = new Map<number, { low: number; high: number }>();
  const widen = (at: number, opening: Opening) => {
    low[at]! |= opening.low;
    high[at]! |= opening.high;
  };
  for (const opening of openings) {
    const [first, second, third] = opening.set;
    if (third === undefined) widen(first! * count + (second ?? first!), opening);
    else {
      const id = (first! * count + second!) * count + third;
      const known = triples.get(id) ?? { low: 0, high: 0 };
      triples.set(id, { low: known.low | opening.low, high: known.high | opening.high });
    }
  }
  for (let first = 0; first < count; first++)
    for (let second = first + 1; second < count; second++) {
      const at = first * count + second;
      low[at]! |= low[first * count + first]! | low[second * count + second]!;
      high[at]! |= high[first * count + first]! | high[second * count + second]!;
    }
  if (size < SIZE) return Array.from({ length: size }, (_, index) => index);
  let best = [0, 1, 2];
  let most = -1;
  for (let first = 0; first < count; first++)
    for (let second = first + 1; second < count; second++) {
      const lowTwo = low[first * count + second]!;
      const highTwo = high[first * count + second]!;
      for (let third = second + 1; third < count; third++) {
        let lowAll = lowTwo | low[first * count + third]! | low[second * count + third]!;
        let highAll = highTwo | high[first * count + third]! | high[second * count + third]!;
        if (triples.size > 0) {
          const together = triples.get((first * count + second) * count + third);
          if (together) {
            lowAll |= together.low;
            highAll |= together.high;
          }
        }
        const open = countBits(lowAll) + countBits(highAll);
        if (open > most) {
          most = open;
          best = [first, second, third];
        }
      }
    }
  return best;
}

function describeBasket(
  chosen: readonly number[],
  { items, opened }: { items: readonly string[]; opened: readonly Opening[] },
): UsefulThings {
  const openWith = (set: readonly number[]) =>
    opened.filter((opening) => opening.set.every((item) => set.includes(item)));
  const skillsWith = (set: readonly number[]) => [...new Set(openWith(set).flatMap(({ activity }) => activity.skills))];
  const left = [...chosen];
  const taken: number[] = [];
  const described: { item: string; adds: string[] }[] = [];
  let known: string[] = [];
  while (left.length > 0) {
    const next = left.reduce((best, item) =>
      skillsWith([...taken, item]).length > skillsWith([...taken, best]).length ? item : best,
    );
    left.splice(left.indexOf(next), 1);
    taken.push(next);
    const skills = skillsWith(taken);
    described.push({ item: items[next]!, adds: skills.filter((skill) => !known.includes(skill)) });
    known = skills;
  }
  const activities = [...new Set(openWith(taken).map(({ activity }) => activity.key))];
  return { things: described, skills: known, activities };
}

/** How many bits are set (Hacker's Delight, 5-1). */
function countBits(mask: number): number {
  let bits = mask - ((mask >>> 1) & 0x55555555);
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333);
  return (((bits + (bits >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}
