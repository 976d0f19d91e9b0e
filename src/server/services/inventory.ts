import type { Inventory, ShelfChoice } from '../../core/homes/index.ts';
import { likelyMinutes, segmentFromActivity } from '../../core/shelf/index.ts';
import { today } from '../clock.ts';
import { findHomeIds, readHomes } from '../db/repositories/homes.ts';
import { readShelf, thingsByKey, type ActivityEntry } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';

/** So many homes are given to the page. */
const MOST_HOMES_GIVEN = 100;

/**
 * What "what we have" works with: things, home activities as they would stand in a session, and homes, at most a hundred of
 * them. Four queries.
 */
export async function readInventory(person: Person): Promise<Inventory & { homesInAll: number }> {
  const [shelf, { ids, total }] = await Promise.all([
    readShelf(person.programmeId, ['thing', 'activity']),
    findHomeIds(person.programmeId, { from: 0, most: MOST_HOMES_GIVEN }),
  ]);
  const homes = await readHomes(person.programmeId, { ids });
  return {
    things: shelf.things.map(({ key, one, many, usualQty, common }) => ({ key, one, many, usualQty, common })),
    known: thingsByKey(shelf.things),
    choices: shelf.activities.filter(({ size }) => size === 'home').map(asShelfChoice),
    homes: homes.map(({ contact: _contact, language: _language, ...home }) => home),
    homesInAll: total,
    today: today(person.settings),
    policy: person.settings.cautions,
  };
}

/** An activity of the shelf as it would stand in a session. */
export function asShelfChoice(activity: ActivityEntry): ShelfChoice {
  const { key, title, skills } = activity;
  const segment = segmentFromActivity(activity, key);
  return { key, title, skills, setupMinutes: likelyMinutes(activity).setup, segment };
}
