import { byCodeUnit } from '../ordering.ts';
import { chooseSwaps, isOldEnough, type StockedNeed, type StockItem } from './swaps.ts';

/** An activity of the shelf as far as "what we have" needs it. */
export interface HaveActivity {
  readonly key: string;
  readonly title: string;
  readonly skills: readonly string[];
  readonly needs: readonly StockedNeed[];
  /** Likely minutes to set up. */
  readonly setupMinutes: number;
}

export interface Doable {
  readonly activity: HaveActivity;
  /** As the script says, or with another thing for at least one need. */
  readonly state: 'ready' | 'swaps';
  /** What serves each need, in order. */
  readonly picks: readonly { readonly need: string; readonly item: string }[];
  /** The mean fit of what serves, 0 to 1; 1 where nothing is needed. */
  readonly fit: number;
}

/**
 * What can be done with what is there, best use first: as written before with swaps, then the better fit, then more of
 * the things used, then the shorter set-up. Nothing there: activities that need nothing.
 */
export function doableNow(
  activities: readonly HaveActivity[],
  stock: readonly StockItem[],
  youngestMonths: number,
): Doable[] {
  const available = new Map(stock.map(({ item, qty }) => [item, qty]));
  return activities
    .flatMap((activity): Doable[] => {
      const items = pickItems(activity.needs, { available, stock, youngestMonths });
      if (!items) return [];
      const fits = activity.needs.map((need, index) => need.options.find(({ item }) => item === items[index])!.fit);
      const isAsWritten = activity.needs.every((need, index) => need.options[0]!.item === items[index]);
      return [
        {
          activity,
          state: isAsWritten ? 'ready' : 'swaps',
          picks: activity.needs.map(({ id }, index) => ({ need: id, item: items[index]! })),
          fit: fits.length === 0 ? 1 : fits.reduce((sum, fit) => sum + fit, 0) / fits.length,
        },
      ];
    })
    .sort(bestUseFirst);
}

/** Homes that can do an activity, out of those given: for "all homes". */
export function homesThatCan(
  activity: HaveActivity,
  homes: readonly { readonly stock: readonly StockItem[]; readonly youngestMonths: number }[],
): number {
  return homes.filter(({ stock, youngestMonths }) => doableNow([activity], stock, youngestMonths).length > 0).length;
}

/** The activities one thing serves, as the script says first, then as a swap with its fit; by title within each. */
export function usesOf(
  item: string,
  activities: readonly HaveActivity[],
): { activity: HaveActivity; need: string; fit: number; isAsWritten: boolean }[] {
  return activities
    .flatMap((activity) =>
      activity.needs.flatMap((need) => {
        const at = need.options.findIndex((option) => option.item === item);
        return at < 0 ? [] : [{ activity, need: need.id, fit: need.options[at]!.fit, isAsWritten: at === 0 }];
      }),
    )
    .sort(
      (left, right) =>
        Number(right.isAsWritten) - Number(left.isAsWritten) ||
        right.fit - left.fit ||
        byCodeUnit(left.activity.title, right.activity.title),
    );
}

interface Having {
  readonly available: ReadonlyMap<string, number>;
  readonly stock: readonly StockItem[];
  readonly youngestMonths: number;
}

/** What serves each need, or null. The best option of each, unless two needs want the same thing; then the exact search. */
function pickItems(needs: readonly StockedNeed[], { available, stock, youngestMonths }: Having): string[] | null {
  const items: string[] = [];
  for (const need of needs) {
    let best: { item: string; fit: number } | null = null;
    for (const option of need.options) {
      if ((available.get(option.item) ?? 0) < need.qty || !isOldEnough(option, youngestMonths)) continue;
      if (!best || option.fit > best.fit) best = option;
    }
    if (!best) return null;
    items.push(best.item);
  }
  if (new Set(items).size === items.length) return items;
  const wanted = new Set(needs.flatMap(({ options }) => options.map(({ item }) => item)));
  const { picks, covered } = chooseSwaps({
    youngestMonths,
    needs,
    stock: stock.filter(({ item }) => wanted.has(item)),
  });
  return covered === needs.length ? picks.map(({ item }) => item!) : null;
}

function bestUseFirst(left: Doable, right: Doable): number {
  return (
    Number(right.state === 'ready') - Number(left.state === 'ready') ||
    right.fit - left.fit ||
    right.picks.length - left.picks.length ||
    left.activity.setupMinutes - right.activity.setupMinutes ||
    byCodeUnit(left.activity.title, right.activity.title)
  );
}
