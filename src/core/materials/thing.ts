import { readWords } from '../cautions/index.ts';

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
  /** How many a home that has any usually has. */
  readonly usualQty?: number | undefined;
  /** The part of homes that have any, 0 to 1. */
  readonly common?: number | undefined;
  /** How many of it the programme gives out to a home; absent: none. */
  readonly givesOut?: number | undefined;
  /** How many are in a pack, where it is bought in packs. */
  readonly pack?: number | undefined;
  /** Nobody has looked at its traits and allergens yet: those that its name calls for are among them. */
  readonly isUnchecked?: boolean | undefined;
}

/** A thing as the shelf keeps it, as far as `asKnown` looks at it. */
export interface ShelvedThing extends Omit<Thing, 'isUnchecked'> {
  readonly checked?: boolean | undefined;
}

/** What the name of a thing calls for: caution rules and allergens. A name that says nothing of the kind: none. */
export function proposedBy({ one, many }: Pick<Thing, 'one' | 'many'>): { traits: string[]; allergens: string[] } {
  const read = [one, many].map((name) => readWords(name, 'thing'));
  const rules = read.flatMap(({ check, notes }) => [...check, ...notes].map(({ rule }) => rule));
  return { traits: [...new Set(rules)], allergens: [...new Set(read.flatMap(({ allergens }) => allergens))] };
}

/** A thing as scripts and homes know it: one that nobody has looked at bears what its name calls for too. */
export function asKnown({ checked, ...thing }: ShelvedThing): Thing {
  const { key, one, many, traits, sizeMm, places, allergens, usualQty, common, givesOut, pack } = thing;
  const known = { key, one, many, traits, sizeMm, places, allergens, usualQty, common, givesOut, pack };
  if (checked) return known;
  const proposed = proposedBy(known);
  return {
    ...known,
    traits: [...new Set([...traits, ...proposed.traits])],
    allergens: [...new Set([...allergens, ...proposed.allergens])],
    isUnchecked: true,
  };
}

/** Things of the shelf by their keys. */
export type ThingsByKey = Readonly<Record<string, Thing>>;

/** One and many of a thing; its key where the shelf does not know it. */
export function namesOf(item: string, things: ThingsByKey): { one: string; many: string } {
  const thing = Object.hasOwn(things, item) ? things[item] : undefined;
  return thing ? { one: thing.one, many: thing.many } : { one: item, many: item };
}
