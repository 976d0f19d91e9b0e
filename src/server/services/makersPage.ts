import { authorSpeech } from '../../messages/speeches.ts';
import type { MakerValues } from '../../core/session/makerSource.ts';
import type { ThingsByKey } from '../../core/materials/thing.ts';
import { randomUUID } from 'node:crypto';
import { firstValues, runMaker } from '../../core/makers/maker.ts';
import { segmentFromMaker } from '../../core/makers/makerSegment.ts';
import { findMaker } from '../../core/makers/makers.ts';
import { makerPages } from '../../core/makers/makerPages.ts';
import { USUAL_MARGIN } from '../../core/page/paper.ts';
import { describeMakerProblem, makerTitle } from '../../messages/makers.ts';
import { today } from '../clock.ts';
import { readSession, readSessions, replaceSession } from '../db/repositories/sessions.ts';
import { readShelf, thingsByKey } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { writePdf } from '../print/pdf.ts';
import { requireAuthor, type Person } from './person.ts';

/** What a maker's room works with: two queries. */
export async function readMakerPage(
  person: Person,
): Promise<{ things: ThingsByKey; sessions: { id: string; title: string }[] }> {
  const [shelf, sessions] = await Promise.all([
    readShelf(person.programmeId, ['thing']),
    readSessions(person.programmeId, today()),
  ]);
  return {
    things: thingsByKey(shelf.things),
    sessions: sessions.map(({ id, session }) => ({ id, title: session.title })),
  };
}

/** What a maker makes, on paper with its answer key. */
export async function printMaker(person: Person, id: string, written: unknown): Promise<Buffer> {
  const maker = findMaker(id);
  if (!maker) throw new EdgeError('not-found');
  const values = { ...firstValues(maker), ...asValues(written) };
  const made = runMaker(maker, values, { settings: person.settings.numbers, speech: authorSpeech });
  if (!made.ok)
    throw new EdgeError('wrong-input', {
      problems: [{ path: makerTitle(maker.id), message: describeMakerProblem(made.problem) }],
    });
  const pages = makerPages(makerTitle(maker.id), made.value, {
    paper: person.settings.paper,
    margin: USUAL_MARGIN,
    speech: authorSpeech,
  });
  return writePdf(pages, { title: makerTitle(maker.id) });
}

/** Puts what a maker makes into a session, before its goodbye. */
export async function putMadeIntoSession(
  person: Person,
  { id, sessionId, written }: { id: string; sessionId: string; written: unknown },
): Promise<void> {
  requireAuthor(person);
  const maker = findMaker(id);
  const kept = await readSession(person.programmeId, sessionId);
  if (!maker || !kept) throw new EdgeError('not-found');
  const segment = segmentFromMaker(maker, {
    values: { ...firstValues(maker), ...asValues(written) },
    settings: person.settings.numbers,
    id: randomUUID(),
    speech: authorSpeech,
  });
  if (!segment.ok)
    throw new EdgeError('wrong-input', {
      problems: [{ path: makerTitle(maker.id), message: describeMakerProblem(segment.problem) }],
    });
  const { segments } = kept.session;
  const closing = segments.findIndex(({ kind }) => kind === 'closing');
  const session = {
    ...kept.session,
    segments: segments.toSpliced(closing < 0 ? segments.length : closing, 0, segment.value),
  };
  if (!(await replaceSession(person.programmeId, { ...kept, session }, person.userId))) throw new EdgeError('conflict');
}

/** Values that came from outside: numbers and texts by name, nothing else. */
function asValues(written: unknown): MakerValues {
  if (typeof written !== 'object' || written === null) return {};
  return Object.fromEntries(
    Object.entries(written).filter(
      (entry): entry is [string, number | string] => typeof entry[1] === 'number' || typeof entry[1] === 'string',
    ),
  );
}
