import {
  addCopies,
  addLinks,
  addSending,
  findSendingByKey,
  holdLatestSending,
  readLatestSending,
  readOpenLinks,
  removeSending,
} from '../db/repositories/sendings.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { composeGuide, writeGuideCopy } from '../../core/guide/index.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { randomUUID } from 'node:crypto';
import type { HomeFit } from '../../core/homes/index.ts';
import type { Session } from '../../core/session/index.ts';
import { describeFinding } from '../../messages/findings.ts';
import { describeQuestion } from '../../messages/safety.ts';
import { guideWords } from '../../messages/guideWords.ts';
import { now } from '../clock.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import type { KeptDecision } from '../../contracts/keptDecision.ts';
import { readSession } from '../db/repositories/sessions.ts';
import { readShelf, readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken, hashToken } from '../http/secrets.ts';
import { queueLetters, type GuideLetterFacts } from './letters.ts';
import { requireAuthor, type Person } from './person.ts';
import { asRecord, decisionsThatHold, questionsBefore, readSafety, type NamedQuestion } from './safety.ts';
import { findStops, fitInSlices } from './sendPage.ts';
import { inSlices } from './inSlices.ts';
import { oneAtATime } from './inTurn.ts';
import { readOpenDays } from './preparations.ts';

export interface SendRequest {
  readonly sessionId: string;
  readonly homeIds: readonly string[];
  /** The revision the author saw; a newer one refuses. */
  readonly revision: number;
  /** Where homes reach Footstool. */
  readonly address: string;
  /** One press of Send; the same press again is the same sending. */
  readonly key?: string;
  /** The newest edition that the author saw; another one meanwhile refuses. */
  readonly seen?: number;
}

export interface Sent {
  readonly edition: number;
  readonly homes: number;
}

/**
 * Sends a session: fixes a copy for each home, gives each home its link (the one it has, or a new one), and posts a
 * letter with it into the outbox, all together or not at all. The queue posts the letters. A press that arrives again
 * sends nothing more.
 */
export async function sendSession(person: Person, request: SendRequest): Promise<Sent> {
  requireAuthor(person);
  return oneAtATime(
    request.sessionId,
    async () => (await sentAlready(person, request)) ?? (await sendNow(person, request)),
  );
}

const USUAL_SECONDS_TO_UNDO = 30;

/** FOOTSTOOL_UNDO_SECONDS: so long letters wait before they leave, from 0 to 600. */
export function secondsToUndo(): number {
  const set = Number(process.env.FOOTSTOOL_UNDO_SECONDS ?? USUAL_SECONDS_TO_UNDO);
  return Number.isFinite(set) ? Math.min(600, Math.max(0, set)) : USUAL_SECONDS_TO_UNDO;
}

/**
 * Takes the newest sending of a session back, whole: its letters, its guides, and the links that lead to nothing else.
 * False as soon as one letter has left, or one home has answered: then everything stays.
 */
export async function undoSending(person: Person, sessionId: string): Promise<boolean> {
  requireAuthor(person);
  return oneAtATime(sessionId, () =>
    inTransaction(async (transaction) => {
      const latest = await holdLatestSending(person.programmeId, sessionId, transaction);
      if (!latest) throw new EdgeError('not-found');
      if (latest.begun > 0) return false;
      await removeSending(latest.id, transaction);
      return true;
    }),
  );
}

/** What this press sent when it arrived before, without waiting for the session's lock. */
async function sentAlready(person: Person, { sessionId, key }: SendRequest): Promise<Sent | null> {
  if (!key || !(await readSession(person.programmeId, sessionId))) return null;
  return findSendingByKey(sessionId, key);
}

async function sendNow(person: Person, request: SendRequest): Promise<Sent> {
  const [things, { books }, homes, openDays] = await Promise.all([
    readThings(person.programmeId),
    readShelf(person.programmeId, ['book']),
    readHomes(person.programmeId),
    readOpenDays(person),
  ]);
  const chosen = homes.filter(({ id }) => request.homeIds.includes(id));
  if (chosen.length !== new Set(request.homeIds).size) {
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'homes', message: 'names a home that is not in this programme' }],
    });
  }
  return inTransaction(async (transaction) => {
    const kept = await readSession(person.programmeId, request.sessionId, transaction);
    if (!kept) throw new EdgeError('not-found');
    const { latest, again } = await sentBefore(request, transaction);
    if (again) return again;
    if (kept.revision !== request.revision) throw new EdgeError('conflict', { current: { revision: kept.revision } });
    const safety = await readSafety(person, { id: kept.id, session: kept.session, homes }, transaction);
    const fits = await fitInSlices(kept.session, chosen, { things, policy: person.settings.cautions, safety });
    refuseUnready(kept.session, fits, { things, person });
    refuseUnseen(questionsBefore(kept.session, chosen, { things, person, safety }), things);
    const guideFor = (home: KeptHome) =>
      composeGuide({
        session: kept.session,
        home,
        things,
        programme: person.programme,
        policy: person.settings.cautions,
        safety,
        books,
        openDays,
        ...guideLanguage(home.language),
      });
    return fixCopies({
      person,
      request,
      session: kept.session,
      homes: chosen,
      edition: latest + 1,
      decisions: asRecord(decisionsThatHold(kept.session, safety)),
      guideFor,
      transaction,
    });
  });
}

/** What the same press has sent already; a sending of somebody else's meanwhile refuses. */
async function sentBefore(
  { sessionId, key, seen }: SendRequest,
  transaction: Transaction,
): Promise<{ latest: number; again: Sent | null }> {
  const latest = await readLatestSending(sessionId, transaction);
  const same = key ? await findSendingByKey(sessionId, key, transaction) : null;
  if (same) return { latest: latest!.edition, again: same };
  if (seen !== undefined && seen !== (latest?.edition ?? 0))
    throw new EdgeError('conflict', { current: { edition: latest?.edition } });
  return { latest: latest?.edition ?? 0, again: null };
}

/** A session is sent when the bench has nothing that stops it: both ask the same checks. */
function refuseUnready(
  session: Session,
  fits: readonly HomeFit[],
  { things, person }: { things: ThingsByKey; person: Person },
): void {
  if (session.segments.length === 0)
    throw new EdgeError('wrong-input', { problems: [{ path: 'The session', message: 'has nothing in it yet' }] });
  const problems = findStops(session, fits, { things, person }).map((finding) => {
    const { title, text } = describeFinding(finding);
    const part = session.segments.find(({ id }) => id === finding.segment)?.title ?? '';
    return { path: `“${part}”`, message: `${title}: ${text}` };
  });
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems });
}

/** What somebody has to look at first is named, a part at a time. */
function refuseUnseen(questions: readonly NamedQuestion[], things: ThingsByKey): void {
  if (questions.length === 0) return;
  throw new EdgeError('wrong-input', {
    problems: questions.map((question) => ({
      path: `“${question.part}”`,
      message: describeQuestion(question, things).title,
    })),
  });
}

interface FixInput {
  readonly person: Person;
  readonly request: SendRequest;
  readonly session: Session;
  readonly homes: readonly KeptHome[];
  readonly edition: number;
  readonly decisions: KeptDecision[];
  readonly guideFor: (home: KeptHome) => ReturnType<typeof composeGuide>;
  readonly transaction: Transaction;
}

async function fixCopies(input: FixInput): Promise<Sent> {
  const { person, request, session, homes, edition, decisions, transaction } = input;
  const { sessionId, address } = request;
  const { programmeId } = person;
  const sentAt = now();
  const sendingId = await addSending(
    {
      sessionId,
      programmeId,
      edition,
      sentAt,
      session,
      address,
      decisions,
      sentBy: person.userId,
      sendKey: request.key ?? null,
    },
    transaction,
  );
  const links = await linkHomes(input, sentAt);
  await writeCopies(input, { links, sendingId, sentAt });
  await queueLetters(
    links.map(({ home, linkId }) => ({
      programmeId,
      linkId,
      sendingId,
      recipient: home.contact,
      subject: guideWords(home.language).say('letterSubject', { title: session.title }),
      facts: letterFacts(home, session, { programme: person.programme, address }),
    })),
    { transaction, afterSeconds: secondsToUndo() },
  );
  return { edition, homes: homes.length };
}

type HomeLink = { readonly home: KeptHome; readonly linkId: string };

/** The link of each home: the one that still opens, or a new one. */
async function linkHomes({ person, request, homes, transaction }: FixInput, createdAt: Date): Promise<HomeLink[]> {
  const { programmeId } = person;
  const { sessionId } = request;
  const ids = homes.map(({ id }) => id);
  const open = await readOpenLinks(sessionId, ids, transaction);
  const links = homes.map((home) => ({ home, linkId: open.get(home.id) ?? randomUUID() }));
  await addLinks(
    links
      .filter(({ home }) => !open.has(home.id))
      .map(({ home, linkId: id }) => ({
        id,
        programmeId,
        sessionId,
        homeId: home.id,
        createdAt,
        tokenHash: hashToken(guideToken(id)),
      })),
    transaction,
  );
  return links;
}

async function writeCopies(
  { edition, guideFor, transaction }: FixInput,
  { links, sendingId, sentAt }: { links: readonly HomeLink[]; sendingId: string; sentAt: Date },
): Promise<void> {
  const guides = await inSlices(links, ({ home }) => guideFor(home));
  await addCopies(
    links.map(({ home, linkId }, index) => ({
      linkId,
      sendingId,
      edition,
      sentAt,
      guide: writeGuideCopy(guides[index]!),
      language: home.language,
    })),
    transaction,
  );
}

function letterFacts(
  home: KeptHome,
  session: Session,
  { programme, address }: { programme: string; address: string },
): GuideLetterFacts {
  return {
    home: home.nickname,
    title: session.title,
    on: session.on,
    programme,
    language: home.language,
    address,
  };
}
