import { fitHomes } from '../../core/homes/sessionReadiness.ts';
import { composeSession } from '../../core/script/composition.ts';
import { findAsides, type Aside } from '../../core/checks/asides.ts';
import type { HomeFit } from '../../core/homes/sessionReadiness.ts';
import type { Readiness } from '../../core/homes/readiness.ts';
import type { ThingsByKey } from '../../core/script/session.ts';
import { readHomes } from '../db/repositories/homes.ts';
import type { KeptSession } from '../db/repositories/sessions.ts';
import { readShelf, thingsByKey } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';
import { findSession } from './sessions.ts';

export interface SendPage {
  readonly kept: KeptSession;
  readonly fits: readonly HomeFit[];
  readonly readiness: Readiness;
  readonly things: ThingsByKey;
  /** What keeps the session from being sent. */
  readonly stops: readonly Aside[];
}

/** What an author looks over before sending. */
export async function readSendPage(person: Person, id: string): Promise<SendPage> {
  const [kept, shelf, homes] = await Promise.all([
    findSession(person, id),
    readShelf(person.programmeId, ['thing']),
    readHomes(person.programmeId),
  ]);
  const things = thingsByKey(shelf.things);
  const { session } = kept;
  const { fits, readiness } = fitHomes(session, homes, things);
  const composed = composeSession(session, things, {
    seatedMinutesPerYear: person.settings.seatedMinutesPerYear,
    youngestMonths: session.ages.fromMonths,
  });
  return {
    kept,
    fits,
    readiness,
    things,
    stops: findAsides(session, composed, fits, things).filter(({ weight }) => weight === 'stop'),
  };
}
