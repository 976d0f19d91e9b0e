import { youngestAllowedMonths } from '../../core/cautions/cautions.ts';
import { youngestMonthsOn } from '../../core/homes/home.ts';
import { needQuantity } from '../../core/materials/materials.ts';
import type { HaveActivity } from '../../core/materials/whatWeHave.ts';
import { dialValues, type ThingsByKey } from '../../core/script/session.ts';
import { likelyMinutes } from '../../core/shelf/effort.ts';
import { today } from '../clock.ts';
import { readHomes } from '../db/repositories/homes.ts';
import { readShelf, thingsByKey, type ActivityEntry } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';

export interface HaveThing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly usualQty: number;
  readonly common: number;
}

export interface HaveHome {
  readonly id: string;
  readonly nickname: string;
  readonly youngestMonths: number;
  readonly stock: readonly { readonly item: string; readonly qty: number }[];
}

export interface HaveData {
  readonly things: readonly HaveThing[];
  readonly activities: readonly HaveActivity[];
  readonly homes: readonly HaveHome[];
}

/** What "what we have" works with: things, home activities with their needs, and homes. Four queries. */
export async function readHaveData(person: Person): Promise<HaveData> {
  const [shelf, homes] = await Promise.all([
    readShelf(person.programmeId, ['thing', 'activity']),
    readHomes(person.programmeId),
  ]);
  const things = thingsByKey(shelf.things);
  return {
    things: shelf.things.map(({ key, one, many, usualQty, common }) => ({ key, one, many, usualQty, common })),
    activities: shelf.activities
      .filter(({ size }) => size === 'home')
      .map((activity) => asHaveActivity(activity, things)),
    homes: homes.map((home) => ({
      id: home.id,
      nickname: home.nickname,
      youngestMonths: youngestMonthsOn(home, today()),
      stock: home.stock,
    })),
  };
}

/** An activity with its needs worked out for one child and its dials as they stand. */
export function asHaveActivity(activity: ActivityEntry, things: ThingsByKey): HaveActivity {
  const option = (item: string, fit: number) => ({
    item,
    fit,
    minMonths: youngestAllowedMonths(things[item]?.traits ?? []) ?? 1200,
  });
  return {
    key: activity.key,
    title: activity.title,
    skills: activity.skills,
    setupMinutes: likelyMinutes(activity).setup,
    needs: activity.needs.flatMap((need) => {
      const quantity = needQuantity(need, 1, dialValues(activity.dials));
      if (!quantity.ok) return [];
      return [
        {
          id: need.id,
          segment: activity.key,
          qty: Math.ceil(quantity.value),
          use: need.use,
          options: [option(need.item, 1), ...need.swaps.map(({ item, fit }) => option(item, fit))],
        },
      ];
    }),
  };
}
