export const CURRENCIES = {
  pence: { minor: 'p', major: '£', perMajor: 100, coins: [1, 2, 5, 10, 20, 50] },
  cents: { minor: 'c', major: '€', perMajor: 100, coins: [1, 2, 5, 10, 20, 50] },
  dollars: { minor: '¢', major: '$', perMajor: 100, coins: [1, 5, 10, 25] },
  tokens: { minor: ' tokens', major: '', perMajor: 0, coins: [1, 2, 5, 10] },
} as const;

export type CurrencyName = keyof typeof CURRENCIES;

/**
 * Amounts of money, all written one way: in the small unit while each is below one large unit, else all in the large
 * one with two decimals, so that 35p and £0.35 never stand side by side.
 */
export function moneyWriter(amounts: readonly number[], currency: CurrencyName): (amount: number) => string {
  const { minor, major, perMajor } = CURRENCIES[currency];
  const isLarge = perMajor > 0 && amounts.some((amount) => amount >= perMajor);
  return (amount) => (isLarge ? `${major}${(amount / perMajor).toFixed(2)}` : `${amount}${minor}`);
}
