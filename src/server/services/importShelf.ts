import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { withSections, type FileSections } from '../../contracts/fileContents.ts';
import type { ProgrammeSettings } from '../../contracts/programme.ts';
import type { HomeEntry, SessionEntry } from '../../contracts/shelfFile.ts';
import type { CautionPolicy } from '../../core/cautions/rules.ts';
import type { Segment } from '../../core/session/session.ts';
import { describeMakerProblem } from '../../messages/makers.ts';
import { isSameValue } from '../db/sameValue.ts';
import { ChildRow, HomeRow, HomeThingRow, ProgrammeRow, ShelfItemRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
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
import { HERE, type Beside, type KnownThing } from './checkFile.ts';
import { hold } from '../db/hold.ts';
import { refuseTooMany } from './homes.ts';
import { inTurn } from './inTurn.ts';
import { requireAuthor, type Person } from './person.ts';
import { changeSettings } from './programme.ts';
import { frameSegments, namedSegment } from './sessions.ts';

export interface ImportReport {
  readonly added: number;
  readonly replaced: number;
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
  return tables().transaction(async (transaction) => {
    // One import of a programme after the other; what the shelf holds is read again once it stands still.
    await ProgrammeRow.findByPk(person.programmeId, { transaction, lock: transaction.LOCK.UPDATE });
    const now = Object.values(await readThings(person.programmeId, transaction));
    if (!isSameValue(keysOf(before), keysOf(now))) await refuseProblems(content, now, HERE);
    const writes = toShelfWrites(file);
    const added = await writeShelfItems(person.programmeId, writes, transaction);
    await writeHomes(person.programmeId, file.homes, transaction);
    await writeSessions(person, file, transaction);
    if (programme) await writeProgramme(person, programme, transaction);
    const others = file.homes.length + file.sessions.length;
    return {
      added: added + others,
      replaced: writes.length - added,
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

function toShelfWrites(file: FileSections): ShelfWrite[] {
  const write = (kind: ShelfWrite['kind'], entry: { key: string }, title: string) => ({
    kind,
    key: entry.key,
    title,
    body: entry as unknown as Record<string, unknown>,
    retired: (entry as { retired?: boolean }).retired === true,
  });
  return [
    ...file.things.map((entry) => write('thing', entry, entry.many)),
    ...file.books.map((entry) => write('book', entry, entry.title)),
    ...file.songs.map((entry) => write('song', entry, entry.title)),
    ...file.activities.map((entry) => write('activity', entry, entry.title)),
  ];
}

async function writeHomes(programmeId: string, homes: readonly HomeEntry[], transaction: Transaction): Promise<void> {
  if (homes.length === 0) return;
  const keys = [...new Set(homes.flatMap(({ things }) => things.map(({ item }) => item)))];
  const things = await ShelfItemRow.findAll({
    where: { programmeId, kind: 'thing', key: { [Op.in]: keys } },
    attributes: ['id', 'key'],
    transaction,
  });
  const idOf = new Map(things.map(({ id, key }) => [key, id]));
  await hold(`${programmeId}/homes`, transaction);
  const there = await HomeRow.count({
    where: { programmeId, takenOutAt: null, nickname: homes.map(({ nickname }) => nickname) },
    transaction,
  });
  await refuseTooMany(programmeId, homes.length - there, transaction);
  await HomeRow.bulkCreate(
    homes.map(({ nickname, contact, language, allergens }) => ({
      id: randomUUID(),
      programmeId,
      nickname,
      contact,
      language,
      allergens,
      takenOutAt: null,
    })),
    {
      updateOnDuplicate: ['contact', 'language', 'allergens', 'takenOutAt'],
      conflictAttributes: ['programmeId', 'nickname'],
      transaction,
    },
  );
  const rows = await HomeRow.findAll({
    where: { programmeId, nickname: { [Op.in]: homes.map(({ nickname }) => nickname) } },
    transaction,
  });
  const withIds = homes.map((home) => ({ id: rows.find(({ nickname }) => nickname === home.nickname)!.id, home }));
  const homeId = { [Op.in]: withIds.map(({ id }) => id) };
  await ChildRow.destroy({ where: { homeId }, transaction });
  await HomeThingRow.destroy({ where: { homeId }, transaction });
  await ChildRow.bulkCreate(
    withIds.flatMap(({ id, home }) =>
      home.children.map(({ mouthing = false, leftHanded = false, needs = '', ...child }, position) => ({
        id: randomUUID(),
        homeId: id,
        position,
        ...child,
        mouthing,
        leftHanded,
        needs,
      })),
    ),
    { transaction },
  );
  await HomeThingRow.bulkCreate(
    withIds.flatMap(({ id, home }) =>
      home.things.map(({ item, qty }) => ({ homeId: id, thingId: idOf.get(item)!, programmeId, qty })),
    ),
    { transaction },
  );
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
