import { createHash } from 'node:crypto';
import { decisionForm } from '../../contracts/forms.ts';
import { checkForm } from '../../contracts/problems.ts';
import {
  type CautionDecision,
  type Decided,
  decisionOn,
  distinctHouseholds,
  openQuestions,
  type PartQuestion,
  roomsOf,
  type SessionSafety,
} from '../../core/homes/index.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import type { Session } from '../../core/session/index.ts';
import { addDecision, readDecisions, removeDecision, type StoredDecision } from '../db/repositories/decisions.ts';
import { readHomes, type KeptHome } from '../db/repositories/homes.ts';
import { markThingChecked } from '../db/repositories/shelfEntries.ts';
import { readThings } from '../db/repositories/shelf.ts';
import type { KeptDecision } from '../../contracts/keptDecision.ts';
import type { Transaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { findSession } from './sessions.ts';

/** A question with a name to answer it by: another text is another question. */
export interface NamedQuestion extends PartQuestion {
  readonly name: string;
  /** The title of its part. */
  readonly part: string;
}

/** What was decided about a session, with the rooms of all homes of the programme as they are now. One query. */
export async function readSafety(
  person: Pick<Person, 'programmeId'>,
  { id, session, homes }: { id: string; session: Pick<Session, 'on'>; homes: readonly KeptHome[] },
  transaction?: Transaction,
): Promise<SessionSafety & { readonly decisions: readonly StoredDecision[] }> {
  const decisions = await readDecisions(person.programmeId, id, transaction);
  return { decisions, rooms: roomsOf(homes, session.on) };
}

/** What somebody looks at before a session goes to these homes, in the order of its parts. */
export function questionsBefore(
  session: Session,
  homes: readonly KeptHome[],
  { things, person, safety }: { things: ThingsByKey; person: Pick<Person, 'settings'>; safety: SessionSafety },
): NamedQuestion[] {
  const policy = person.settings.cautions;
  const households = distinctHouseholds(homes, session.on, policy);
  return session.segments.flatMap((segment) =>
    openQuestions(segment, things, { households, policy, safety }).map((question) => ({
      ...question,
      name: nameOf(question),
      part: segment.title,
    })),
  );
}

function nameOf({ segment, rule, subject, text }: PartQuestion): string {
  return createHash('sha256')
    .update(JSON.stringify([segment, rule, subject, text]))
    .digest('hex')
    .slice(0, 16);
}

/** Which answers a kind of question takes. */
const ANSWERS: Readonly<Record<PartQuestion['kind'], readonly Decided[]>> = {
  check: ['fine', 'caution', 'left-out'],
  ask: ['fine', 'real'],
  unread: ['fine', 'left-out'],
  thing: ['fine'],
};

/**
 * Answers one question about a session, on the words as they are now; one that has changed meanwhile is asked again. That a
 * thing was looked at is written on the shelf.
 */
export async function decide(person: Person, sessionId: string, fields: Record<string, unknown>): Promise<void> {
  requireAuthor(person);
  const form = checkForm(decisionForm, fields);
  if (!form.ok) throw new EdgeError('wrong-input', { problems: form.problem });
  const { question: name, decided, why } = form.value;
  const [{ session }, things, homes] = await Promise.all([
    findSession(person, sessionId),
    readThings(person.programmeId),
    readHomes(person.programmeId, { items: [] }),
  ]);
  const safety = await readSafety(person, { id: sessionId, session, homes });
  const question = questionsBefore(session, homes, { things, person, safety }).find((open) => open.name === name);
  if (!question || !ANSWERS[question.kind].includes(decided)) throw new EdgeError('conflict');
  if (question.kind === 'thing') return markThingChecked(person.programmeId, question.subject);
  if (decided === 'fine' && why.length < SHORTEST_REASON)
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'The reason', message: 'is missing: a few words will do' }],
    });
  const { segment, rule, subject, text, words } = question;
  await addDecision(
    { programmeId: person.programmeId, sessionId },
    { segment, rule, subject, text, words, decided, why, ...safety.rooms, by: person.name, userId: person.userId },
  );
}

const SHORTEST_REASON = 3;

/** Takes a decision back; its question is open again. */
export async function takeBack(person: Person, sessionId: string, id: string): Promise<void> {
  requireAuthor(person);
  if (!(await removeDecision(person.programmeId, sessionId, id))) throw new EdgeError('not-found');
}

/** The decisions that hold for a session as it is now, by its parts: what goes into the record of a sending. */
export function decisionsThatHold(
  session: Session,
  { decisions, rooms }: SessionSafety & { readonly decisions: readonly StoredDecision[] },
): (StoredDecision & { readonly part: string })[] {
  const newest = new Map<string, StoredDecision>();
  const holds = (decision: StoredDecision) =>
    decisionOn({ ...asQuestion(decision) }, { decisions: [decision], rooms }) !== undefined;
  for (const decision of decisions.filter(holds)) newest.set(nameOf(asQuestion(decision)), decision);
  return [...newest.values()].flatMap((decision) => {
    const part = session.segments.find(({ id }) => id === decision.segment);
    return part ? [{ ...decision, part: part.title }] : [];
  });
}

function asQuestion({ segment, rule, subject, text }: CautionDecision): PartQuestion {
  return { segment, kind: 'check', rule, subject, text, words: [] };
}

/** Decisions as a sending keeps them. */
export function asRecord(decisions: ReturnType<typeof decisionsThatHold>): KeptDecision[] {
  return decisions.map(({ part, rule, subject, words, decided, why, by, at }) => ({
    part,
    rule,
    subject,
    words,
    decided,
    why,
    by,
    at: at.toISOString(),
  }));
}
