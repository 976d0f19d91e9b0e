import type { Scope } from '../expressions/index.ts';
import type { Amount } from './amount.ts';
import type { Need, Swap } from './need.ts';
import type { ServingOption } from './serving.ts';
import type { ThingsByKey } from './thing.ts';

/** A need with what an author's choice of a thing brings with it: the values that dials take. */
export interface Taken {
  readonly need: Need;
  readonly dials: Readonly<Record<string, number>>;
}

/** Hollows or places of a thing, where it has any. */
function placesOfThing(item: string, things: ThingsByKey): number | undefined {
  return Object.hasOwn(things, item) ? things[item]!.places : undefined;
}

/** All that may serve a need, what the script says first, then its swaps in their order. */
export function optionsOf(need: Need, things: ThingsByKey): ServingOption[] {
  const { item, taken } = need;
  return [
    { item, place: 0, fit: 1, sets: {}, qty: taken?.qty, places: placesOfThing(item, things) },
    ...need.swaps.map((swap, index) => ({
      item: swap.item,
      place: index + 1,
      fit: swap.fit,
      sets: swap.sets ?? {},
      qty: swap.qty,
      places: placesOfThing(swap.item, things),
    })),
  ];
}

/** How many a need takes of what its script says. */
export function amountAsWritten({ qty, per, item, taken }: Need, things: ThingsByKey): Amount {
  return { qty, per, own: taken?.qty, places: placesOfThing(item, things) };
}

/**
 * Puts a swap in the place of what the script says, with how many of it serve the need and the dials that it sets; what was
 * there becomes the first swap, and sets those dials back. The thing that was taken the place of is put back. Null where
 * the need has no such swap. `dials` are the values as they stand.
 */
export function takeOver(need: Need, item: string, dials: Scope): Taken | null {
  if (need.taken?.from === item) return putBack(need, dials);
  const base = putBack(need, dials) ?? { need, dials: {} };
  const at = base.need.swaps.findIndex((candidate) => candidate.item === item);
  if (at < 0) return null;
  const { item: _, ...swap } = base.need.swaps[at]!;
  const was = valuesBefore(swap.sets ?? {}, { ...dials, ...base.dials });
  const former: Swap = { item: base.need.item, fit: 1, why: '', ...(hasAny(was) && { sets: was }) };
  const taken = { ...swap, from: base.need.item, at, ...(hasAny(was) && { was }) };
  return {
    need: { ...base.need, item, swaps: [former, ...base.need.swaps.toSpliced(at, 1)], taken },
    dials: { ...base.dials, ...swap.sets },
  };
}

/** Undoes `takeOver`: the need as it was, and its dials where they still stand as the swap set them. Null where nothing was taken over. */
export function putBack(need: Need, dials: Scope): Taken | null {
  if (!need.taken) return null;
  const { from, at, was = {}, ...swap } = need.taken;
  const others = need.swaps.filter((candidate) => candidate.item !== from);
  if (others.length === need.swaps.length) return null;
  const { taken: _, ...written } = need;
  return {
    need: { ...written, item: from, swaps: others.toSpliced(at, 0, { item: need.item, ...swap }) },
    dials: Object.fromEntries(Object.entries(was).filter(([dial]) => dials[dial] === swap.sets?.[dial])),
  };
}

/** What numbers the dials have that are about to be set. */
function valuesBefore(sets: Readonly<Record<string, number>>, dials: Scope): Record<string, number> {
  return Object.fromEntries(
    Object.keys(sets).flatMap((dial) => {
      const value = Object.hasOwn(dials, dial) ? dials[dial] : undefined;
      return typeof value === 'number' ? [[dial, value] as const] : [];
    }),
  );
}

function hasAny(values: object): boolean {
  return Object.keys(values).length > 0;
}
