import type { CapacityRow } from './rows.ts';

interface PricedNeed {
  readonly options: readonly { readonly qty: number; readonly gain: number; readonly rows: readonly number[] }[];
}

const ROUNDS = 120;

/**
 * Prices for the capacity rows that make the Lagrangian upper bound small: with capacity sold at these prices, each
 * need picks its best option alone. Found by subgradient steps (Held, Wolfe and Crowder 1974). Any non-negative
 * prices give a valid bound, so how good they are decides the speed of a search and never its answer.
 */
export function bestMultipliers(
  needs: readonly PricedNeed[],
  rows: readonly CapacityRow[],
  coverGain: number,
): number[] {
  const prices = rows.map(() => 0);
  let best = { bound: Infinity, prices: [...prices] };
  const target = greedyGain(needs, rows);
  let stepScale = 1.5;
  let roundsWithoutGain = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const { bound, slack } = relax(needs, rows, prices);
    if (bound < best.bound - 1e-12) {
      best = { bound, prices: [...prices] };
      roundsWithoutGain = 0;
    } else if (++roundsWithoutGain >= 6) {
      stepScale /= 2;
      roundsWithoutGain = 0;
    }
    const squared = slack.reduce((sum, left) => sum + left * left, 0);
    if (squared < 1e-12 || bound - target < 1e-12 * coverGain) break;
    const step = (stepScale * Math.max(bound - target, coverGain * 1e-6)) / squared;
    slack.forEach((left, row) => (prices[row] = Math.max(0, prices[row]! - step * left)));
  }
  return best.prices;
}

/** The bound at these prices, and what each row would have left when every need picks alone (below 0: too much asked). */
function relax(
  needs: readonly PricedNeed[],
  rows: readonly CapacityRow[],
  prices: readonly number[],
): { bound: number; slack: number[] } {
  const slack = rows.map((row) => row.capacity);
  let bound = rows.reduce((sum, row, index) => sum + row.capacity * prices[index]!, 0);
  for (const { options } of needs) {
    let reduced = 0;
    let chosen: PricedNeed['options'][number] | undefined;
    for (const option of options) {
      const { qty, gain, rows: optionRows } = option;
      const net = gain - qty * optionRows.reduce((sum, row) => sum + prices[row]!, 0);
      if (net > reduced) {
        reduced = net;
        chosen = option;
      }
    }
    bound += reduced;
    for (const row of chosen?.rows ?? []) slack[row]! -= chosen!.qty;
  }
  return { bound, slack };
}

/** What taking the best option that fits, need by need, would gain: a first answer to aim at. */
function greedyGain(needs: readonly PricedNeed[], rows: readonly CapacityRow[]): number {
  const remaining = rows.map((row) => row.capacity);
  let total = 0;
  for (const { options } of needs) {
    const option = options.find(({ qty, rows: optionRows }) =>
      optionRows.every((row) => qty <= remaining[row]! + 1e-9),
    );
    if (!option) continue;
    for (const row of option.rows) remaining[row]! -= option.qty;
    total += option.gain;
  }
  return total;
}
