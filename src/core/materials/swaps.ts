import { roundTo } from '../numbers/index.ts';
import { preparePart } from './dialSettings.ts';
import type { StockItem } from './fitting.ts';
import { serveParts, type ServedOption } from './serveParts.ts';
import type { NeedToServe } from './serving.ts';

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

/** What serves a need: its own thing, a swap, or nothing (null). */
export interface SwapPick {
  readonly need: string;
  readonly item: string | null;
}

/** The best way to serve all needs from a stock. */
export interface SwapAnswer {
  readonly picks: readonly SwapPick[];
  readonly covered: number;
  /** The summed fit of what was picked, three decimals. */
  readonly fit: number;
  /** Whether it was proved that nothing is better. */
  readonly proved: boolean;
}

/** Needs, a stock, and the youngest age in months that bears on what may be used. */
export interface SwapsInput {
  readonly youngestMonths: number;
  readonly needs: readonly StockedNeed[];
  readonly stock: readonly StockItem[];
}

/**
 * Chooses, for one home, the thing that serves each need: as many needs as can be, then the best total fit, then what the
 * script says. Each need takes one thing for its whole quantity. The engine that sessions are fitted with, asked about needs
 * that are already counted. No needs: nothing covered, fit 0.
 */
export function chooseSwaps(input: SwapsInput): SwapAnswer {
  const { served, proved } = serveNeeds(input);
  const used = served.map(({ option, source }) => (source === 'home' ? option : null));
  return {
    picks: input.needs.map(({ id }, index) => ({ need: id, item: used[index]?.item ?? null })),
    covered: used.filter((option) => option !== null).length,
    fit: roundTo(
      used.reduce((sum, option) => sum + (option?.fit ?? 0), 0),
      3,
    ),
    proved,
  };
}

/** What each need comes to, in the order of the needs: from the stock, or the first option that is permitted, or nothing. */
export function serveNeeds({ youngestMonths, needs, stock }: SwapsInput): {
  readonly served: readonly ServedOption[];
  readonly proved: boolean;
} {
  const bySegment = new Map<string, StockedNeed[]>();
  for (const need of needs) bySegment.set(need.segment, [...(bySegment.get(need.segment) ?? []), need]);
  const parts = [...bySegment].map(([id, own]) => ({
    id,
    values: {},
    children: 1,
    needs: own.map((need) => toServe(need, youngestMonths)),
  }));
  const { parts: served, isProved } = serveParts(parts.map(preparePart), stock);
  const byNeed = new Map(
    parts.flatMap((part, index) => part.needs.map(({ id }, at) => [id, served[index]!.needs[at]!] as const)),
  );
  return { served: needs.map(({ id }) => byNeed.get(id)!), proved: isProved };
}

/** Whether a thing may be given in a room whose youngest child is so many months old. */
export function isOldEnough(option: SwapOption, youngestMonths: number): boolean {
  return (option.minMonths ?? 0) <= youngestMonths;
}

function toServe({ id, use, qty, options }: StockedNeed, youngestMonths: number): NeedToServe {
  const permitted = options.flatMap((option, place) =>
    isOldEnough(option, youngestMonths)
      ? [{ item: option.item, place, fit: option.fit, sets: {}, qty: option.qty }]
      : [],
  );
  return { id, use, qty, per: 'home', options: permitted };
}
