import { chooseSwaps, isOldEnough, type StockedNeed, type StockItem, type SwapPick } from '../materials/swaps.ts';
import { roundUp } from '../script/expression.ts';
import { byCodeUnit } from '../ordering.ts';

export interface HomeStock {
  readonly id: string;
  readonly youngestMonths: number;
  readonly stock: readonly StockItem[];
}

/** `ready`: as written. `swaps`: everything covered, something by another thing. `short`: something is lacking. */
export type HomeState = 'ready' | 'swaps' | 'short';

export interface HomeReadiness {
  readonly id: string;
  readonly state: HomeState;
  /** Ids of needs that nothing at this home can serve, in the order of the session. */
  readonly missing: readonly string[];
  readonly picks: readonly SwapPick[];
}

export interface Readiness {
  readonly homes: readonly HomeReadiness[];
  readonly ready: number;
  readonly swaps: number;
  readonly short: number;
  /** What to put in kits, over all homes that lack something, by item. */
  readonly kit: readonly StockItem[];
}

/** How many homes can do a session as written, with a swap, or need a kit. No homes: zeros and an empty kit. */
export function checkReadiness(needs: readonly StockedNeed[], homes: readonly HomeStock[]): Readiness {
  return summariseReadiness(homes.map((home) => ({ home, needs, answer: homeReadiness(needs, home) })));
}

/** One home's state for needs that were worked out for it. */
export function homeReadiness(needs: readonly StockedNeed[], home: HomeStock): HomeReadiness {
  const { picks } = chooseSwaps({ youngestMonths: home.youngestMonths, needs, stock: home.stock });
  const missing = picks.filter(({ item }) => item === null).map(({ need }) => need);
  const isAsWritten = needs.every((need, index) => picks[index]!.item === need.options[0]?.item);
  return { id: home.id, state: missing.length > 0 ? 'short' : isAsWritten ? 'ready' : 'swaps', missing, picks };
}

/** Adds up homes whose needs may differ (other children, other allergies). */
export function summariseReadiness(
  checked: readonly { home: HomeStock; needs: readonly StockedNeed[]; answer: HomeReadiness }[],
): Readiness {
  const kit = new Map<string, number>();
  for (const { home, needs, answer } of checked) {
    for (const { item, qty } of kitFor(needs, answer.missing, home.youngestMonths)) {
      kit.set(item, (kit.get(item) ?? 0) + qty);
    }
  }
  const count = (state: HomeState) => checked.filter(({ answer }) => answer.state === state).length;
  return {
    homes: checked.map(({ answer }) => answer),
    ready: count('ready'),
    swaps: count('swaps'),
    short: count('short'),
    kit: [...kit]
      .map(([item, qty]) => ({ item, qty: roundToBillionth(qty) }))
      .sort((left, right) => byCodeUnit(left.item, right.item)),
  };
}

/** What a kit for one home holds: for each missing need the first thing its youngest child is old enough for. */
export function kitFor(
  needs: readonly StockedNeed[],
  missing: readonly string[],
  youngestMonths: number,
): { need: string; item: string; qty: number }[] {
  return needs
    .filter((need) => missing.includes(need.id))
    .flatMap((need) => {
      const option = need.options.find((candidate) => isOldEnough(candidate, youngestMonths));
      return option ? [{ need: need.id, item: option.item, qty: need.qty }] : [];
    });
}

/** Binary fractions added up may miss a whole number by their last bits. */
function roundToBillionth(qty: number): number {
  const whole = roundUp(qty);
  return Math.abs(whole - qty) < 1e-9 ? whole : qty;
}
