/** Coins by worth in the smallest unit of money: how many of each. */
export type Coins = Readonly<Record<string, number>>;

/** So many coins of one worth, in the smallest unit. */
export interface CoinKind {
  readonly worth: number;
  readonly count: number;
}

/** The handfuls of a purse that make an amount. */
export interface PayingWays {
  /** Different handfuls that make the amount; a bigint where a number could not hold it. */
  readonly ways: number | bigint;
  /** A handful with the fewest coins, largest first; null when there is none. */
  readonly fewest: readonly number[] | null;
  /** Handfuls, fewest coins first, then those with larger coins first. */
  readonly list: readonly (readonly number[])[];
}

/** Every way to pay an amount exactly from a finite purse, for any set of coins. Amount 0: one way, the empty handful. */
export function payingWays(purse: Coins, pay: number, listLength: number): PayingWays {
  const kinds = coinKinds(purse);
  const fewest = fewestCoins(kinds, pay);
  return {
    ways: fewest === null ? 0 : countHandfuls(kinds, pay),
    fewest,
    list: fewest === null ? [] : listHandfuls(kinds, pay, listLength),
  };
}

/** The kinds of coin that a purse really holds, largest first. */
export function coinKinds(purse: Coins): CoinKind[] {
  return Object.entries(purse)
    .map(([worth, count]) => ({ worth: Number(worth), count }))
    .filter(({ count }) => count > 0)
    .sort((left, right) => right.worth - left.worth);
}

/** The handful with the fewest coins that makes an amount, largest first (of several, the one with larger coins); null when none does. */
export function fewestCoins(kinds: readonly CoinKind[], pay: number): number[] | null {
  const least = leastCountsFrom(kinds, pay);
  let left = pay;
  let coinsLeft = least[0]![pay]!;
  if (coinsLeft === Infinity) return null;
  const handful: number[] = [];
  kinds.forEach(({ worth, count }, index) => {
    for (let used = Math.min(count, Math.floor(left / worth)); used >= 0; used--) {
      if (least[index + 1]![left - used * worth] !== coinsLeft - used) continue;
      for (let coin = 0; coin < used; coin++) handful.push(worth);
      left -= used * worth;
      coinsLeft -= used;
      return;
    }
  });
  return handful;
}

/** Which sums from 0 to `most` some handful makes: reachable[sum] is 1 or 0. */
export function reachableSums(kinds: readonly CoinKind[], most: number): Uint8Array {
  const reachable = new Uint8Array(most + 1);
  reachable[0] = 1;
  for (const { worth, count } of kinds) {
    const used = new Int32Array(most + 1);
    for (let sum = worth; sum <= most; sum++) {
      if (reachable[sum] || !reachable[sum - worth] || used[sum - worth]! >= count) continue;
      reachable[sum] = 1;
      used[sum] = used[sum - worth]! + 1;
    }
  }
  return reachable;
}

/** Counts handfuls with doubles, and again with whole numbers of any size where doubles could lie. */
function countHandfuls(kinds: readonly CoinKind[], pay: number): number | bigint {
  const counted = countWithDoubles(kinds, pay);
  if (counted !== null) return counted;
  const exact = countExactly(kinds, pay);
  return exact <= BigInt(Number.MAX_SAFE_INTEGER) ? Number(exact) : exact;
}

/** A running window over each kind: adding one coin more, taking off what would be one too many. Null once a sum is too large. */
function countWithDoubles(kinds: readonly CoinKind[], pay: number): number | null {
  let ways = new Float64Array(pay + 1);
  ways[0] = 1;
  for (const { worth, count } of kinds) {
    const next = new Float64Array(pay + 1);
    for (let sum = 0; sum <= pay; sum++) {
      const total = ways[sum]! + (sum >= worth ? next[sum - worth]! : 0);
      if (total > Number.MAX_SAFE_INTEGER) return null;
      const beyond = sum - worth * (count + 1);
      next[sum] = beyond >= 0 ? total - ways[beyond]! : total;
    }
    ways = next;
  }
  return ways[pay]!;
}

function countExactly(kinds: readonly CoinKind[], pay: number): bigint {
  let ways = new Array<bigint>(pay + 1).fill(0n);
  ways[0] = 1n;
  for (const { worth, count } of kinds) {
    const next = new Array<bigint>(pay + 1);
    for (let sum = 0; sum <= pay; sum++) {
      const total = sum >= worth ? ways[sum]! + next[sum - worth]! : ways[sum]!;
      const beyond = sum - worth * (count + 1);
      next[sum] = beyond >= 0 ? total - ways[beyond]! : total;
    }
    ways = next;
  }
  return ways[pay]!;
}

/** least[k][sum]: the fewest coins of kinds k, k+1, … that make a sum; Infinity when they cannot. */
function leastCountsFrom(kinds: readonly CoinKind[], pay: number): Float64Array[] {
  const least: Float64Array[] = new Array(kinds.length + 1);
  least[kinds.length] = new Float64Array(pay + 1).fill(Infinity);
  least[kinds.length]![0] = 0;
  for (let index = kinds.length - 1; index >= 0; index--) least[index] = addKind(least[index + 1]!, kinds[index]!);
  return least;
}

/** Adds one kind of coin by a sliding minimum along each remainder, so that the number of coins costs no time. */
function addKind(without: Float64Array, { worth, count }: CoinKind): Float64Array {
  const least = new Float64Array(without.length);
  const window = new Int32Array(Math.ceil(without.length / worth));
  const costs = new Float64Array(window.length);
  for (let remainder = 0; remainder < Math.min(worth, without.length); remainder++) {
    let head = 0;
    let tail = 0;
    for (let step = 0, sum = remainder; sum < without.length; step++, sum += worth) {
      const cost = without[sum]! - step;
      while (tail > head && costs[tail - 1]! >= cost) tail--;
      window[tail] = step;
      costs[tail++] = cost;
      while (window[head]! < step - count) head++;
      least[sum] = costs[head]! + step;
    }
  }
  return least;
}

function listHandfuls(kinds: readonly CoinKind[], pay: number, listLength: number): number[][] {
  const least = leastCountsFrom(kinds, pay);
  const list: number[][] = [];
  const stalledRounds = new Set<string>();
  const handful: number[] = [];
  const smallest = kinds.at(-1)?.worth ?? 1;

  /** Adds every handful of exactly `coins` coins from this kind on; tells whether there was any. */
  const extend = (index: number, left: number, coins: number): boolean => {
    if (coins === 0) {
      if (left === 0) list.push([...handful]);
      return left === 0;
    }
    if (index === kinds.length || least[index]![left]! > coins) return false;
    const place = `${index}/${left}/${coins}`;
    if (stalledRounds.has(place)) return false;
    const { worth } = kinds[index]!;
    const { fewestUsed, mostUsed } = usableCoins(kinds, index, { left, coins, smallest });
    let found = false;
    for (let used = mostUsed; used >= fewestUsed && list.length < listLength; used--) {
      for (let coin = 0; coin < used; coin++) handful.push(worth);
      if (extend(index + 1, left - used * worth, coins - used)) found = true;
      handful.length -= used;
    }
    if (!found && list.length < listLength) stalledRounds.add(place);
    return found;
  };

  const coinTotal = kinds.reduce((sum, kind) => sum + kind.count, 0);
  const most = Math.min(coinTotal, Math.floor(pay / smallest));
  for (let coins = least[0]![pay]!; coins <= most && list.length < listLength; coins++) extend(0, pay, coins);
  return list;
}

/** How many coins of a kind a handful of so many coins can hold: the others lie between the next kind and the smallest. */
function usableCoins(
  kinds: readonly CoinKind[],
  index: number,
  { left, coins, smallest }: { left: number; coins: number; smallest: number },
): { fewestUsed: number; mostUsed: number } {
  const { worth, count } = kinds[index]!;
  const next = kinds[index + 1]?.worth;
  if (next === undefined) return { fewestUsed: coins, mostUsed: Math.min(count, coins) };
  return {
    fewestUsed: Math.max(0, Math.ceil((left - coins * next) / (worth - next))),
    mostUsed: Math.min(count, coins, Math.floor((left - coins * smallest) / (worth - smallest))),
  };
}
