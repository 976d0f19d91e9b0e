import { fitHomes } from '../../core/homes/sessionReadiness.ts';
import { composeSession } from '../../core/script/composition.ts';
import { findAsides, type Aside } from '../../core/checks/asides.ts';
import type { HomeFit } from '../../core/homes/sessionReadiness.ts';
import type { Readiness } from '../../core/homes/readiness.ts';
import type { Home } from '../../core/homes/home.ts';
import type { Session, ThingsByKey } from '../../core/script/session.ts';
import { readHomes } from '../db/repositories/homes.ts';
import type { KeptSession } from '../db/repositories/sessions.ts';
import { readThings } from '../db/repositories/shelf.ts';
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
  const [kept, things, homes] = await Promise.all([
    findSession(person, id),
    readThings(person.programmeId),
    readHomes(person.programmeId),
  ]);
  const { fits, readiness } = fitHomes(kept.session, homes, { things, policy: person.settings.cautions });
  return { kept, fits, readiness, things, stops: findStops(kept.session, homes, { things, person }) };
}

/** What keeps a session from being sent to homes: what stands in its margin as a stop. */
export function findStops(
  session: Session,
  homes: readonly Home[],
  { things, person: { settings } }: { things: ThingsByKey; person: Pick<Person, 'settings'> },
): Aside[] {
  const policy = settings.cautions;
  const { fits } = fitHomes(session, homes, { things, policy });
  const composed = composeSession(session, things, {
    seatedMinutesPerYear: settings.seatedMinutesPerYear,
    youngestMonths: session.ages.fromMonths,
  });
  return findAsides(session, composed, fits, { things, policy }).filter(({ weight }) => weight === 'stop');
}
