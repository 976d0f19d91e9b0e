import type { StockItem, ThingsByKey } from '../materials/index.ts';

/** What goes into one home's bag. */
export interface Bag {
  readonly home: string;
  readonly nickname: string;
  readonly things: readonly StockItem[];
}

/** One thing over all bags. */
export interface Gathered {
  readonly item: string;
  /** How many in all. */
  readonly qty: number;
  /** In how many bags. */
  readonly bags: number;
  /** How many packs that takes, where it is bought in packs; null: it is not. */
  readonly packs: number | null;
  /** What is left of the last pack; 0 without packs. */
  readonly left: number;
}

/** What all bags take together, by thing, the most first; nothing where no home needs a bag. */
export function gatherBags(bags: readonly Bag[], things: ThingsByKey): Gathered[] {
  const sums = new Map<string, { qty: number; bags: number }>();
  for (const bag of bags)
    for (const { item, qty } of bag.things) {
      const sum = sums.get(item) ?? { qty: 0, bags: 0 };
      sums.set(item, { qty: sum.qty + qty, bags: sum.bags + 1 });
    }
  return [...sums]
    .map(([item, sum]) => {
      const pack = things[item]?.pack;
      const packs = pack === undefined ? null : Math.ceil(sum.qty / pack);
      return { item, ...sum, packs, left: packs === null ? 0 : packs * pack! - sum.qty };
    })
    .sort((one, other) => other.qty - one.qty || (one.item < other.item ? -1 : 1));
}
