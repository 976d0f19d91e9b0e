import { readCopiesHeld, readLatestSending, type LatestSending } from '../db/repositories/sendings.ts';
import { composeGuide, composeSession, type Guide } from '../../core/guide/index.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import type { GuideLanguage } from '../../core/languages.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import {
  type FitSettings,
  type HomeFit,
  type Readiness,
  readinessOfAll,
  sessionFitter,
} from '../../core/homes/index.ts';
import { findFindings, type Finding } from '../../core/checks/index.ts';
import type { Session } from '../../core/session/index.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { inSlices } from './inSlices.ts';
import { isUuid, type KeptSession } from '../db/repositories/sessions.ts';
import { isSameValue } from '../db/sameValue.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { decisionsThatHold, questionsBefore, readSafety, type NamedQuestion } from './safety.ts';
import { findSession } from './sessions.ts';
import { readOpenDays } from './preparations.ts';

export interface SendPage {
  readonly kept: KeptSession;
  readonly fits: readonly HomeFit[];
  readonly readiness: Readiness;
  readonly things: ThingsByKey;
  /** Which edition each home has already, by its id, and when it went. */
  readonly had: ReadonlyMap<string, { edition: number; sentAt: Date }>;
  /** The newest edition so far; 0 before the first. */
  readonly edition: number;
  /** Whether it was changed since it last went out. */
  readonly isChanged: boolean;
  /** What keeps the session from being sent. */
  readonly stops: readonly Finding[];
  /** What somebody looks at before it goes to any of the homes. */
  readonly questions: readonly NamedQuestion[];
  /** What was decided already, and holds. */
  readonly decisions: ReturnType<typeof decisionsThatHold>;
}

/** What an author looks over before sending. */
export async function readSendPage(person: Person, id: string): Promise<SendPage> {
  const [kept, things, homes, { had, latest }] = await Promise.all([
    findSession(person, id),
    readThings(person.programmeId),
    readHomes(person.programmeId),
    readHad(person.programmeId, id),
  ]);
  const safety = await readSafety(person, { id: kept.id, session: kept.session, homes });
  const fits = await fitInSlices(kept.session, homes, { things, policy: person.settings.cautions, safety });
  const edition = latest?.edition ?? 0;
  const isChanged = latest !== null && !isSameValue(latest.session, kept.session);
  const stops = findStops(kept.session, fits, { things, person });
  const questions = questionsBefore(kept.session, homes, { things, person, safety });
  const decisions = decisionsThatHold(kept.session, safety);
  return {
    kept,
    fits,
    readiness: readinessOfAll(fits),
    things,
    had,
    edition,
    isChanged,
    stops,
    questions,
    decisions,
  };
}

/** The newest copy that each home holds by a link that still opens, and the newest sending. Two queries. */
async function readHad(
  programmeId: string,
  sessionId: string,
): Promise<{ had: SendPage['had']; latest: LatestSending | null }> {
  if (!isUuid(sessionId)) return { had: new Map(), latest: null };
  const latest = await readLatestSending(sessionId);
  return { had: await readCopiesHeld(programmeId, sessionId), latest };
}

/** What each home makes of a session, with other requests let in between. */
export function fitInSlices(session: Session, homes: readonly KeptHome[], settings: FitSettings): Promise<HomeFit[]> {
  return inSlices(homes, sessionFitter(session, settings));
}

/** What keeps a session from being sent to homes: what stands in its margin as a stop. */
export function findStops(
  session: Session,
  fits: readonly HomeFit[],
  { things, person: { settings } }: { things: ThingsByKey; person: Pick<Person, 'settings'> },
): Finding[] {
  const policy = settings.cautions;
  const composed = composeSession(session, things, {
    seatedMinutesPerYear: settings.seatedMinutesPerYear,
    youngestMonths: session.ages.fromMonths,
  });
  return findFindings(session, composed, fits, { things, policy }).filter(({ weight }) => weight === 'stop');
}

/** A home's guide as it would be sent now, to look at before it goes. */
export async function previewGuide(
  person: Person,
  { sessionId, homeId }: { sessionId: string; homeId: string },
): Promise<{ guide: Guide; language: GuideLanguage }> {
  const [kept, things, { books }, homes, openDays] = await Promise.all([
    findSession(person, sessionId),
    readThings(person.programmeId),
    readShelf(person.programmeId, ['book']),
    readHomes(person.programmeId),
    readOpenDays(person),
  ]);
  const home = homes.find(({ id }) => id === homeId);
  if (!home) throw new EdgeError('not-found');
  const policy = person.settings.cautions;
  const safety = await readSafety(person, { id: kept.id, session: kept.session, homes });
  const guide = composeGuide({
    session: kept.session,
    home,
    things,
    programme: person.programme,
    policy,
    safety,
    books,
    openDays,
    ...guideLanguage(home.language),
  });
  return { guide, language: home.language };
}
