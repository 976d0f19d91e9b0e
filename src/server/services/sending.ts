import {
  addSending,
  findSendingByKey,
  holdLatestSending,
  readLatestSending,
  removeSending,
} from '../db/repositories/sendings.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import type { Audience } from '../../contracts/audience.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { type HomeFit, itemsServing } from '../../core/homes/index.ts';
import type { Session } from '../../core/session/index.ts';
import { describeFinding } from '../../messages/findings.ts';
import { describeQuestion } from '../../messages/safety.ts';
import { now } from '../clock.ts';
import { readAudience } from '../db/repositories/audience.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { addChunks } from '../db/repositories/sendingChunks.ts';
import type { KeptDecision } from '../../contracts/keptDecision.ts';
import { readSession } from '../db/repositories/sessions.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { asRecord, decisionsThatHold, questionsBefore, readSafety, type NamedQuestion } from './safety.ts';
import { findStops, fitInSlices } from './sendPage.ts';
import { type ChunkReading, HOMES_A_CHUNK, queueChunks, readForChunk, writeChunk } from './sendingChunks.ts';
import { oneAtATime } from './inTurn.ts';

export interface SendRequest {
  readonly sessionId: string;
  readonly audience: Audience;
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
 * Sends a session to an audience: writes down what goes to whom, in chunks of homes, once nothing stands in the way at any of
 * them. A chunk fixes its homes' copies and links, and puts their letters into the outbox; the queue posts them. A press that
 * arrives again sends nothing more.
 */
export async function sendSession(person: Person, request: SendRequest): Promise<Sent> {
  requireAuthor(person);
  return oneAtATime(
    request.sessionId,
    async () => (await sentAlready(person, request)) ?? (await sendNow(person, request)),
  );
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
  const { sessionId } = request;
  const asked = await readAsked(person, request);
  return inTransaction(async (transaction) => {
    const kept = await readSession(person.programmeId, sessionId, transaction);
    if (!kept) throw new EdgeError('not-found');
    const { latest, again } = await sentBefore(request, transaction);
    if (again) return again;
    if (kept.revision !== request.revision) throw new EdgeError('conflict', { current: { revision: kept.revision } });
    const { session } = kept;
    const { homeIds } = asked;
    const decisions = await settledFor(person, { session, request, asked, transaction });
    const sending = {
      sessionId,
      programmeId: person.programmeId,
      edition: latest + 1,
      sentAt: now(),
      session,
      address: request.address,
      decisions,
      audience: request.audience,
      sentBy: person.userId,
      sendKey: request.key ?? null,
    };
    const sendingId = await addSending(sending, transaction);
    const chunks = await addChunks(sendingId, { homeIds, size: HOMES_A_CHUNK }, transaction);
    // A few homes have their guides with the answer to the press; of many each chunk is a job.
    if (asked.few)
      await writeChunk(person, { chunk: { ...chunks[0]!, ...sending, homeIds }, read: asked.few }, transaction);
    else await queueChunks(chunks, transaction);
    return { edition: sending.edition, homes: homeIds.length };
  });
}

/** What a press is judged by, read before its transaction: nobody waits in one for another connection. */
interface Asked {
  readonly things: ThingsByKey;
  readonly homes: readonly KeptHome[];
  readonly homeIds: readonly string[];
  /** What their guides are written from, where they are few enough for one chunk. */
  readonly few: ChunkReading | null;
}

async function readAsked(person: Person, { sessionId, audience }: SendRequest): Promise<Asked> {
  const { programmeId } = person;
  const [kept, things, homeIds] = await Promise.all([
    readSession(programmeId, sessionId),
    readThings(programmeId),
    readAudience(programmeId, { sessionId, audience }),
  ]);
  if (!kept) throw new EdgeError('not-found');
  if (homeIds.length === 0 && audience.also.length === 0) throw noSuchHomes(true);
  const [homes, few] = await Promise.all([
    readHomes(programmeId, { items: itemsServing(kept.session, things) }),
    homeIds.length <= HOMES_A_CHUNK ? readForChunk(person, homeIds) : null,
  ]);
  return { things, homes, homeIds, few };
}

/** What was decided before a session goes to its homes, once nothing stands in the way; otherwise an error that names it. */
async function settledFor(
  person: Person,
  input: { session: Session; request: SendRequest; asked: Asked; transaction: Transaction },
): Promise<KeptDecision[]> {
  const { session, request, asked, transaction } = input;
  const { things, homes, homeIds } = asked;
  const chosenIds = new Set(homeIds);
  if (homeIds.length === 0 || request.audience.also.some((id) => !chosenIds.has(id))) throw noSuchHomes(false);
  const chosen = homes.filter(({ id }) => chosenIds.has(id));
  const safety = await readSafety(person, { id: request.sessionId, session, homes }, transaction);
  const fits = await fitInSlices(session, chosen, { things, policy: person.settings.cautions, safety });
  refuseUnready(session, fits, { things, person });
  refuseUnseen(questionsBefore(session, chosen, { things, person, safety }), things);
  return asRecord(decisionsThatHold(session, safety));
}

function noSuchHomes(isNobody: boolean): EdgeError {
  const message = isNobody ? 'are none: choose at least one' : 'names a home that is not in this programme';
  return new EdgeError('wrong-input', { problems: [{ path: 'homes', message }] });
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
