type Pair = readonly [number, number];

/** How far cards with two ends go when touching ends are alike and a card may be turned round. */
export interface Chains {
  /** Cards in the longest chain; 0 without cards. */
  readonly longest: number;
  /** Whether its two ends are alike, so that it closes. */
  readonly isRing: boolean;
  /** The fewest chains that use every card once. */
  readonly chains: number;
}

/**
 * The longest chain and the fewest chains of any cards. Ends are places and cards are ways between them, so a chain is a walk
 * that uses no way twice (Euler 1736): a place where an odd number of ways meet must begin or end one.
 * @example longestChain(every card of totals to 9, either part first) // { longest: 55, isRing: true, chains: 1 }
 */
export function longestChain(pairs: readonly Pair[]): Chains {
  const parts = components(pairs);
  const each = parts.map((cards) => ({ ...longestIn(cards), chains: Math.max(1, oddEnds(cards).length / 2) }));
  const best = each.reduce((found, part) => (part.longest > found.longest ? part : found), {
    longest: 0,
    isRing: false,
    chains: 0,
  });
  return { longest: best.longest, isRing: best.isRing, chains: each.reduce((sum, { chains }) => sum + chains, 0) };
}

function components(pairs: readonly Pair[]): Pair[][] {
  const groups: { ends: Set<number>; cards: Pair[] }[] = [];
  for (const pair of pairs) {
    const touching = groups.filter(({ ends }) => ends.has(pair[0]) || ends.has(pair[1]));
    const joined = {
      ends: new Set([...pair, ...touching.flatMap(({ ends }) => [...ends])]),
      cards: [...touching.flatMap(({ cards }) => cards), pair],
    };
    groups.splice(0, groups.length, ...groups.filter((group) => !touching.includes(group)), joined);
  }
  return groups.map(({ cards }) => cards);
}

function oddEnds(cards: readonly Pair[]): number[] {
  const meetings = new Map<number, number>();
  for (const end of cards.flat()) meetings.set(end, (meetings.get(end) ?? 0) + 1);
  return [...meetings].filter(([, count]) => count % 2 === 1).map(([end]) => end);
}

/** Most odd ends for which every pairing is tried; cards of totals to 12 have at most 12. */
const MOST_ODD = 14;

/** So few cards are tried in every order; more are many enough to stay connected when ways between odd ends are left out. */
const MOST_TRIED = 9;

function longestTried(cards: readonly Pair[]): { longest: number; isRing: boolean } {
  let best = { longest: 0, isRing: false };
  const go = (start: number, end: number, left: readonly Pair[]): void => {
    const length = cards.length - left.length;
    if (length > best.longest || (length === best.longest && start === end))
      best = { longest: length, isRing: start === end };
    left.forEach(([one, other], at) => {
      const rest = left.toSpliced(at, 1);
      if (one === end) go(start, other, rest);
      if (other === end && one !== other) go(start, one, rest);
    });
  };
  for (const end of new Set(cards.flat())) go(end, end, cards);
  return best;
}

/** In connected cards: leave out the fewest, along shortest ways between odd ends, so that at most two odd ends are left. */
function longestIn(cards: readonly Pair[]): { longest: number; isRing: boolean } {
  const odd = oddEnds(cards);
  if (odd.length === 0) return { longest: cards.length, isRing: true };
  if (odd.length === 2) return { longest: cards.length, isRing: false };
  if (cards.length <= MOST_TRIED) return longestTried(cards);
  return { longest: longestLeft(cards, odd.slice(0, MOST_ODD)), isRing: false };
}

/**
 * The most cards that stay together when ways between all odd ends but two are left out. The cheapest pairing of ends is not
 * always the best: what it leaves out may cut a piece off. A pairing is passed over once it leaves out too many to be better.
 */
function longestLeft(cards: readonly Pair[], odd: readonly number[]): number {
  const ways = new Map(odd.map((end) => [end, shortestWays(cards, end)]));
  let longest = 0;
  const match = (rest: readonly number[], free: number, out: readonly Pair[]): void => {
    if (cards.length - out.length <= longest) return;
    if (rest.length === 0) {
      longest = Math.max(longest, ...components(withoutCards(cards, out)).map((part) => longestWhole(part)));
      return;
    }
    const [first, ...others] = rest as [number, ...number[]];
    if (free > 0) match(others, free - 1, out);
    others.forEach((other, at) => {
      const way = ways.get(first)!.get(other);
      if (way) match(others.toSpliced(at, 1), free, [...out, ...way]);
    });
  };
  match(odd, 2, []);
  return longest;
}

/** How many of connected cards make one chain: all, unless more than two odd ends are left. */
function longestWhole(cards: readonly Pair[]): number {
  return oddEnds(cards).length <= 2 ? cards.length : 0;
}

/** The shortest way from an end to every other, as the cards on it. */
function shortestWays(cards: readonly Pair[], from: number): Map<number, Pair[]> {
  const ways = new Map<number, Pair[]>([[from, []]]);
  const queue = [from];
  for (let end = queue.shift(); end !== undefined; end = queue.shift())
    for (const card of cards) {
      const next = card[0] === end ? card[1] : card[1] === end ? card[0] : undefined;
      if (next === undefined || ways.has(next)) continue;
      ways.set(next, [...ways.get(end)!, card]);
      queue.push(next);
    }
  return ways;
}

function withoutCards(cards: readonly Pair[], out: readonly Pair[]): Pair[] {
  const left = [...cards];
  for (const [one, other] of out) {
    const at = left.findIndex((card) => card[0] === one && card[1] === other);
    if (at >= 0) left.splice(at, 1);
  }
  return left;
}
