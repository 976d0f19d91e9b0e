import type { HomeState } from '../core/homes/readiness.ts';
import { sessionNeeds, type HomeFit } from '../core/homes/sessionReadiness.ts';
import { namesOf } from '../core/script/composition.ts';
import type { Session, ThingsByKey } from '../core/script/session.ts';

/** How a home can do a session. */
export const STATE_WORDS: Readonly<Record<HomeState, string>> = {
  ready: 'as written',
  swaps: 'with a swap',
  short: 'needs a kit',
};

/** Why a home is in its state: what serves in the place of what, and what comes in a kit. A home that has everything: none. */
export function describeFit(
  { answer, kit }: HomeFit,
  session: Pick<Session, 'segments'>,
  things: ThingsByKey,
): string[] {
  return sessionNeeds(session).flatMap(({ id, need }) => {
    const written = namesOf(need.item, things).many;
    if (answer.missing.includes(id)) {
      const packed = kit.find((entry) => entry.need === id);
      return [packed ? `a kit with ${countThing(packed.item, packed.qty, things)}` : `nothing safe for ${written}`];
    }
    const picked = answer.picks.find((pick) => pick.need === id)?.item;
    if (!picked || picked === need.item) return [];
    const why = need.swaps.find(({ item }) => item === picked)?.why;
    return [`${namesOf(picked, things).many} for ${written}${why ? ` (${why})` : ''}`];
  });
}

/** A quantity of a thing in words: "1 bowl", "16 jar lids". */
export function countThing(item: string, qty: number, things: ThingsByKey): string {
  const names = namesOf(item, things);
  return `${qty} ${qty === 1 ? names.one : names.many}`;
}
