import { roundTo } from '../numbers/index.ts';
import type { Quantity } from '../expressions/index.ts';
import type { TripleOfQuantities } from '../session/index.ts';

/** Minutes corrected by what homes took, with how many answers there were. */
export interface Calibration {
  /** What planned minutes are multiplied by, three decimals. */
  readonly factor: number;
  /** Minutes, one decimal. */
  readonly likely: number;
}

/**
 * Corrects planned minutes by what homes report: the geometric mean of actual ÷ planned, drawn towards 1 as if
 * `weight` more homes had taken exactly the planned time. No replies: factor 1. All minutes are above 0.
 */
export function calibrate(planned: number, actual: readonly number[], weight: number): Calibration {
  const factor = correctionFactor(
    actual.map((minutes) => minutes / planned),
    weight,
  );
  return { factor: roundTo(factor, 3), likely: roundTo(planned * factor, 1) };
}

/** The same correction from ratios of actual to planned minutes, for homes that were given different plans. */
export function correctionFactor(ratios: readonly number[], weight: number): number {
  if (ratios.length === 0) return 1;
  const logarithms = ratios.reduce((sum, ratio) => sum + Math.log(ratio), 0);
  return Math.exp(logarithms / (ratios.length + weight));
}

/**
 * A triple of minutes corrected by a factor: numbers to a tenth; an expression is kept and multiplied, so that it
 * still follows its dials.
 */
export function scaleQuantities(triple: TripleOfQuantities, factor: number): TripleOfQuantities {
  const scale = (quantity: Quantity) =>
    typeof quantity === 'number' ? roundTo(quantity * factor, 1) : `(${quantity})*${roundTo(factor, 3)}`;
  return [scale(triple[0]), scale(triple[1]), scale(triple[2])];
}
