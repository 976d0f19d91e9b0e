import { preparePart, type ThingsByKey } from '../materials/index.ts';
import { type CautionPolicy, stoppedActions } from '../cautions/index.ts';
import type { Home } from './home.ts';
import type { FeasibleActivity } from './feasibleActivities.ts';
import type { Segment } from '../session/index.ts';
import type { Household } from './household.ts';
import { safetyAt } from './partSafety.ts';
import { lacksPermission, partFor } from './sessionReadiness.ts';

/** An activity of the shelf before anybody in particular is asked: what it is, and how it would stand in a session. */
export interface ShelfChoice {
  readonly key: string;
  readonly title: string;
  readonly skills: readonly string[];
  /** Likely minutes to set up. */
  readonly setupMinutes: number;
  readonly segment: Segment;
}

/** A thing as somebody counts how many there are of it, with what homes usually have. */
export interface CountedThing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly usualQty: number;
  /** The part of homes that have any, 0 to 1. */
  readonly common: number;
}

/** What the activities are found from that a basket of things, or a home, can do. */
export interface Inventory {
  readonly things: readonly CountedThing[];
  /** Everything known of things, by key, for cautions and names. */
  readonly known: ThingsByKey;
  readonly choices: readonly ShelfChoice[];
  readonly homes: readonly Home[];
  /** YYYY-MM-DD, for ages. */
  readonly today: string;
  readonly policy: CautionPolicy;
}

/**
 * Activities as one household may do them: the same permissions, quantities and ways of swapping that a session is
 * fitted with. What the household has to go without is left out of the list.
 */
export function activitiesFor(
  choices: readonly ShelfChoice[],
  household: Household,
  things: ThingsByKey,
): FeasibleActivity[] {
  return choices.flatMap((choice): FeasibleActivity[] => {
    const { segment, ...about } = choice;
    const prepared = preparePart(partFor(segment, household, things));
    const isStopped =
      stoppedActions(segment.actions, household, household.policy).length > 0 ||
      safetyAt(segment, things, { household }).stops.length > 0;
    if (isStopped || lacksPermission(segment, prepared)) return [];
    const [first] = prepared.settings;
    const needs = segment.needs.map(({ item, use, optional }, index) => ({
      id: prepared.part.needs[index]!.id,
      segment: segment.id,
      use,
      written: item,
      ...(optional && { optional }),
      qty: first!.needs[index]!.options[0]?.qty ?? 0,
      options: first!.needs[index]!.options,
    }));
    return [{ ...about, needs, ...(prepared.settings.length > 1 && { prepared }) }];
  });
}
