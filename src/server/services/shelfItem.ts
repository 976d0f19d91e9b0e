import type { ThingsByKey } from '../../core/materials/index.ts';
import { type ComposedSegment, composeSegment } from '../../core/guide/index.ts';
import { type Segment, templateScope } from '../../core/session/index.ts';
import { today } from '../clock.ts';
import { readSession, readSessions, replaceSession, type KeptSession } from '../db/repositories/sessions.ts';
import { readShelf, thingsByKey, type Shelf } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { segmentFor } from './sessions.ts';

export interface ShelfItemPage {
  readonly segment: Segment;
  readonly composed: ComposedSegment;
  readonly things: ThingsByKey;
  readonly shelf: Shelf;
  /** Sessions it can be put into. */
  readonly sessions: readonly KeptSession[];
  readonly isRetired: boolean;
}

/** A book, song or activity as it would stand in a session. */
export async function readShelfItemPage(person: Person, named: string, key: string): Promise<ShelfItemPage> {
  const kind = partKind(named);
  const [shelf, retired, sessions] = await Promise.all([
    readShelf(person.programmeId),
    readShelf(person.programmeId, undefined, { isRetired: true }),
    readSessions(person.programmeId, today(person.settings)),
  ]);
  const standing = segmentFor({ kind, key }, shelf, person);
  const segment = standing ?? segmentFor({ kind, key }, retired, person);
  if (!segment) throw new EdgeError('not-found');
  // What was removed from the shelf still has its name and its cautions here.
  const things = thingsByKey([...shelf.things, ...retired.things]);
  return {
    segment,
    composed: composeSegment(segment, templateScope(segment, things)),
    things,
    shelf: standing ? shelf : { ...retired, things: shelf.things },
    sessions,
    isRetired: !standing,
  };
}

/** Puts something from the shelf into a session, before its goodbye. */
export async function putIntoSession(
  person: Person,
  { kind: named, key, sessionId }: { kind: string; key: string; sessionId: string },
): Promise<void> {
  requireAuthor(person);
  const kind = partKind(named);
  const [shelf, kept] = await Promise.all([readShelf(person.programmeId), readSession(person.programmeId, sessionId)]);
  const segment = segmentFor({ kind, key }, shelf, person);
  if (!segment || !kept) throw new EdgeError('not-found');
  const { segments } = kept.session;
  const closing = segments.findIndex((part) => part.kind === 'closing');
  const session = {
    ...kept.session,
    segments: segments.toSpliced(closing < 0 ? segments.length : closing, 0, segment),
  };
  const replaced = await replaceSession(person.programmeId, { ...kept, session }, person.userId);
  if (!replaced) throw new EdgeError('conflict');
}

function partKind(named: string): 'book' | 'song' | 'activity' {
  if (named === 'book' || named === 'song' || named === 'activity') return named;
  throw new EdgeError('not-found');
}
