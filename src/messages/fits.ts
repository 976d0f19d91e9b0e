import type { HomeState } from '../core/homes/readiness.ts';
import type { HomeFit } from '../core/homes/sessionReadiness.ts';
import { namesOf } from '../core/script/composition.ts';
import { roundUp } from '../core/script/expression.ts';
import type { ThingsByKey } from '../core/script/session.ts';

/** How a home can do a session. */
export const STATE_WORDS: Readonly<Record<HomeState, string>> = {
  ready: 'as written',
  swaps: 'with a swap',
  short: 'needs a kit',
};

/** Why a home is in its state: what serves in the place of what, what comes in a kit, what it goes without. A home that has everything: none. */
export function describeFit({ parts }: Pick<HomeFit, 'parts'>, things: ThingsByKey): string[] {
  return parts.flatMap(({ segment, isLeftOut, served }) => {
    if (isLeftOut) return [`goes without “${segment.title}”`];
    return served.flatMap(({ need, item, qty, source, swap }) => {
      const written = namesOf(need.item, things).many;
      if (source === 'withheld') return [`nothing safe for ${written}`];
      if (source === 'kit') return [`a kit with ${countThing(item!, roundUp(qty), things)}`];
      if (!swap) return [];
      return [`${namesOf(swap.item, things).many} for ${written}${swap.why ? ` (${swap.why})` : ''}`];
    });
  });
}

/** A quantity of a thing in words: "1 bowl", "16 jar lids". */
export function countThing(item: string, qty: number, things: ThingsByKey): string {
  const names = namesOf(item, things);
  return `${qty} ${qty === 1 ? names.one : names.many}`;
}
