import { formatPieces, renderTemplate } from '../../core/expressions/index.ts';
import {
  applyChanges,
  type Change,
  linesAt,
  type Segment,
  type Session,
  templateScope,
} from '../../core/session/index.ts';
import { nameNewest, readEdits, readWayBack } from '../db/repositories/sessionEdits.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { replaceSession } from '../db/repositories/sessions.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { findSession } from './sessions.ts';

/** What somebody did to a session in one go. */
export interface Stretch {
  /** The number of its first edit: the session can be had as it was before that. */
  readonly from: number;
  /** The number of its last. */
  readonly to: number;
  /** What the session was named as this left it; empty: nothing. */
  readonly name: string;
  readonly keptBy: string;
  /** When it began and ended. */
  readonly began: string;
  readonly ended: string;
  readonly changes: readonly Change[];
}

const MOST_EDITS_SHOWN = 1000;
/** Whoever pauses longer begins another stretch. */
const PAUSE_MS = 15 * 60_000;

/** What was done to a session, by person and in stretches without a long pause, the newest first. One query. */
export async function readHistory(person: Person, id: string): Promise<Stretch[]> {
  const stretches: Stretch[] = [];
  for (const { number, keptBy, keptAt, name, changes } of await readEdits(person.programmeId, id, MOST_EDITS_SHOWN)) {
    const last = stretches.at(-1);
    const isSame =
      last && last.keptBy === keptBy && name === '' && Date.parse(last.began) - Date.parse(keptAt) < PAUSE_MS;
    if (isSame)
      stretches.splice(-1, 1, { ...last, from: number, began: keptAt, changes: [...changes, ...last.changes] });
    else stretches.push({ from: number, to: number, name, keptBy, began: keptAt, ended: keptAt, changes });
  }
  return stretches;
}

/** Names a session as it is now, so that it can be found again however much is changed later. */
export async function nameState(person: Person, id: string, name: string): Promise<void> {
  requireAuthor(person);
  await findSession(person, id);
  if (!(await nameNewest(person.programmeId, id, name)))
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'name', message: 'has nothing to stand for yet: change something first' }],
    });
}

/** A session as it was, to be read: its parts with the words of their lines. */
export interface FormerSession {
  readonly number: number;
  readonly parts: readonly { readonly id: string; readonly title: string; readonly lines: readonly string[] }[];
}

/** A session as it was before an edit, written out. Three queries. */
export async function readFormer(person: Person, id: string, number: number): Promise<FormerSession> {
  const [former, things] = await Promise.all([sessionBefore(person, id, number), readThings(person.programmeId)]);
  const words = (text: string, segment: Segment) => {
    const rendered = renderTemplate(text, templateScope(segment, things));
    return rendered.ok ? formatPieces(rendered.value) : '';
  };
  return {
    number,
    parts: former.segments.map((segment) => ({
      id: segment.id,
      title: segment.title,
      lines: linesAt(segment, segment.level).map(({ text, answer }) =>
        [words(text, segment), answer && words(answer, segment)].filter(Boolean).join(' → '),
      ),
    })),
  };
}

/** A session as it was before an edit. Two queries. */
async function sessionBefore(person: Person, id: string, number: number): Promise<Session> {
  const { session } = await findSession(person, id);
  const back = await readWayBack(person.programmeId, id, number);
  return back.reduce((later, changes) => applyChanges(later, changes), session);
}

/** Makes a session what it was before an edit, or one part of it; that is an edit of its own, and can be gone back behind. */
export async function bringBack(
  person: Person,
  id: string,
  { before, part }: { readonly before: number; readonly part?: string | undefined },
): Promise<void> {
  requireAuthor(person);
  const { session, revision } = await findSession(person, id);
  const former = await sessionBefore(person, id, before);
  const wanted = part === undefined ? former : withPart(session, former, part);
  if (!(await replaceSession(person.programmeId, { id, revision, session: wanted }, person.userId)))
    throw new EdgeError('conflict');
}

/** A session with one part as it was: in its place, or at its former place where it is gone. */
function withPart(session: Session, former: Session, id: string): Session {
  const part = former.segments.find((segment) => segment.id === id);
  if (!part) throw new EdgeError('not-found');
  const isThere = session.segments.some((segment) => segment.id === id);
  const segments: readonly Segment[] = isThere
    ? session.segments.map((segment) => (segment.id === id ? part : segment))
    : session.segments.toSpliced(former.segments.indexOf(part), 0, part);
  return { ...session, segments };
}
