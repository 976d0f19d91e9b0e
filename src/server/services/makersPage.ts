import { authorSpeech } from '../../messages/speeches.ts';
import type { MakerSettings, MakerValues } from '../../core/session/index.ts';
import type { ThingsByKey } from '../../core/materials/index.ts';
import { randomUUID } from 'node:crypto';
import {
  dialsOf,
  firstValues,
  type Maker,
  makerPages,
  runMaker,
  segmentFromMaker,
  valuesOfToday,
  workOut,
} from '../../core/makers/index.ts';
import { findMaker, MAKERS } from '../../makers/index.ts';
import { type Drawing, USUAL_MARGIN } from '../../core/page/index.ts';
import { rememberLast } from '../../core/remembering.ts';
import { describeMakerProblem, makerTitle } from '../../messages/makers.ts';
import { today } from '../clock.ts';
import { readSession, readSessions, replaceSession } from '../db/repositories/sessions.ts';
import { readShelf, thingsByKey } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { writePdf } from '../print/pdf.ts';
import { pacesOf } from './programme.ts';
import { listRecorded } from './soundRecordings.ts';
import { requireAuthor, type Person } from './person.ts';

/** Programmes work in a few ways: what was drawn for the last ones is drawn once. */
const picturesFor = rememberLast(16, (text): readonly (Drawing | null)[] => {
  const settings = JSON.parse(text) as MakerSettings;
  return MAKERS.map((maker) => {
    const made = workOut(maker, firstValues(maker), { settings, speech: authorSpeech });
    return made.ok ? made.value.picture : null;
  });
});

/** All makers with what each draws as it starts; null where it does not go with the settings. */
export function makerPictures(settings: MakerSettings): { maker: Maker; picture: Drawing | null }[] {
  const pictures = picturesFor(JSON.stringify(settings));
  return MAKERS.map((maker, index) => ({ maker, picture: pictures[index]! }));
}

/** What a maker's room works with: three queries. */
export async function readMakerPage(
  person: Person,
): Promise<{ things: ThingsByKey; sessions: { id: string; title: string }[]; recorded: string[] }> {
  const [shelf, sessions, recorded] = await Promise.all([
    readShelf(person.programmeId, ['thing']),
    readSessions(person.programmeId, today(person.settings)),
    listRecorded(person),
  ]);
  return {
    recorded,
    things: thingsByKey(shelf.things),
    sessions: sessions.map(({ id, session }) => ({ id, title: session.title })),
  };
}

/** The values a maker's room starts from: what its address says, where the maker takes that, or its own. */
export function startValues(maker: Maker, said: URLSearchParams, settings: MakerSettings): MakerValues {
  const usual = firstValues(maker);
  const wanted = Object.fromEntries(
    dialsOf(maker).flatMap(({ name, kind }) => {
      const text = said.get(name);
      return text === null ? [] : [[name, kind === 'number' ? Number(text) : text] as const];
    }),
  );
  if (Object.keys(wanted).length === 0) return usual;
  const values = { ...usual, ...valuesOfToday(maker, wanted) };
  return workOut(maker, values, { settings, speech: authorSpeech }).ok ? values : usual;
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
    paces: pacesOf(person.settings, maker.id),
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
