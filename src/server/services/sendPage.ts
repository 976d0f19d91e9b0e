import { type Audience, onlyTo, withTicks } from '../../contracts/audience.ts';
import { type HomeGroup, readAudience, readHomeGroups } from '../db/repositories/audience.ts';
import { readCopiesHeld, readLatestSending } from '../db/repositories/sendings.ts';
import { composeGuide, composeSession, type Guide } from '../../core/guide/index.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import type { GuideLanguage } from '../../core/languages.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import {
  type FitSettings,
  type HomeFit,
  itemsServing,
  outcomeOf,
  type Readiness,
  readinessOfAll,
  sessionFitter,
} from '../../core/homes/index.ts';
import { countOf, findFindings, type Finding, type OutcomeCounts } from '../../core/checks/index.ts';
import type { Session } from '../../core/session/index.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { inSlices } from './inSlices.ts';
import { type KeptSession } from '../db/repositories/sessions.ts';
import { isUuid } from '../db/isUuid.ts';
import { isSameValue } from '../db/sameValue.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { decisionsThatHold, questionsBefore, readSafety, type NamedQuestion } from './safety.ts';
import { HOMES_A_PAGE } from './homes.ts';
import { findSession } from './sessions.ts';
import { readOpenDays } from './preparations.ts';

export interface SendPage {
  readonly kept: KeptSession;
  /** The homes of the page that is shown. */
  readonly fits: readonly HomeFit[];
  readonly page: number;
  readonly pages: number;
  /** How many homes there are. */
  readonly total: number;
  readonly outcomes: OutcomeCounts;
  readonly readiness: Pick<Readiness, 'ready' | 'kit'>;
  readonly things: ThingsByKey;
  /** How each home of the page gets it, by its id: its address for letters, empty where it has none, and its language. */
  readonly reached: ReadonlyMap<string, { contact: string; language: GuideLanguage }>;
  /** Whether there are lines in an author's own words, which stay in the language they were written in. */
  readonly hasOwnWords: boolean;
  /** Which edition each home of the page has already, by its id, and when it went. */
  readonly had: ReadonlyMap<string, { edition: number; sentAt: Date }>;
  /** The newest edition so far; 0 before the first. */
  readonly edition: number;
  /** Whether it was changed since it last went out. */
  readonly isChanged: boolean;
  /** Whom it would go to as things are ticked. */
  readonly audience: Audience;
  readonly ticked: ReadonlySet<string>;
  readonly groups: readonly HomeGroup[];
  /** What keeps the session from being sent. */
  readonly stops: readonly Finding[];
  /** What somebody looks at before it goes to any of the homes. */
  readonly questions: readonly NamedQuestion[];
  /** What was decided already, and holds. */
  readonly decisions: ReturnType<typeof decisionsThatHold>;
}

/** What an author looks over before sending, a page of its homes; without an audience, those it is new to. */
export async function readSendPage(
  person: Person,
  id: string,
  { audience: asked, page: askedPage = 1 }: { audience?: Audience | undefined; page?: number } = {},
): Promise<SendPage> {
  const { programmeId } = person;
  const [kept, things, latest, groups] = await Promise.all([
    findSession(person, id),
    readThings(programmeId),
    isUuid(id) ? readLatestSending(id) : null,
    readHomeGroups(programmeId),
  ]);
  const { session } = kept;
  const isChanged = latest !== null && !isSameValue(latest.session, session);
  const audience = asked ?? {
    to: latest === null ? 'all' : isChanged ? 'unanswered' : 'missing',
    except: [],
    also: [],
  };
  const [homes, ticked] = await Promise.all([
    readHomes(programmeId, { items: itemsServing(session, things) }),
    readAudience(programmeId, { sessionId: id, audience }),
  ]);
  const safety = await readSafety(person, { id: kept.id, session, homes });
  const fits = await fitInSlices(session, homes, { things, policy: person.settings.cautions, safety });
  const pages = Math.max(1, Math.ceil(homes.length / HOMES_A_PAGE));
  const page = Math.min(Math.max(1, Math.floor(askedPage)), pages);
  const inSight = fits.slice((page - 1) * HOMES_A_PAGE, page * HOMES_A_PAGE);
  const shownIds = new Set(inSight.map(({ home }) => home.id));
  const { ready, kit } = readinessOfAll(fits);
  return {
    kept,
    fits: inSight,
    page,
    pages,
    total: homes.length,
    outcomes: countOf(fits.map(outcomeOf)),
    readiness: { ready, kit },
    things,
    reached: new Map(
      homes
        .filter(({ id: home }) => shownIds.has(home))
        .map(({ id: home, contact, language }) => [home, { contact, language }]),
    ),
    hasOwnWords: session.segments.some(({ lines }) => lines.some(({ says, kind }) => !says && kind !== 'sing')),
    had: await readCopiesHeld(
      programmeId,
      id,
      inSight.map(({ home }) => home.id),
    ),
    edition: latest?.edition ?? 0,
    isChanged,
    audience,
    ticked: new Set(ticked),
    groups,
    stops: findStops(session, fits, { things, person }),
    questions: questionsBefore(session, homes, { things, person, safety }),
    decisions: decisionsThatHold(session, safety),
  };
}

/** What the ticks on a page of the list make of an audience. One query. */
export async function audienceAsTicked(
  person: Person,
  sessionId: string,
  { audience, shown, ticked }: { audience: Audience; shown: readonly string[]; ticked: readonly string[] },
): Promise<Audience> {
  const taken = new Set(
    await readAudience(person.programmeId, { sessionId, audience: { ...onlyTo([]), to: audience.to } }),
  );
  return withTicks(audience, { shown, ticked: new Set(ticked), takesIn: (id) => taken.has(id) });
}

/** What each home makes of a session, common things counted as there; other requests are let in between. */
export function fitInSlices(session: Session, homes: readonly KeptHome[], settings: FitSettings): Promise<HomeFit[]> {
  return inSlices(homes, sessionFitter(session, { ...settings, assumeCommon: true }));
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
    readHomes(person.programmeId, { items: [] }),
    readOpenDays(person),
  ]);
  const [home] = await readHomes(person.programmeId, { ids: [homeId] });
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
    assumeCommon: true,
    ...guideLanguage(home.language),
  });
  return { guide, language: home.language };
}
