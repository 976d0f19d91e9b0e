import { coinKinds, fewestCoins, reachableSums, type CoinKind, type Coins } from './coins.ts';

/** What comes back for a price, in coins and in hops up to what was given; null coins where the till cannot. */
export interface ChangeGiven {
  readonly change: number;
  /** From the till, fewest coins, largest first; null when it cannot. */
  readonly coins: readonly number[] | null;
  /** Counting up from the price: to the next ten, in one hop to the last ten, then to the tender. */
  readonly hops: readonly (readonly [number, number])[];
}

/** Change for a price paid with a larger (or equal) sum. Paying exactly gives no coins and no hops. */
export function giveChange(price: number, tender: number, till: Coins): ChangeGiven {
  const stops = [
    price,
    Math.min(Math.ceil(price / 10) * 10, tender),
    Math.max(Math.floor(tender / 10) * 10, price),
    tender,
  ];
  const hops: [number, number][] = [];
  let at = price;
  for (const stop of stops) {
    if (stop > at) hops.push([at, stop]);
    at = Math.max(at, stop);
  }
  return { change: tender - price, coins: fewestCoins(coinKinds(till), tender - price), hops };
}

/** Prices by how they can be paid: exactly, with change, or not at all. */
export interface ShopPrices {
  /** Payable exactly. */
  readonly exact: readonly number[];
  /** Payable only with change that the till can give. */
  readonly withChange: readonly number[];
  readonly stuck: readonly number[];
}

/** Sorts prices, ascending, by how a purse can pay them at a till. A purse without coins can pay only 0. */
export function sortPrices(prices: readonly number[], purse: Coins, till: Coins): ShopPrices {
  const kinds = coinKinds(purse);
  const total = kinds.reduce((sum, { worth, count }) => sum + worth * count, 0);
  const highest = prices.reduce((most, price) => Math.max(most, price), 0);
  const largest = kinds[0]?.worth ?? 0;
  const most = Math.min(total, highest + largest);
  const payable = reachableSums(kinds, most);
  const changeable = reachableSums(coinKinds(till), largest);
  const handfuls = handfulsBySmallest(kinds, most);
  const needsChange = (price: number) => leastChanged(price, handfuls, changeable) !== null;
  const sorted = { exact: [] as number[], withChange: [] as number[], stuck: [] as number[] };
  for (const price of [...prices].sort((left, right) => left - right)) {
    if (price <= most && payable[price]) sorted.exact.push(price);
    else if (needsChange(price)) sorted.withChange.push(price);
    else sorted.stuck.push(price);
  }
  return sorted;
}

/**
 * The smallest sum above a price that some handful of the purse makes, without a coin that could be left out, and that
 * the till can change; null when there is none.
 */
export function leastTender(price: number, purse: Coins, till: Coins): number | null {
  const kinds = coinKinds(purse);
  const largest = kinds[0]?.worth ?? 0;
  const total = kinds.reduce((sum, { worth, count }) => sum + worth * count, 0);
  const handfuls = handfulsBySmallest(kinds, Math.min(total, price + largest));
  return leastChanged(price, handfuls, reachableSums(coinKinds(till), largest));
}

interface HandfulSums {
  readonly worth: number;
  readonly sums: Uint8Array;
}

/** By the smallest coin that a handful holds, which sums such handfuls make, from 0 to `most`. */
function handfulsBySmallest(kinds: readonly CoinKind[], most: number): HandfulSums[] {
  return kinds.map(({ worth }, index) => ({ worth, sums: sumsWithSmallest(kinds.slice(0, index + 1), most) }));
}

/** No coin can be left out when a handful exceeds the price by less than its smallest coin. */
function leastChanged(price: number, handfuls: readonly HandfulSums[], changeable: Uint8Array): number | null {
  let least: number | null = null;
  for (const { worth, sums } of handfuls) {
    const beyond = Math.min(price + worth, sums.length, least ?? Infinity);
    for (let sum = price + 1; sum < beyond; sum++) {
      if (!sums[sum] || !changeable[sum - price]) continue;
      least = sum;
      break;
    }
  }
  return least;
}

/** Sums of handfuls that hold at least one of the last, smallest kind. */
function sumsWithSmallest(kinds: readonly CoinKind[], most: number): Uint8Array {
  const smallest = kinds.at(-1)!;
  const others = [...kinds.slice(0, -1), { worth: smallest.worth, count: smallest.count - 1 }];
  const rest = reachableSums(
    others.filter(({ count }) => count > 0),
    most,
  );
  const sums = new Uint8Array(most + 1);
  for (let sum = smallest.worth; sum <= most; sum++) sums[sum] = rest[sum - smallest.worth]!;
  return sums;
}
