import type { MoneyAmount } from '../../core/message.ts';
import { type Coins, giveChange, leastTender, payingWays, sortPrices } from '../../core/numbers/index.ts';

/** So many ways of paying are looked through. */
const MOST_WAYS = 60;

/** What lies on the table, and how its amounts are written. */
export interface Table {
  readonly purse: Coins;
  readonly till: Coins;
  readonly prices: readonly number[];
  readonly money: (minor: number) => MoneyAmount;
}

/** What coins are worth together, in the smallest unit. None: 0. */
export const worthOf = (coins: Coins) =>
  Object.entries(coins).reduce((sum, [worth, number]) => sum + Number(worth) * number, 0);

/** How each price is paid, and what comes back. */
export function workOut(table: Table) {
  const { purse, till, prices } = table;
  const { exact, withChange } = sortPrices(prices, purse, till);
  const ways = [...new Set(prices)].map((price) => ({ price, ...payingWays(purse, price, MOST_WAYS) }));
  const change = [...new Set(withChange)].map((price) => {
    const tender = leastTender(price, purse, till)!;
    return { price, tender, tendered: payingWays(purse, tender, 1).fewest!, ...giveChange(price, tender, till) };
  });
  return { ...table, ways, change, payable: ways.filter(({ price }) => exact.includes(price)), total: worthOf(purse) };
}
/** A money table with everything that is worked out of it. */
export type Worked = ReturnType<typeof workOut>;
