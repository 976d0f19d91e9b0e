import { namesOf, type ThingsByKey } from '../core/materials/index.ts';
import type { HomeDifference, HomeOutcome } from '../core/homes/index.ts';

/** How a home can do a session. */
export const OUTCOME_WORDS: Readonly<Record<HomeOutcome, string>> = {
  ready: 'as written',
  swaps: 'with a swap',
  likely: 'probably can',
  kit: 'needs a kit',
  lacks: 'lacks something',
  without: 'goes without a part',
};

/** How many homes do otherwise than as written: "4 with a swap · 2 need a kit · 1 goes without a part". */
export function countOutcomes(outcomes: readonly HomeOutcome[]): string {
  const count = (outcome: HomeOutcome) => outcomes.filter((other) => other === outcome).length;
  const [likely, kit, lacks, without] = [count('likely'), count('kit'), count('lacks'), count('without')];
  return [
    `${count('swaps')} with a swap`,
    ...(likely > 0 ? [`${likely} probably can`] : []),
    `${kit} ${kit === 1 ? 'needs' : 'need'} a kit`,
    ...(lacks > 0 ? [`${lacks} ${lacks === 1 ? 'lacks' : 'lack'} something`] : []),
    ...(without > 0 ? [`${without} ${without === 1 ? 'goes' : 'go'} without a part`] : []),
  ].join(' · ');
}

/** Why a home is in its state: what serves in the place of what, what comes in a kit, what it goes without. A home that has everything: none. */
export function describeDifferences(differences: readonly HomeDifference[], things: ThingsByKey): string[] {
  return differences.map((difference) => {
    if (difference.code === 'left-out') return `goes without “${difference.title}”`;
    const { many } = namesOf(difference.item, things);
    if (difference.code === 'withheld') return `nothing safe for ${many}`;
    if (difference.code === 'swap')
      return `${many} for ${namesOf(difference.insteadOf, things).many}${difference.why ? ` (${difference.why})` : ''}`;
    return `${COUNTED[difference.code]} ${countThing(difference.item, difference.qty, things)}`;
  });
}

const COUNTED = { kit: 'a kit with', missing: 'hasn’t got', assumed: 'probably has' } as const;

/** A quantity of a thing in words: "1 bowl", "16 jar lids". */
export function countThing(item: string, qty: number, things: ThingsByKey): string {
  const names = namesOf(item, things);
  return `${qty} ${qty === 1 ? names.one : names.many}`;
}
