import { composeSession, rehearsalOf } from '../../core/guide/index.ts';
import type { Remark, Segment, Session } from '../../core/session/index.ts';
import { scaleQuantities } from '../../core/time/index.ts';
import type { RehearsalForm } from '../../contracts/rehearsalForm.ts';
import { now } from '../clock.ts';
import { readThings } from '../db/repositories/shelf.ts';
import { replaceSession } from '../db/repositories/sessions.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { findSession } from './sessions.ts';

/** A session with its lines as they are said, each with its planned minute. Two queries. */
export async function readRehearsal(person: Person, id: string) {
  const [{ session }, things] = await Promise.all([findSession(person, id), readThings(person.programmeId)]);
  const composed = composeSession(session, things, {
    seatedMinutesPerYear: person.settings.seatedMinutesPerYear,
    youngestMonths: session.ages.fromMonths,
  });
  return { session, ...rehearsalOf(composed) };
}

/** Keeps what a rehearsal took as the minutes of its parts, as far as it was ticked, and its notes as remarks. */
export async function keepRehearsal(person: Person, id: string, { name, parts, notes }: RehearsalForm): Promise<void> {
  requireAuthor(person);
  const [{ session, revision }, { parts: planned }] = await Promise.all([
    findSession(person, id),
    readRehearsal(person, id),
  ]);
  const known = new Set(session.remarks?.map((remark) => remark.id));
  const remarks = notes.flatMap(({ part, line, text }, index): Remark[] =>
    session.segments.some((segment) => segment.id === part) && !known.has(`${name}-${index}`)
      ? [{ id: `${name}-${index}`, part, line, text, by: person.name, at: now().toISOString() }]
      : [],
  );
  const timed = (segment: Segment): Segment => {
    const took = parts.find((part) => part.id === segment.id);
    const likely = planned.find((part) => part.id === segment.id)?.planned ?? 0;
    if (!took || likely <= 0) return segment;
    const together = scaleQuantities(segment.minutes.together, took.seconds / 60 / likely);
    return { ...segment, minutes: { ...segment.minutes, together } };
  };
  const wanted: Session = {
    ...session,
    segments: session.segments.map(timed),
    ...(remarks.length > 0 && { remarks: [...(session.remarks ?? []), ...remarks].slice(-MOST_REMARKS) }),
  };
  if (!(await replaceSession(person.programmeId, { id, revision, session: wanted }, person.userId)))
    throw new EdgeError('conflict');
}

const MOST_REMARKS = 200;
