import { evaluateQuantity, type ExpressionProblem, type Quantity, type Scope } from '../expressions/index.ts';
import { err, ok, type Outcome } from '../outcome.ts';

/** How many a need asks for, and how many of what serves it that comes to. */
export interface Amount {
  readonly qty: Quantity;
  readonly per: 'home' | 'child';
  /** How many of the thing serve the whole need: an expression over dials, `need` and `places`; absent: as many as are asked for. */
  readonly own?: Quantity | undefined;
  /** Hollows or places of the thing, for `own`. */
  readonly places?: number | undefined;
}

/**
 * How many are taken with so many children, not rounded. `own` sees the whole amount as `need`, and nothing multiplies it
 * again. What has no value is a problem that names the piece at fault.
 * @example amountFor({ qty: 'n', per: 'child', own: 'ceil(need/places)', places: 6 }, 2, { n: 5 }) // 2
 */
export function amountFor(
  { qty, per, own, places }: Amount,
  children: number,
  dials: Scope,
): Outcome<number, ExpressionProblem> {
  const each = evaluateQuantity(qty, dials);
  if (!each.ok) return each;
  const whole = per === 'child' ? each.value * children : each.value;
  if (!Number.isFinite(whole)) return err({ code: 'not-finite', at: String(qty) });
  if (own === undefined) return ok(whole);
  return evaluateQuantity(own, { ...dials, ...(places !== undefined && { places }), need: whole });
}
