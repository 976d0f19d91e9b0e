import { namesOf, type ThingsByKey } from '../core/materials/index.ts';
import type { OutcomeCounts } from '../core/checks/index.ts';
import type { HomeDifference, HomeOutcome } from '../core/homes/index.ts';
import { sayScreen } from './screenWords.ts';

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
export function countOutcomes(outcomes: OutcomeCounts): string {
  const count = (outcome: HomeOutcome) => outcomes[outcome] ?? 0;
  const [likely, lacks, without] = [count('likely'), count('lacks'), count('without')];
  return [
    sayScreen('count.swaps', { count: count('swaps') }),
    ...(likely > 0 ? [sayScreen('count.likely', { count: likely })] : []),
    sayScreen('count.kit', { count: count('kit') }),
    ...(lacks > 0 ? [sayScreen('count.lacks', { count: lacks })] : []),
    ...(without > 0 ? [sayScreen('count.without', { count: without })] : []),
  ].join(' · ');
}

/** Why a home is in its state: what serves in the place of what, what comes in a kit, what it goes without. A home that has everything: none. */
export function describeDifferences(differences: readonly HomeDifference[], things: ThingsByKey): string[] {
  return differences.map((difference) => {
    if (difference.code === 'left-out') return sayScreen('differs.left-out', { title: difference.title });
    const { one, many } = namesOf(difference.item, things);
    if (difference.code === 'withheld') return sayScreen('differs.withheld', { things: many });
    if (difference.code === 'swap') {
      const values = { things: many, insteadOf: namesOf(difference.insteadOf, things).many };
      return difference.why
        ? sayScreen('differs.swap-why', { ...values, why: difference.why })
        : sayScreen('differs.swap', values);
    }
    const { qty } = difference;
    return sayScreen(`differs.${difference.code}`, { qty, thing: qty === 1 ? one : many });
  });
}

/** A quantity of a thing in words: "1 bowl", "16 jar lids". */
export function countThing(item: string, qty: number, things: ThingsByKey): string {
  const names = namesOf(item, things);
  return `${qty} ${qty === 1 ? names.one : names.many}`;
}
