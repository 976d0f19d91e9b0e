import { amountFor, type Amount } from './amount.ts';
import type { Need } from './need.ts';
import { byCodeUnit } from '../ordering.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import { type ExpressionProblem, roundUp, type Scope } from '../expressions/index.ts';

/** A need as far as it is counted. */
type CountedNeed = Pick<Need, 'item' | 'use'> & Amount;

/** The needs of a session's parts, and for how many children. */
export interface MaterialsInput {
  readonly children: number;
  readonly segments: readonly { readonly id: string; readonly dials: Scope; readonly needs: readonly CountedNeed[] }[];
}

/** How many of one thing a session takes. */
export interface MaterialTotal {
  readonly item: string;
  readonly qty: number;
  /** The segments that use it, in the order of the session. */
  readonly segments: readonly string[];
}

/** A quantity that has no value, by its place. */
export interface MaterialProblem {
  /** Indexes from 0. */
  readonly segment: number;
  readonly need: number;
  readonly problem: ExpressionProblem;
}

/** How many of a thing one need of a segment takes. */
export interface ThingUse {
  readonly segment: string;
  readonly item: string;
  readonly use: 'lasting' | 'used-up';
  readonly qty: number;
}

interface Tally {
  usedUp: number;
  lasting: Map<string, number>;
  segments: string[];
}

/**
 * Adds up uses by thing: used-up quantities over all segments; lasting things are laid out again, so the segment that
 * needs most of them counts; both together add, and the sum is rounded up to whole things. By key. Nothing used: none.
 */
export function tallyThings(uses: readonly ThingUse[]): MaterialTotal[] {
  const tallies = new Map<string, Tally>();
  for (const { segment, item, use, qty } of uses) {
    const tally = tallies.get(item) ?? { usedUp: 0, lasting: new Map<string, number>(), segments: [] };
    tallies.set(item, tally);
    if (!tally.segments.includes(segment)) tally.segments.push(segment);
    if (use === 'used-up') tally.usedUp += qty;
    else tally.lasting.set(segment, (tally.lasting.get(segment) ?? 0) + qty);
  }
  return [...tallies]
    .map(([item, { usedUp, lasting, segments }]) => ({
      item,
      qty: roundUp(usedUp + Math.max(0, ...lasting.values())),
      segments,
    }))
    .sort((left, right) => byCodeUnit(left.item, right.item));
}

/**
 * What has to be fetched for a session, by item. Used-up quantities add over the session; lasting things are laid
 * out again, so the segment that needs most of them counts; both together add, and the sum is rounded up.
 * Nothing needed gives an empty list. A quantity that has no value names its segment and need.
 */
export function totalMaterials({ children, segments }: MaterialsInput): Outcome<MaterialTotal[], MaterialProblem> {
  const uses: ThingUse[] = [];
  for (const [segmentIndex, segment] of segments.entries())
    for (const [needIndex, need] of segment.needs.entries()) {
      const quantity = amountFor(need, children, segment.dials);
      if (!quantity.ok) return err({ segment: segmentIndex, need: needIndex, problem: quantity.problem });
      uses.push({ segment: segment.id, item: need.item, use: need.use, qty: quantity.value });
    }
  return ok(tallyThings(uses));
}
