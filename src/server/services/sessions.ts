import { randomUUID } from 'node:crypto';
import type { CopyForm, StartForm } from '../../contracts/forms.ts';
import { editKey, sentChanges } from '../../contracts/changes.ts';
import { isRevision, NO_REVISION } from '../../contracts/revision.ts';
import { checkShape } from '../../contracts/problems.ts';
import { keptSession } from '../../contracts/script.ts';
import { agesFromYears, applyChanges, checkDial, type Segment, type Session } from '../../core/session/index.ts';
import {
  frameSegments as frameWith,
  inPattern,
  type NamedPart,
  segmentFor as makeSegment,
  type SessionFrame,
} from '../../core/shelf/index.ts';
import { describeEditProblem } from '../../messages/edits.ts';
import { authorMakers } from '../../messages/authorMakers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { readShelf, type Shelf } from '../db/repositories/shelf.ts';
import {
  addSession,
  findNewestSession,
  lastKeptBy,
  markDeleted,
  readDeletedSessions,
  readSession,
  readSessions,
  replaceSession,
  type KeptSession,
} from '../db/repositories/sessions.ts';
import { revisionOfEdit } from '../db/repositories/sessionEdits.ts';
import { readLastSent } from '../db/repositories/sendings.ts';
import { isSameValue } from '../db/sameValue.ts';
import { EdgeError } from '../http/errors.ts';
import { starter, type Starter } from '../starter.ts';
import { requireAuthor, type Person } from './person.ts';
import { takeThingsOf } from './starter.ts';

/** The named book, song, activity or maker as a segment; null when the shelf has none, or the maker refuses. */
export function segmentFor(part: NamedPart, shelf: Shelf, person: Pick<Person, 'settings'>): Segment | null {
  const segment = namedSegment(part, shelf, person);
  return segment.ok ? segment.value : null;
}

/** The same with the reason when there is none. */
export function namedSegment(part: NamedPart, shelf: Shelf, { settings }: Pick<Person, 'settings'>) {
  return makeSegment(part, shelf, {
    id: randomUUID(),
    pace: settings.pace,
    ...authorMakers,
    numbers: settings.numbers,
  });
}

/** What a session may start from: what is on the shelf, and how sessions run, begin and end. One query. */
export async function readStartChoices(
  person: Person,
): Promise<Pick<Shelf, 'books' | 'songs' | 'activities'> & Pick<Starter, 'patterns' | 'openings' | 'closings'>> {
  const { patterns, openings, closings } = starter();
  return { ...(await readShelf(person.programmeId, ['book', 'song', 'activity'])), patterns, openings, closings };
}

/** A new session from the start form: a hello, what was chosen in the order of its pattern, and a goodbye. Gives its id. */
export async function startSession(person: Person, form: StartForm): Promise<string> {
  requireAuthor(person);
  const { patterns, openings, closings } = starter();
  const shelf = await readShelf(person.programmeId, ['book', 'song', 'activity']);
  const chosen = (['book', 'activity', 'song'] as const).flatMap((kind) => {
    const segment = form[kind] ? segmentFor({ kind, key: form[kind] }, shelf, person) : null;
    return segment ? [segment] : [];
  });
  const pattern = patterns.find(({ key }) => key === form.pattern) ?? patterns[0];
  const middle = inPattern(pattern?.parts ?? [], chosen);
  const begin = frameOf(openings, form.begin, person);
  const end = frameOf(closings, form.end, person);
  await takeThingsOf(person.programmeId, middle);
  return addSession(
    person.programmeId,
    {
      title: form.title,
      on: form.on,
      at: form.at,
      ages: agesFromYears(form.fromYears, form.toYears),
      aim: form.aim,
      segments: frameSegments(middle, { begin, end }),
      accepted: [],
    },
    person.userId,
  );
}

/** Puts a hello before and a goodbye after the parts of a session. */
export function frameSegments(
  middle: readonly Segment[],
  frames: { begin?: SessionFrame | undefined; end?: SessionFrame | undefined } = {},
): Segment[] {
  return frameWith(middle, { ...frames, opening: randomUUID(), closing: randomUUID(), speech: authorSpeech });
}

/** The opening or closing of a key; undefined, which is the usual one, for a key that there is not. */
function frameOf(frames: Starter['openings'], key: string, person: Person): SessionFrame | undefined {
  const { framing, song } = frames.find((frame) => frame.key === key) ?? {};
  if (framing !== undefined) return framing;
  const sources = { things: [], books: [], songs: starter().songs, activities: [] };
  return song === undefined ? undefined : (segmentFor({ kind: 'song', key: song }, sources, person) ?? undefined);
}

/** The same session for another day, under another title; what was accepted in its margin is looked at anew. Gives its id. */
export async function copySession(person: Person, id: string, { title, on }: CopyForm): Promise<string> {
  requireAuthor(person);
  const { session } = await findSession(person, id);
  return addSession(
    person.programmeId,
    { ...session, title, on, accepted: [], kept: undefined, remarks: undefined },
    person.userId,
  );
}

/** Deletes a session from the bench, or brings it back. What homes have of it stays as it was sent. */
export async function deleteSession(person: Person, id: string, isDeleted: boolean): Promise<void> {
  requireAuthor(person);
  if (!(await markDeleted(person.programmeId, id, isDeleted))) throw new EdgeError('not-found');
}

/** Sessions that were deleted and may come back. One query. */
export function listDeleted(person: Person) {
  return readDeletedSessions(person.programmeId);
}

/** All sessions of the programme, by day. */
export function listSessions(person: Person): Promise<KeptSession[]> {
  return readSessions(person.programmeId);
}

/** When each session of the programme last went out, by its id. One query. */
export function listSent(person: Person): Promise<Map<string, string>> {
  return readLastSent(person.programmeId);
}

/** The id of the session that was kept last; undefined when there is none. One query. */
export function readNewestSession(person: Person): Promise<string | undefined> {
  return findNewestSession(person.programmeId);
}

/** One session; an error when it is not this programme's. */
export async function findSession(person: Person, id: string): Promise<KeptSession> {
  const kept = await readSession(person.programmeId, id);
  if (!kept) throw new EdgeError('not-found');
  return kept;
}

/** What a window sends to be kept: what it changed since a revision, under a name; or, as older ones do, the whole session. */
interface SentKeeping {
  readonly revision?: unknown;
  readonly key?: unknown;
  readonly changes?: unknown;
  readonly session?: unknown;
}

/** Keeps what the bench sends, if it was made from the newest revision; once, however often it arrives. */
export async function keepSession(
  person: Person,
  id: string,
  body: SentKeeping,
): Promise<{ revision: number; keptAt: string }> {
  requireAuthor(person);
  const { revision } = body;
  if (body.changes !== undefined) return keepChanges(person, id, body);
  const sent = soundSession(body.session);
  if (!isRevision(revision)) throw new EdgeError('wrong-input', { problems: [NO_REVISION] });
  const session = signedNotes(sent, { former: await findSession(person, id), person });
  await takeThingsOf(person.programmeId, session.segments);
  const kept = await replaceSession(person.programmeId, { id, revision, session }, person.userId);
  if (kept) return kept;
  const current = await findSession(person, id);
  // Ours arrived, and only the answer was lost.
  if (current.revision === revision + 1 && isSameValue(current.session, session)) return current;
  throw new EdgeError('conflict', { current: { ...current, keptBy: await lastKeptBy(id) } });
}

async function keepChanges(person: Person, id: string, body: SentKeeping) {
  const { revision } = body;
  if (!isRevision(revision)) throw new EdgeError('wrong-input', { problems: [NO_REVISION] });
  const named = checkShape(editKey, body.key, 'key');
  const sent = checkShape(sentChanges, body.changes, 'changes');
  if (!named.ok || !sent.ok)
    throw new EdgeError('wrong-input', { problems: [named, sent].flatMap((one) => (one.ok ? [] : one.problem)) });
  const key = named.value;
  const [former, arrivedBefore] = await Promise.all([findSession(person, id), revisionOfEdit(id, key)]);
  if (former.revision === revision && arrivedBefore === null) {
    const session = signedNotes(soundSession(applyChanges(former.session, sent.value)), { former, person });
    await takeThingsOf(person.programmeId, session.segments);
    const kept = await replaceSession(person.programmeId, { id, revision, session, key }, person.userId);
    if (kept) return kept;
  }
  const [current, arrivedAs] = await Promise.all([findSession(person, id), revisionOfEdit(id, key)]);
  // Ours arrived, and only the answer was lost.
  if (arrivedAs !== null && arrivedAs === current.revision) return current;
  throw new EdgeError('conflict', {
    current: { ...current, keptBy: await lastKeptBy(id), hasArrived: arrivedAs !== null },
  });
}

/** The revision that a keeping of this name made; null where it never arrived. */
export async function arrivalOf(person: Person, id: string, key: string): Promise<number | null> {
  await findSession(person, id);
  return revisionOfEdit(id, key);
}

/** Notes that are new, or say something else than before, are by whoever sends them, whatever name they came with. */
function signedNotes(session: Session, { former, person }: { former: KeptSession; person: Person }): Session {
  if (!session.remarks) return session;
  const known = new Map(former.session.remarks?.map((remark) => [remark.id, remark]));
  return {
    ...session,
    remarks: session.remarks.map((remark) =>
      isSameValue(known.get(remark.id), remark) ? remark : { ...remark, by: person.name },
    ),
  };
}

function soundSession(value: unknown): Session {
  const checked = checkShape(keptSession, value, 'session');
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  refuseWrongDials(checked.value);
  return checked.value;
}

function refuseWrongDials({ segments }: Session): void {
  segments.forEach((segment, segmentIndex) =>
    segment.dials.forEach((dial, dialIndex) => {
      const checked = checkDial(dial, dial.value, segment.title);
      if (checked.ok) return;
      const path = `session.segments[${segmentIndex}].dials[${dialIndex}]`;
      throw new EdgeError('wrong-input', { problems: [{ path, message: describeEditProblem(checked.problem) }] });
    }),
  );
}
