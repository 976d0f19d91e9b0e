/** Coins and signs of currencies: the smallest unit, the large one, how many of the one make the other (0: no large one). */
export const CURRENCIES = {
  pence: { minor: 'p', major: '£', perMajor: 100, coins: [1, 2, 5, 10, 20, 50] },
  cents: { minor: 'c', major: '€', perMajor: 100, coins: [1, 2, 5, 10, 20, 50] },
  dollars: { minor: '¢', major: '$', perMajor: 100, coins: [1, 5, 10, 25] },
  tokens: { minor: '', major: '', perMajor: 0, coins: [1, 2, 5, 10] },
} as const;

/** The currencies a programme can play with. */
export type CurrencyName = keyof typeof CURRENCIES;
