import type { ThingsByKey } from '../../core/script/session.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { readThings } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';

/** The homes of a programme and the names of what they have: four queries, however many homes. */
export async function listHomes(person: Person): Promise<{ homes: KeptHome[]; things: ThingsByKey }> {
  const [homes, things] = await Promise.all([readHomes(person.programmeId), readThings(person.programmeId)]);
  return { homes, things };
}
