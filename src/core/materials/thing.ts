/** A household thing, as far as quantities, swaps and cautions need it. */
export interface Thing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly traits: readonly string[];
  /** Largest side in millimetres, if it has one. */
  readonly sizeMm?: number | undefined;
  /** Hollows or places it has, such as the twelve of an egg carton. */
  readonly places?: number | undefined;
  readonly allergens: readonly string[];
}

/** Things of the shelf by their keys. */
export type ThingsByKey = Readonly<Record<string, Thing>>;

/** One and many of a thing; its key where the shelf does not know it. */
export function namesOf(item: string, things: ThingsByKey): { one: string; many: string } {
  const thing = Object.hasOwn(things, item) ? things[item] : undefined;
  return thing ? { one: thing.one, many: thing.many } : { one: item, many: item };
}
