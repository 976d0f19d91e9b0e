import type { Need, Thing, ThingsByKey } from '../materials/index.ts';
import type { CalendarDate } from '../calendar/index.ts';
import { allergensMeant, type CautionPolicy, mayUse, type Permission, USUAL_POLICY } from '../cautions/index.ts';
import { youngestMonthsOn, type Home } from './home.ts';

/** Who is at a home on a day, as permission and quantities look at it. */
export interface Household extends Permission {
  /** At least 1: a home that has named no child counts as one child of 0 months. */
  readonly children: number;
  readonly policy: CautionPolicy;
}

/** A home's household on a day. */
export function householdOn(
  home: Pick<Home, 'children' | 'allergens'>,
  on: CalendarDate,
  policy: CautionPolicy = USUAL_POLICY,
): Household {
  return {
    youngestMonths: youngestMonthsOn(home, on),
    mouthing: home.children.some(({ mouthing }) => mouthing),
    allergens: allergensMeant(home.allergens),
    children: Math.max(1, home.children.length),
    policy,
  };
}

/** The households of homes on a day, those that are the same once; no homes: none. */
export function distinctHouseholds(
  homes: readonly Pick<Home, 'children' | 'allergens'>[],
  on: CalendarDate,
  policy: CautionPolicy = USUAL_POLICY,
): Household[] {
  const households = homes.map((home) => householdOn(home, on, policy));
  return [...new Map(households.map((household) => [nameOfHousehold(household), household])).values()];
}

/** The same for two households exactly when nothing a session asks tells them apart. */
export function nameOfHousehold({ children, youngestMonths, mouthing, allergens }: Household): string {
  return JSON.stringify([children, youngestMonths, mouthing, allergens]);
}

/** A thing of a need, as cautions look at it: what is not eaten is a counter. */
export function asUsed(thing: Thing, need: Pick<Need, 'eaten'>) {
  const { key: item, traits, allergens, one, many } = thing;
  return { item, traits, allergens, names: [one, many], isCounter: !need.eaten };
}

/** Whether a household may use a thing for a need. A thing that nobody knows is refused. */
export function isPermitted(item: string, need: Pick<Need, 'eaten'>, things: ThingsByKey, home: Household): boolean {
  return Object.hasOwn(things, item) && mayUse(asUsed(things[item]!, need), home, home.policy);
}
