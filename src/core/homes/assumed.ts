import type { PreparedPart, StockItem, ThingsByKey } from '../materials/index.ts';
import type { Home } from './home.ts';

/** A thing that at least so many homes have counts as probably there. */
const COMMON = 0.8;

/**
 * The things that a home was not asked about and probably has, as many as homes usually have: of those that could serve the
 * parts, the common ones. Nothing common: none.
 */
export function assumedAt(
  { stock, hasNot = [] }: Pick<Home, 'stock' | 'hasNot'>,
  parts: readonly PreparedPart[],
  things: ThingsByKey,
): StockItem[] {
  const asked = new Set([...stock.map(({ item }) => item), ...hasNot]);
  const wanted = new Set(
    parts.flatMap(({ part }) => part.needs.flatMap(({ options }) => options.map(({ item }) => item))),
  );
  return [...wanted].flatMap((item) => {
    const { common = 0, usualQty = 0 } = things[item] ?? {};
    return !asked.has(item) && common >= COMMON && usualQty > 0 ? [{ item, qty: usualQty }] : [];
  });
}
