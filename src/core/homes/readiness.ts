import { serveNeeds, type StockedNeed, type StockItem, type SwapPick, tallyThings } from '../materials/index.ts';
import { byCodeUnit } from '../ordering.ts';

/** What one home has and who lives there, as far as readiness asks. */
export interface HomeStock {
  readonly id: string;
  readonly youngestMonths: number;
  readonly stock: readonly StockItem[];
}

/**
 * `ready`: as written. `swaps`: everything covered, something by another thing. `likely`: everything covered, something by a
 * common thing that nobody asked about. `short`: something is lacking.
 */
export type HomeState = 'ready' | 'swaps' | 'likely' | 'short';

/** How one home can do a session, and what a kit has to hold. */
export interface HomeReadiness {
  readonly id: string;
  readonly state: HomeState;
  /** Ids of needs that nothing at this home can serve, in the order of the session. */
  readonly missing: readonly string[];
  readonly picks: readonly SwapPick[];
}

/** How many homes can do a session as written, with a swap or with a kit, and the kits together. */
export interface Readiness {
  readonly homes: readonly HomeReadiness[];
  readonly ready: number;
  readonly swaps: number;
  readonly likely: number;
  readonly short: number;
  /** What to put in kits, over all homes that lack something, by item. */
  readonly kit: readonly StockItem[];
}

/** A home's state, from what its needs came to. */
export function stateOf({
  isShort,
  isAsWritten,
  isAssumed,
}: {
  readonly isShort: boolean;
  readonly isAsWritten: boolean;
  readonly isAssumed: boolean;
}): HomeState {
  if (isShort) return 'short';
  if (isAssumed) return 'likely';
  return isAsWritten ? 'ready' : 'swaps';
}

/**
 * How many homes can do a session as written, with a swap, or need a kit, for needs that are already counted; whatever is
 * lacking counts as given out. No homes: zeros and an empty kit.
 */
export function checkReadiness(
  needs: readonly StockedNeed[],
  homes: readonly HomeStock[],
): Readiness & { readonly proved: boolean } {
  const checked = homes.map((home) => homeReadiness(needs, home));
  return { ...summariseReadiness(checked), proved: checked.every(({ proved }) => proved) };
}

/** One home's state and kit for needs that were worked out for it. */
function homeReadiness(
  needs: readonly StockedNeed[],
  { id, youngestMonths, stock }: HomeStock,
): { answer: HomeReadiness; kit: StockItem[]; proved: boolean } {
  const { served, proved } = serveNeeds({ youngestMonths, needs, stock });
  const missing = needs.flatMap((need, index) => (served[index]!.source === 'home' ? [] : [need.id]));
  const picks = needs.map((need, index) => {
    const { option, source } = served[index]!;
    return { need: need.id, item: source === 'home' ? option!.item : null };
  });
  const isAsWritten = needs.every((need, index) => picks[index]!.item === need.options[0]?.item);
  const kit = tallyThings(
    needs.flatMap(({ segment, use }, index) => {
      const { option, source, qty } = served[index]!;
      return source === 'lacking' ? [{ segment, use, item: option!.item, qty }] : [];
    }),
  );
  const state = stateOf({ isShort: missing.length > 0, isAsWritten, isAssumed: false });
  return { answer: { id, state, missing, picks }, kit, proved };
}

/** Adds up homes and their kits; a kit is packed for each home, so kits add. */
export function summariseReadiness(
  checked: readonly { answer: HomeReadiness; kit: readonly StockItem[] }[],
): Readiness {
  const kit = new Map<string, number>();
  for (const { item, qty } of checked.flatMap((home) => home.kit)) kit.set(item, (kit.get(item) ?? 0) + qty);
  const count = (state: HomeState) => checked.filter(({ answer }) => answer.state === state).length;
  return {
    homes: checked.map(({ answer }) => answer),
    ready: count('ready'),
    swaps: count('swaps'),
    likely: count('likely'),
    short: count('short'),
    kit: [...kit]
      .map(([item, qty]) => ({ item, qty }))
      .filter(({ qty }) => qty > 0)
      .sort((left, right) => byCodeUnit(left.item, right.item)),
  };
}
