import { roundTo } from '../numbers/rounding.ts';
import { searchAssignment, type AssignmentNeed } from './assignment.ts';

/** A thing that serves a need, as many as it takes, as well as it fits (0 to 1). */
export interface SwapOption {
  readonly item: string;
  /** 0 to 1. */
  readonly fit: number;
  /** The youngest age, in whole months, at which this thing may be given; 0 when absent. */
  readonly minMonths?: number | undefined;
  /** How many of it serve the need, where that is another number than of what the script says. */
  readonly qty?: number | undefined;
}

/** A need with its options, to be served from a stock. */
export interface StockedNeed {
  readonly id: string;
  readonly segment: string;
  readonly qty: number;
  readonly use: 'lasting' | 'used-up';
  /** What the script says first, then what else will do. */
  readonly options: readonly SwapOption[];
}

/** So many of a thing, by its key. */
export interface StockItem {
  readonly item: string;
  readonly qty: number;
}

/** What serves a need: its own thing, a swap, or nothing (null). */
export interface SwapPick {
  readonly need: string;
  readonly item: string | null;
}

/** The best way to serve all needs from a stock, with what is left to a kit. */
export interface SwapAnswer {
  readonly picks: readonly SwapPick[];
  readonly covered: number;
  /** The summed fit of what was picked, three decimals. */
  readonly fit: number;
}

/** Needs, a stock, and the youngest age in months that bears on what may be used. */
export interface SwapsInput {
  readonly youngestMonths: number;
  readonly needs: readonly StockedNeed[];
  readonly stock: readonly StockItem[];
}

/** Steps after which the best choice so far is taken: some seconds' worth. */
const MOST_STEPS = 2_000_000;
/** Fits are compared to a millionth. */
const FIT_STEPS = 1e6;

/** What an option is worth among so many needs: whole numbers, so that the order of worth is exact. */
export interface Worth {
  /** For serving a need at all: more than all fits together. */
  readonly cover: number;
  /** For an option: for serving, for its fit, and a little for being what the script says. */
  readonly of: (fit: number, isFirst: boolean) => number;
}

/** How covered needs, fit and first options are weighed against each other, in this order. At most 1,000 needs. */
export function worthAmong(needs: number): Worth {
  const perFitStep = needs + 1;
  const cover = perFitStep * FIT_STEPS * (needs + 1);
  return { cover, of: (fit, isFirst) => cover + Math.round(fit * FIT_STEPS) * perFitStep + (isFirst ? 1 : 0) };
}

/**
 * Chooses, for one home, the thing that serves each need: as many needs as can be, then the best total fit, then
 * what the script says. Each need takes one thing for its whole quantity. Exact. No needs: nothing covered, fit 0.
 */
export function chooseSwaps({ youngestMonths, needs, stock }: SwapsInput): SwapAnswer {
  const available = new Map<string, number>();
  for (const { item, qty } of stock) available.set(item, (available.get(item) ?? 0) + qty);
  const worth = worthAmong(needs.length);
  const chosen = searchAssignment(
    needs.map((need) => toAssignmentNeed(need, youngestMonths, worth)),
    available,
    { coverGain: worth.cover, steps: { left: MOST_STEPS } },
  )!;
  const options = needs.map((need, index) => (chosen[index] === null ? undefined : need.options[chosen[index]!]));
  return {
    picks: needs.map((need, index) => ({ need: need.id, item: options[index]?.item ?? null })),
    covered: options.filter((option) => option !== undefined).length,
    fit: roundTo(
      options.reduce((sum, option) => sum + (option?.fit ?? 0), 0),
      3,
    ),
  };
}

/** Whether a thing may be given in a room whose youngest child is so many months old. */
export function isOldEnough(option: SwapOption, youngestMonths: number): boolean {
  return (option.minMonths ?? 0) <= youngestMonths;
}

function toAssignmentNeed(need: StockedNeed, youngestMonths: number, worth: Worth): AssignmentNeed {
  return {
    segment: need.segment,
    use: need.use,
    options: need.options.flatMap((option, index) =>
      isOldEnough(option, youngestMonths)
        ? [{ index, item: option.item, qty: option.qty ?? need.qty, gain: worth.of(option.fit, index === 0) }]
        : [],
    ),
  };
}
