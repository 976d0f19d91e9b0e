import { chooseSwaps, isOldEnough, type StockedNeed, type StockItem, type SwapPick } from '../materials/swaps.ts';
import { tallyThings } from '../materials/materials.ts';
import { byCodeUnit } from '../ordering.ts';

/** What one home has and who lives there, as far as readiness asks. */
export interface HomeStock {
  readonly id: string;
  readonly youngestMonths: number;
  readonly stock: readonly StockItem[];
}

/** `ready`: as written. `swaps`: everything covered, something by another thing. `short`: something is lacking. */
export type HomeState = 'ready' | 'swaps' | 'short';

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
  readonly short: number;
  /** What to put in kits, over all homes that lack something, by item. */
  readonly kit: readonly StockItem[];
}

/** How many homes can do a session as written, with a swap, or need a kit. No homes: zeros and an empty kit. */
export function checkReadiness(needs: readonly StockedNeed[], homes: readonly HomeStock[]): Readiness {
  return summariseReadiness(
    homes.map((home) => {
      const answer = homeReadiness(needs, home);
      return { answer, kit: kitFor(needs, answer.missing, home.youngestMonths) };
    }),
  );
}

/** One home's state for needs that were worked out for it. */
function homeReadiness(needs: readonly StockedNeed[], home: HomeStock): HomeReadiness {
  const { picks } = chooseSwaps({ youngestMonths: home.youngestMonths, needs, stock: home.stock });
  const missing = picks.filter(({ item }) => item === null).map(({ need }) => need);
  const isAsWritten = needs.every((need, index) => picks[index]!.item === need.options[0]?.item);
  return { id: home.id, state: missing.length > 0 ? 'short' : isAsWritten ? 'ready' : 'swaps', missing, picks };
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
    short: count('short'),
    kit: [...kit]
      .map(([item, qty]) => ({ item, qty }))
      .filter(({ qty }) => qty > 0)
      .sort((left, right) => byCodeUnit(left.item, right.item)),
  };
}

/** A kit for one home: for each missing need the first thing its youngest child is old enough for, counted as fetch lists are. */
function kitFor(needs: readonly StockedNeed[], missing: readonly string[], youngestMonths: number): StockItem[] {
  return tallyThings(
    needs
      .filter((need) => missing.includes(need.id))
      .flatMap(({ options, segment, use, qty }) => {
        const option = options.find((candidate) => isOldEnough(candidate, youngestMonths));
        return option ? [{ segment, use, item: option.item, qty: option.qty ?? qty }] : [];
      }),
  );
}
