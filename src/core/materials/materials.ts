import { byCodeUnit } from '../ordering.ts';
import { bad, good, type Outcome } from '../outcome.ts';
import { evaluateQuantity, roundUp, type ExpressionProblem, type Scope } from '../script/expression.ts';
import type { Need, Quantity } from '../script/session.ts';

export type CountedNeed = Pick<Need, 'item' | 'per' | 'use'> & { readonly qty: Quantity };

export interface MaterialsInput {
  readonly children: number;
  readonly segments: readonly { readonly id: string; readonly dials: Scope; readonly needs: readonly CountedNeed[] }[];
}

export interface MaterialTotal {
  readonly item: string;
  readonly qty: number;
  /** The segments that use it, in the order of the session. */
  readonly segments: readonly string[];
}

export interface MaterialProblem {
  /** Indexes from 0. */
  readonly segment: number;
  readonly need: number;
  readonly problem: ExpressionProblem;
}

interface Tally {
  usedUp: number;
  lastingAtOnce: number;
  segments: string[];
}

/**
 * What has to be fetched for a session, by item. Used-up quantities add over the session; lasting things are laid
 * out again, so the segment that needs most of them counts; both together add, and the sum is rounded up.
 * Nothing needed gives an empty list. A quantity that has no value names its segment and need.
 */
export function totalMaterials({ children, segments }: MaterialsInput): Outcome<MaterialTotal[], MaterialProblem> {
  const tallies = new Map<string, Tally>();
  for (const [segmentIndex, segment] of segments.entries()) {
    const lastingHere = new Map<string, number>();
    for (const [needIndex, need] of segment.needs.entries()) {
      const quantity = needQuantity(need, children, segment.dials);
      if (!quantity.ok) return bad({ segment: segmentIndex, need: needIndex, problem: quantity.problem });
      const tally = tallyFor(tallies, need.item);
      if (!tally.segments.includes(segment.id)) tally.segments.push(segment.id);
      if (need.use === 'used-up') tally.usedUp += quantity.value;
      else lastingHere.set(need.item, (lastingHere.get(need.item) ?? 0) + quantity.value);
    }
    for (const [item, qty] of lastingHere) {
      const tally = tallyFor(tallies, item);
      tally.lastingAtOnce = Math.max(tally.lastingAtOnce, qty);
    }
  }
  const totals = [...tallies].map(([item, tally]) => ({
    item,
    qty: roundUp(tally.usedUp + tally.lastingAtOnce),
    segments: tally.segments,
  }));
  return good(totals.sort((left, right) => byCodeUnit(left.item, right.item)));
}

/** How much one need takes with so many children, not rounded. */
export function needQuantity(need: CountedNeed, children: number, dials: Scope): Outcome<number, ExpressionProblem> {
  const quantity = evaluateQuantity(need.qty, dials);
  if (!quantity.ok) return quantity;
  const total = need.per === 'child' ? quantity.value * children : quantity.value;
  return Number.isFinite(total) ? good(total) : bad({ code: 'not-finite', at: String(need.qty) });
}

function tallyFor(tallies: Map<string, Tally>, item: string): Tally {
  const known = tallies.get(item);
  if (known) return known;
  const tally: Tally = { usedUp: 0, lastingAtOnce: 0, segments: [] };
  tallies.set(item, tally);
  return tally;
}
