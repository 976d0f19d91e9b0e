import { roundTo, type Triple } from '../numbers/index.ts';

/** A spread of minutes: mean and variance (the standard deviation squared). */
export interface Spread {
  readonly mean: number;
  readonly variance: number;
}

/** A spread as it is shown: mean, standard deviation and the range that holds eight times in ten. */
export interface ReportedSpread {
  /** Minutes, one decimal. */
  readonly mean: number;
  /** Minutes, two decimals. */
  readonly sd: number;
  /** Eight times in ten the time lies between low and high; low is never below 0. */
  readonly low: number;
  readonly high: number;
}

/** The number of standard deviations that hold eight of ten cases of a bell curve (its 90th percentile). */
export const EIGHT_IN_TEN = 1.2816;

/** The usual three-point estimate: mean (a+4m+b)/6, standard deviation (b−a)/6. */
export function spreadOf([least, likely, most]: Triple): Spread {
  return { mean: (least + 4 * likely + most) / 6, variance: ((most - least) / 6) ** 2 };
}

/** Adds independent spreads: means add, variances add. Nothing gives zero. */
export function addSpreads(spreads: readonly Spread[]): Spread {
  return {
    mean: spreads.reduce((sum, spread) => sum + spread.mean, 0),
    variance: spreads.reduce((sum, spread) => sum + spread.variance, 0),
  };
}

/** A spread as it is shown and answered: rounded, with the range that holds eight times in ten. */
export function reportSpread({ mean, variance }: Spread): ReportedSpread {
  const sd = Math.sqrt(variance);
  return {
    mean: roundTo(mean, 1),
    sd: roundTo(sd, 2),
    low: roundTo(Math.max(0, mean - EIGHT_IN_TEN * sd), 1),
    high: roundTo(mean + EIGHT_IN_TEN * sd, 1),
  };
}
