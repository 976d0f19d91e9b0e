import type { AssignmentNeed, AssignmentOption } from './assignmentNeed.ts';

/** Most needs that are shared out exactly: there are two to the power of so many sets of needs. */
const MOST_SHARED_EXACTLY = 14;

/** Ways to give one thing to needs that are looked at before the whole is thought too large. */
const MOST_GIVEN = 400_000;
const CAPACITY_TOLERANCE = 1e-9;
/** Ranks of options are digits of a number; a need has fewer options than this. */
const RANKS = 128;
const DIGITS_IN_ONE = 7;

/** Some needs served by one thing: what that gains, and the option each of them takes. */
interface Given {
  readonly needs: number;
  readonly gain: number;
  readonly early: readonly [number, number];
  readonly options: readonly { readonly need: number; readonly option: AssignmentOption }[];
}

/** The best way found to serve exactly these needs. `early` is smaller where earlier needs take earlier options. */
interface Table {
  readonly gain: Float64Array;
  readonly earlyFirst: Float64Array;
  readonly earlyThen: Float64Array;
}

/**
 * Gives needs their options so that the gain is largest, and among equals each need in turn the earlier option: by going
 * through the things one by one, and for each through the sets of needs that it can serve beside those served before.
 * Always the optimum; for `n` needs and `m` things it takes at most m × 3ⁿ steps.
 *
 * Returns the index of each need's option (null: none), with the steps it took; `'too-large'` where there are more needs than
 * `MOST_SHARED_EXACTLY` or too many ways to give one thing; null where a need that must take one cannot.
 */
export function shareOut(
  needs: readonly AssignmentNeed[],
  available: ReadonlyMap<string, number>,
): { readonly chosen: (number | null)[]; readonly steps: number } | 'too-large' | null {
  if (needs.length > MOST_SHARED_EXACTLY || needs.some(({ options }) => options.length >= RANKS)) return 'too-large';
  const size = 2 ** needs.length;
  let table = emptyTable(size);
  const given: { readonly list: readonly Given[]; readonly last: Int32Array }[] = [];
  let steps = 0;
  for (const item of new Set(needs.flatMap(({ options }) => options.map((option) => option.item)))) {
    const list = waysToGive(item, needs, available.get(item) ?? 0);
    if (!list) return 'too-large';
    const added = addThing(table, list, size);
    table = added.table;
    steps += added.steps;
    given.push({ list, last: added.last });
  }
  const best = bestOf(table, needs);
  if (best === null) return null;
  const chosen: (number | null)[] = needs.map(() => null);
  let served = best;
  for (const { list, last } of given.reverse()) {
    const way = last[served]!;
    if (way < 0) continue;
    for (const { need, option } of list[way]!.options) chosen[need] = option.index;
    served -= list[way]!.needs;
  }
  return { chosen, steps };
}

function emptyTable(size: number): Table {
  const gain = new Float64Array(size).fill(-1);
  gain[0] = 0;
  return { gain, earlyFirst: new Float64Array(size), earlyThen: new Float64Array(size) };
}

/** Every set of needs that one thing can serve, each with its best options; the empty one is not among them. */
function waysToGive(item: string, needs: readonly AssignmentNeed[], capacity: number): readonly Given[] | null {
  const bySet = new Map<number, Given>();
  const taking = needs.flatMap(({ options, use, segment }, need) => {
    const own = options.filter((option) => option.item === item && option.qty <= capacity + CAPACITY_TOLERANCE);
    return own.length > 0 ? [{ need, use, segment, own, digits: digitsOf(needs[need]!, need) }] : [];
  });
  const lasting = new Map<string, number>();
  let usedUp = 0;
  let looked = 0;
  const taken: { need: number; option: AssignmentOption }[] = [];
  const visit = (at: number, way: Omit<Given, 'options'>): void => {
    if ((looked += 1) > MOST_GIVEN) return;
    if (at === taking.length) {
      const known = bySet.get(way.needs);
      if (way.needs > 0 && (!known || isBetter(way, known))) bySet.set(way.needs, { ...way, options: [...taken] });
      return;
    }
    visit(at + 1, way);
    const { need, use, segment, own, digits } = taking[at]!;
    const laidOut = lasting.get(segment) ?? 0;
    for (const option of own) {
      if (use === 'used-up') usedUp += option.qty;
      else lasting.set(segment, laidOut + option.qty);
      if (usedUp + Math.max(0, ...lasting.values()) <= capacity + CAPACITY_TOLERANCE) {
        taken.push({ need, option });
        const [first, then] = digits(option);
        visit(at + 1, {
          needs: way.needs | (1 << need),
          gain: way.gain + option.gain,
          early: [way.early[0] + first, way.early[1] + then],
        });
        taken.pop();
      }
      if (use === 'used-up') usedUp -= option.qty;
      else lasting.set(segment, laidOut);
    }
  };
  visit(0, { needs: 0, gain: 0, early: [0, 0] });
  return looked > MOST_GIVEN ? null : [...bySet.values()];
}

/** What an option adds to the number by which equals are told apart: below going without, and less the earlier it stands. */
function digitsOf({ options }: AssignmentNeed, need: number): (option: AssignmentOption) => readonly [number, number] {
  const inFirst = need < DIGITS_IN_ONE;
  const weight = RANKS ** (DIGITS_IN_ONE - 1 - (need % DIGITS_IN_ONE));
  return (option) => {
    const digit = (options.indexOf(option) - options.length) * weight;
    return inFirst ? [digit, 0] : [0, digit];
  };
}

function isBetter(one: Omit<Given, 'options'>, other: Omit<Given, 'options'>): boolean {
  if (one.gain !== other.gain) return one.gain > other.gain;
  return one.early[0] !== other.early[0] ? one.early[0] < other.early[0] : one.early[1] < other.early[1];
}

/** The table once a thing may serve some needs too; `last` is the way it is given for each set of needs, -1 for not at all. */
function addThing(
  { gain, earlyFirst, earlyThen }: Table,
  list: readonly Given[],
  size: number,
): { table: Table; last: Int32Array; steps: number } {
  const next: Table = { gain: gain.slice(), earlyFirst: earlyFirst.slice(), earlyThen: earlyThen.slice() };
  const last = new Int32Array(size).fill(-1);
  let steps = 0;
  list.forEach(({ needs, gain: gained, early: [first, then] }, way) => {
    const others = size - 1 - needs;
    // Every set of the other needs, from all of them down to none.
    for (let before = others; ; before = (before - 1) & others) {
      steps += 1;
      if (gain[before]! >= 0) {
        const all = before | needs;
        const sum = gain[before]! + gained;
        const sumFirst = earlyFirst[before]! + first;
        const sumThen = earlyThen[before]! + then;
        const isEarlier =
          sumFirst < next.earlyFirst[all]! || (sumFirst === next.earlyFirst[all] && sumThen < next.earlyThen[all]!);
        if (sum > next.gain[all]! || (sum === next.gain[all] && isEarlier)) {
          next.gain[all] = sum;
          next.earlyFirst[all] = sumFirst;
          next.earlyThen[all] = sumThen;
          last[all] = way;
        }
      }
      if (before === 0) break;
    }
  });
  return { table: next, last, steps };
}

/** The set of needs that is best served, among those that hold all that must be; null where none is. */
function bestOf({ gain, earlyFirst, earlyThen }: Table, needs: readonly AssignmentNeed[]): number | null {
  const must = needs.reduce((set, { mustTake }, need) => (mustTake ? set | (1 << need) : set), 0);
  let best: number | null = null;
  for (let set = 0; set < gain.length; set++) {
    if (gain[set]! < 0 || (set & must) !== must) continue;
    const isEarlier =
      best !== null &&
      (earlyFirst[set]! < earlyFirst[best]! ||
        (earlyFirst[set] === earlyFirst[best] && earlyThen[set]! < earlyThen[best]!));
    if (best === null || gain[set]! > gain[best]! || (gain[set] === gain[best] && isEarlier)) best = set;
  }
  return best;
}
