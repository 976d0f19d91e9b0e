import {
  chooseSwaps,
  fitParts,
  isOldEnough,
  type PreparedPart,
  type StockedNeed,
  type StockItem,
} from '../materials/index.ts';
import { byCodeUnit } from '../ordering.ts';

/** An activity of the shelf as far as "what we have" needs it. */
export interface FeasibleActivity {
  readonly key: string;
  readonly title: string;
  readonly skills: readonly string[];
  readonly needs: readonly HaveNeed[];
  /** Likely minutes to set up. */
  readonly setupMinutes: number;
  /** Every setting of its dials that its swaps can bring about, where there is more than one. */
  readonly prepared?: PreparedPart | undefined;
}

/** A need with what may serve it. */
interface HaveNeed extends StockedNeed {
  /** What the script says; absent: the first option. */
  readonly written?: string | undefined;
  /** It can be done without. */
  readonly optional?: boolean | undefined;
}

/** An activity that can be done with what is there, as written or with a swap. */
export interface Doable {
  readonly activity: FeasibleActivity;
  /** As the script says, or with another thing for at least one need. */
  readonly state: 'ready' | 'swaps';
  /** What serves each need, in order; an optional one that nothing serves is not there. */
  readonly picks: readonly { readonly need: string; readonly item: string }[];
  /** The mean fit of what serves, 0 to 1; 1 where nothing is needed. */
  readonly fit: number;
}

/**
 * What can be done with what is there, best use first: as written before with swaps, then the better fit, then more of
 * the things used, then the shorter set-up. Nothing there: activities that need nothing.
 */
export function doableNow(
  activities: readonly FeasibleActivity[],
  stock: readonly StockItem[],
  youngestMonths: number,
): Doable[] {
  const available = new Map(stock.map(({ item, qty }) => [item, qty]));
  return activities
    .flatMap((activity): Doable[] => {
      const picked = activity.prepared
        ? pickAmongWays(activity.prepared, stock)
        : pickItems(activity.needs, { available, stock, youngestMonths });
      if (!picked) return [];
      const fits = picked.flatMap((option) => (option ? [option.fit] : []));
      const isAsWritten = activity.needs.every(
        (need, index) => !picked[index] || writtenIn(need) === picked[index].item,
      );
      return [
        {
          activity,
          state: isAsWritten ? 'ready' : 'swaps',
          picks: activity.needs.flatMap(({ id }, index) =>
            picked[index] ? [{ need: id, item: picked[index].item }] : [],
          ),
          fit: fits.length === 0 ? 1 : fits.reduce((sum, fit) => sum + fit, 0) / fits.length,
        },
      ];
    })
    .sort(bestUseFirst);
}

/** How many homes can do each activity with what they have, for "all homes": most first, then by title. */
export function countHomes(
  homes: readonly { readonly activities: readonly FeasibleActivity[]; readonly stock: readonly StockItem[] }[],
): { activity: FeasibleActivity; homes: number }[] {
  const counts = new Map<string, { activity: FeasibleActivity; homes: number }>();
  for (const { activities, stock } of homes)
    for (const { activity } of doableNow(activities, stock, EVERY_AGE)) {
      const known = counts.get(activity.key);
      counts.set(activity.key, { activity, homes: (known?.homes ?? 0) + 1 });
    }
  return [...counts.values()].sort(
    (left, right) => right.homes - left.homes || byCodeUnit(left.activity.title, right.activity.title),
  );
}

/** Ages do not count where what is not permitted has been left out before. */
const EVERY_AGE = 1200;

/** The activities one thing serves, as the script says first, then as a swap with its fit; by title within each. */
export function usesOf(
  item: string,
  activities: readonly FeasibleActivity[],
): { activity: FeasibleActivity; need: string; fit: number; isAsWritten: boolean }[] {
  return activities
    .flatMap((activity) =>
      activity.needs.flatMap((need) => {
        const option = need.options.find((candidate) => candidate.item === item);
        return option ? [{ activity, need: need.id, fit: option.fit, isAsWritten: writtenIn(need) === item }] : [];
      }),
    )
    .sort(
      (left, right) =>
        Number(right.isAsWritten) - Number(left.isAsWritten) ||
        right.fit - left.fit ||
        byCodeUnit(left.activity.title, right.activity.title),
    );
}

/** What the script says, whether it is permitted or not. */
function writtenIn({ written, options }: HaveNeed): string | undefined {
  return written ?? options[0]?.item;
}

interface AtHand {
  readonly available: ReadonlyMap<string, number>;
  readonly stock: readonly StockItem[];
  readonly youngestMonths: number;
}

/** What serves each need, null for an optional one that nothing serves. */
type Picked = readonly ({ readonly item: string; readonly fit: number } | null)[];

/** What serves each need, or null where something is lacking. The best option of each, unless two needs want the same thing; then the exact search. */
function pickItems(needs: readonly HaveNeed[], { available, stock, youngestMonths }: AtHand): Picked | null {
  const picked: Picked[number][] = [];
  for (const need of needs) {
    let best: { item: string; fit: number } | null = null;
    for (const option of need.options) {
      if ((available.get(option.item) ?? 0) < (option.qty ?? need.qty) || !isOldEnough(option, youngestMonths))
        continue;
      if (!best || option.fit > best.fit) best = option;
    }
    if (!best && !need.optional) return null;
    picked.push(best);
  }
  const used = picked.flatMap((option) => (option ? [option.item] : []));
  if (new Set(used).size === used.length) return picked;
  const wanted = new Set(needs.flatMap(({ options }) => options.map(({ item }) => item)));
  const { picks } = chooseSwaps({
    youngestMonths,
    needs,
    stock: stock.filter(({ item }) => wanted.has(item)),
  });
  return allServed(
    needs,
    picks.map(({ item }, index) => needs[index]!.options.find((option) => option.item === item) ?? null),
  );
}

/** The same where swaps set dials: asked of the search that sessions are fitted with. */
function pickAmongWays(prepared: PreparedPart, stock: readonly StockItem[]): Picked | null {
  const { needs } = prepared.part;
  const [places] = fitParts([prepared], stock).picks;
  return allServed(
    needs,
    needs.map(({ options }, index) => options.find(({ place }) => place === places![index]) ?? null),
  );
}

/** What was picked, where nothing lacks but what can be done without. */
function allServed(needs: readonly { readonly optional?: boolean | undefined }[], picked: Picked): Picked | null {
  return picked.every((option, index) => option !== null || needs[index]!.optional) ? picked : null;
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
