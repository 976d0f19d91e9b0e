import { youngestAllowedMonths } from '../cautions/cautions.ts';
import { needQuantity } from '../materials/materials.ts';
import type { StockedNeed } from '../materials/swaps.ts';
import { dialValues, type Need, type Segment, type Session, type Thing, type ThingsByKey } from '../script/session.ts';
import { youngestMonthsOn, type Home } from './home.ts';
import { homeReadiness, kitFor, summariseReadiness, type HomeReadiness, type Readiness } from './readiness.ts';

/** A need of one segment, named uniquely within the session. */
export interface SessionNeed {
  readonly id: string;
  readonly segment: Segment;
  readonly need: Need;
}

/** One home against one session: what it needs, what serves, what is lacking. */
export interface HomeFit {
  readonly home: Home;
  readonly youngestMonths: number;
  readonly needs: readonly StockedNeed[];
  readonly answer: HomeReadiness;
  readonly kit: readonly { need: string; item: string; qty: number }[];
}

/** All needs of a session in order; their ids are "segment/need". */
export function sessionNeeds(session: Pick<Session, 'segments'>): SessionNeed[] {
  return session.segments.flatMap((segment) =>
    segment.needs.map((need) => ({ id: needIdIn(segment, need), segment, need })),
  );
}

/** The id a need has within its session. */
export function needIdIn(segment: Pick<Segment, 'id'>, need: Pick<Need, 'id'>): string {
  return `${segment.id}/${need.id}`;
}

/**
 * Fits a session to one home: quantities for its children, things withheld for its youngest and its allergies,
 * the best swaps from what it has. Needs whose quantity has no value are left out; a check names them.
 */
export function fitHome(session: Pick<Session, 'segments' | 'on'>, home: Home, things: ThingsByKey): HomeFit {
  const youngestMonths = youngestMonthsOn(home, session.on);
  const needs = sessionNeeds(session).flatMap(({ id, segment, need }) => {
    const quantity = needQuantity(need, Math.max(1, home.children.length), dialValues(segment.dials));
    if (!quantity.ok) return [];
    const option = (item: string, fit: number) => ({ item, fit, minMonths: allowedFrom(things[item], home.allergens) });
    const options = [option(need.item, 1), ...need.swaps.map((swap) => option(swap.item, swap.fit))];
    return [{ id, segment: segment.id, qty: quantity.value, use: need.use, options }];
  });
  const answer = homeReadiness(needs, { id: home.id, youngestMonths, stock: home.stock });
  return { home, youngestMonths, needs, answer, kit: kitFor(needs, answer.missing, youngestMonths) };
}

/** How many homes can do a session, and each one's fit. */
export function fitHomes(
  session: Pick<Session, 'segments' | 'on'>,
  homes: readonly Home[],
  things: ThingsByKey,
): { fits: readonly HomeFit[]; readiness: Readiness } {
  const fits = homes.map((home) => fitHome(session, home, things));
  const readiness = summariseReadiness(
    fits.map(({ home, youngestMonths, needs, answer }) => ({
      home: { id: home.id, youngestMonths, stock: home.stock },
      needs,
      answer,
    })),
  );
  return { fits, readiness };
}

/** From which age a home may use a thing; Infinity when never, or when it holds an allergen the home has named. */
function allowedFrom(thing: Thing | undefined, allergens: readonly string[]): number {
  if (!thing) return 0;
  if (thing.allergens.some((allergen) => allergens.includes(allergen))) return Infinity;
  return youngestAllowedMonths(thing.traits) ?? Infinity;
}
