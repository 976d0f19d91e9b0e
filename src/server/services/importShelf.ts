import { countHomes } from '../db/repositories/homes.ts';
import { readThingIds, withThoseItHasNot, writeHomes, type KeptAllergy } from '../db/repositories/homeWrites.ts';
import { holdProgramme } from '../db/repositories/programmes.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { withSections, type FileSections } from '../../contracts/fileContents.ts';
import type { ProgrammeSettings } from '../../contracts/programme.ts';
import type { SessionEntry } from '../../contracts/sessionEntry.ts';
import type { HomeEntry } from '../../contracts/shelfFile.ts';
import type { CautionPolicy } from '../../core/cautions/index.ts';
import type { Segment } from '../../core/session/index.ts';
import { describeMakerProblem } from '../../messages/makers.ts';
import { isSameValue } from '../db/sameValue.ts';
import { addSession } from '../db/repositories/sessions.ts';
import {
  readShelf,
  readThings,
  writeShelfItems,
  type ActivityEntry,
  type Shelf,
  type ShelfWrite,
} from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { HERE, type Beside } from './beside.ts';
import type { KnownThing } from './checkFile.ts';
import { hold } from '../db/hold.ts';
import { refuseTooMany } from './homes.ts';
import { inTurn } from './inTurn.ts';
import { requireAuthor, type Person } from './person.ts';
import { changeSettings } from './programme.ts';
import { frameSegments, namedSegment } from './sessions.ts';
import { takeThings, thingsNamedBy } from './starter.ts';

export interface ImportReport {
  readonly added: number;
  readonly replaced: number;
  /** Allergies that homes of the file were known to have and that it does not name: they stay. */
  readonly keptAllergies: readonly KeptAllergy[];
  readonly bySection: Readonly<Record<keyof FileSections, number>>;
}

/** Takes a whole file into a programme, or nothing of it: every problem is named with its place. */
export async function importFile(person: Person, content: unknown, beside: Beside = HERE): Promise<ImportReport> {
  requireAuthor(person);
  return inTurn(() => takeIn(person, content, beside));
}

async function takeIn(person: Person, content: unknown, beside: Beside): Promise<ImportReport> {
  const before = Object.values(await readThings(person.programmeId));
  await refuseProblems(content, before, beside);
  const file = withSections(content as Partial<FileSections>);
  const { programme } = content as { programme?: ProgrammeOfFile };
  if (programme && person.role !== 'owner')
    throw new EdgeError('wrong-input', {
      problems: [{ path: 'programme', message: 'holds settings, which only an owner may change' }],
    });
  return inTransaction(async (transaction) => {
    // One import of a programme after the other; what the shelf holds is read again once it stands still.
    await holdProgramme(person.programmeId, transaction);
    const now = Object.values(await readThings(person.programmeId, transaction));
    if (!isSameValue(keysOf(before), keysOf(now))) await refuseProblems(content, now, beside);
    const writes = toShelfWrites(file);
    await takeWhatIsNamed(person.programmeId, file, transaction);
    const added = await writeShelfItems(person.programmeId, writes, transaction);
    const keptAllergies = await writeHomesOfFile(person.programmeId, file.homes, transaction);
    await writeSessions(person, file, transaction);
    if (programme) await writeProgramme(person, programme, transaction);
    const others = file.homes.length + file.sessions.length;
    return {
      added: added + others,
      replaced: writes.length - added,
      keptAllergies,
      bySection: Object.fromEntries(
        Object.entries(file).map(([section, entries]) => [section, entries.length]),
      ) as ImportReport['bySection'],
    };
  });
}

async function refuseProblems(content: unknown, known: readonly KnownThing[], beside: Beside): Promise<void> {
  const problems = await beside.checkFile(
    content,
    known.map(({ key, places }) => ({ key, places })),
  );
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems });
}

const keysOf = (things: readonly KnownThing[]) => things.map(({ key, places }) => [key, places]);

/** What of the starter collection a file names and does not bring itself is on the shelf with it. */
async function takeWhatIsNamed(programmeId: string, file: FileSections, transaction: Transaction): Promise<void> {
  const brought = new Set(file.things.map(({ key }) => key));
  const named = [
    ...thingsNamedBy(file.activities),
    ...file.homes.flatMap(({ things, hasNot = [] }) => [...things.map(({ item }) => item), ...hasNot]),
  ];
  await takeThings(
    programmeId,
    named.filter((key) => !brought.has(key)),
    transaction,
  );
}

function toShelfWrites(file: FileSections): ShelfWrite[] {
  const write = (kind: ShelfWrite['kind'], entry: { key: string }, title: string) => ({
    kind,
    key: entry.key,
    title,
    body: entry,
    retired: (entry as { retired?: boolean }).retired === true,
  });
  return [
    ...file.things.map((entry) => write('thing', entry, entry.many)),
    ...file.books.map((entry) => write('book', entry, entry.title)),
    ...file.songs.map((entry) => write('song', entry, entry.title)),
    ...file.activities.map((entry) => write('activity', entry, entry.title)),
  ];
}

async function writeHomesOfFile(
  programmeId: string,
  homes: readonly HomeEntry[],
  transaction: Transaction,
): Promise<KeptAllergy[]> {
  if (homes.length === 0) return [];
  const keys = homes.flatMap(({ things, hasNot = [] }) => [...things.map(({ item }) => item), ...hasNot]);
  const thingIds = await readThingIds(programmeId, keys, transaction);
  await hold(`${programmeId}/homes`, transaction);
  const names = homes.map(({ nickname }) => nickname);
  const there = await countHomes(programmeId, transaction, names);
  await refuseTooMany(programmeId, homes.length - there, transaction);
  const written = homes.map(({ hasNot = [], ...home }) => ({
    ...home,
    things: withThoseItHasNot(home.things, hasNot),
  }));
  return writeHomes(programmeId, written, { thingIds, transaction });
}

async function writeSessions(person: Person, file: FileSections, transaction: Transaction): Promise<void> {
  if (file.sessions.length === 0) return;
  const before = await readShelf(person.programmeId, undefined, { transaction });
  const shelf: Shelf = {
    things: before.things,
    books: [...file.books, ...before.books],
    songs: [...file.songs, ...before.songs],
    activities: [...(file.activities as readonly ActivityEntry[]), ...before.activities],
  };
  for (const [index, entry] of file.sessions.entries()) {
    const segments = entry.segments ?? frameSegments(partsOf(entry, index, { shelf, person }));
    const { parts: _parts, segments: _segments, ...session } = entry;
    await takeThings(person.programmeId, thingsNamedBy(segments), transaction);
    await addSession(person.programmeId, { ...session, segments, accepted: [] }, person.userId, transaction);
  }
}

function partsOf(
  entry: SessionEntry,
  index: number,
  { shelf, person }: { shelf: Shelf; person: Pick<Person, 'settings'> },
): Segment[] {
  return (entry.parts ?? []).map((part, at) => {
    const segment = namedSegment(part, shelf, person);
    if (segment.ok) return segment.value;
    const path = `sessions[${index}].parts[${at}]`;
    const problem =
      segment.problem.code === 'not-there'
        ? { path: `${path}.key`, message: `“${segment.problem.key}” is neither on the shelf nor in this file` }
        : { path: `${path}.values`, message: describeMakerProblem(segment.problem.problem) };
    throw new EdgeError('wrong-input', { problems: [problem] });
  });
}

interface ProgrammeOfFile {
  readonly settings?: ProgrammeSettings | undefined;
  readonly cautions?: CautionPolicy | undefined;
}

/** Takes over the settings of a file; what it does not name stays. */
async function writeProgramme(person: Person, given: ProgrammeOfFile, transaction: Transaction): Promise<void> {
  await changeSettings(
    person,
    (settings) => ({
      ...settings,
      ...given.settings,
      cautions: given.cautions ?? given.settings?.cautions ?? settings.cautions,
    }),
    transaction,
  );
}
