import { dueItems, type DueItem } from '../../core/calendar/index.ts';
import { type Bag, type Gathered, gatherBags, itemsServing } from '../../core/homes/index.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { today } from '../clock.ts';
import { readHomes } from '../db/repositories/homes.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { readTicks } from '../db/repositories/ticks.ts';
import type { Person } from './person.ts';
import { readPreparations } from './preparations.ts';
import { readSafety } from './safety.ts';
import { fitInSlices } from './sendPage.ts';
import { findSession } from './sessions.ts';
import { tickKey } from './ticks.ts';

export interface PreparePage {
  readonly title: string;
  /** YYYY-MM-DD */
  readonly on: string;
  readonly tasks: readonly { readonly item: DueItem; readonly isDone: boolean }[];
  /** The first of those that need one, by name. */
  readonly bags: readonly Bag[];
  /** How many need one in all. */
  readonly bagCount: number;
  readonly gathered: readonly Gathered[];
  readonly things: ThingsByKey;
}

/** A page shows so many bags; all are counted, and printed from the tray. */
const MOST_BAGS_SHOWN = 100;

/** What is to be done before a session by date, and what goes into bags for homes: eleven queries. */
export async function readPrepare(person: Person, id: string): Promise<PreparePage> {
  const { programmeId, settings } = person;
  const [{ session }, things, { sessions, closed }, ticks] = await Promise.all([
    findSession(person, id),
    readThings(programmeId),
    readPreparations(person),
    readTicks(programmeId),
  ]);
  const homes = await readHomes(programmeId, { items: itemsServing(session, things) });
  const safety = await readSafety(person, { id, session, homes });
  const fits = await fitInSlices(session, homes, { things, policy: settings.cautions, safety });
  const bags = fits.flatMap(({ home, kit }): Bag[] =>
    kit.length === 0 ? [] : [{ home: home.id, nickname: home.nickname, things: kit }],
  );
  const due = dueItems({
    sessions: sessions.filter((prepared) => prepared.id === id),
    today: today(settings),
    weekend: settings.weekend,
    closed,
  });
  return {
    title: session.title,
    on: session.on,
    tasks: due.map((item) => ({ item, isDone: ticks.has(tickKey(item)) })),
    bags: bags.slice(0, MOST_BAGS_SHOWN),
    bagCount: bags.length,
    gathered: gatherBags(bags, things),
    things,
  };
}
