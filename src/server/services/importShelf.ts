import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import type { FieldProblem } from '../../contracts/problems.ts';
import { checkShape } from '../../contracts/problems.ts';
import {
  shelfFile,
  type BookEntry,
  type HomeEntry,
  type SessionEntry,
  type SongEntry,
  type ThingEntry,
} from '../../contracts/shelfFile.ts';
import { checkScript } from '../../core/script/checkScript.ts';
import type { Segment } from '../../core/script/session.ts';
import { describeScriptFault } from '../../messages/edits.ts';
import { ChildRow, HomeRow, HomeThingRow, ShelfItemRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { addSession } from '../db/repositories/sessions.ts';
import { readShelf, writeShelfItems, type ActivityEntry, type ShelfWrite } from '../db/repositories/shelf.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';
import { frameSegments, segmentFor } from './sessions.ts';

interface ShelfFile {
  readonly things: readonly ThingEntry[];
  readonly books: readonly BookEntry[];
  readonly songs: readonly SongEntry[];
  readonly activities: readonly ActivityEntry[];
  readonly homes: readonly HomeEntry[];
  readonly sessions: readonly SessionEntry[];
}

export interface ImportReport {
  readonly added: number;
  readonly replaced: number;
  readonly bySection: Readonly<Record<keyof ShelfFile, number>>;
}

/** Takes a whole file into a programme, or nothing of it: every problem is named with its place. */
export async function importFile(person: Person, content: unknown): Promise<ImportReport> {
  requireAuthor(person);
  const checked = checkShape(shelfFile, content);
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const file = withSections(checked.value as Partial<ShelfFile>);
  const shelfBefore = await readShelf(person.programmeId);
  const problems = [...findRepeats(file), ...findScriptProblems(file), ...findMissingThings(file, shelfBefore.things)];
  if (problems.length > 0) throw new EdgeError('wrong-input', { problems: problems.slice(0, 50) });
  return tables().transaction(async (transaction) => {
    const writes = toShelfWrites(file);
    const added = await writeShelfItems(person.programmeId, writes, transaction);
    await writeHomes(person.programmeId, file.homes, transaction);
    await writeSessions(person, file, transaction);
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

function withSections(file: Partial<ShelfFile>): ShelfFile {
  const { things = [], books = [], songs = [], activities = [], homes = [], sessions = [] } = file;
  return { things, books, songs, activities, homes, sessions };
}

function toShelfWrites(file: ShelfFile): ShelfWrite[] {
  const write = (kind: ShelfWrite['kind'], entry: { key: string }, title: string) => ({
    kind,
    key: entry.key,
    title,
    body: entry as unknown as Record<string, unknown>,
  });
  return [
    ...file.things.map((entry) => write('thing', entry, entry.many)),
    ...file.books.map((entry) => write('book', entry, entry.title)),
    ...file.songs.map((entry) => write('song', entry, entry.title)),
    ...file.activities.map((entry) => write('activity', entry, entry.title)),
  ];
}

function findRepeats(file: ShelfFile): FieldProblem[] {
  const sections = { things: file.things, books: file.books, songs: file.songs, activities: file.activities };
  return Object.entries(sections).flatMap(([section, entries]) => {
    const first = new Map<string, number>();
    return entries.flatMap(({ key }, index) => {
      if (!first.has(key)) first.set(key, index);
      return first.get(key) === index
        ? []
        : [{ path: `${section}[${index}].key`, message: `“${key}” is already at ${section}[${first.get(key)}]` }];
    });
  });
}

function findScriptProblems({ activities }: ShelfFile): FieldProblem[] {
  return activities.flatMap((activity, index) =>
    checkScript(activity, activity.title).map(({ path, fault }) => ({
      path: `activities[${index}].${path}`,
      message: describeScriptFault(fault),
    })),
  );
}

function findMissingThings(file: ShelfFile, onShelf: readonly ThingEntry[]): FieldProblem[] {
  const known = new Set([...onShelf, ...file.things].map(({ key }) => key));
  const check = (item: string, path: string): FieldProblem[] =>
    known.has(item) ? [] : [{ path, message: `“${item}” is neither on the shelf nor among the things of this file` }];
  const ofActivities = file.activities.flatMap(({ needs }, index) =>
    needs.flatMap((need, needIndex) => {
      const at = `activities[${index}].needs[${needIndex}]`;
      return [
        ...check(need.item, `${at}.item`),
        ...need.swaps.flatMap(({ item }, swap) => check(item, `${at}.swaps[${swap}].item`)),
      ];
    }),
  );
  const ofHomes = file.homes.flatMap(({ things }, index) =>
    things.flatMap(({ item }, thing) => check(item, `homes[${index}].things[${thing}].item`)),
  );
  return [...ofActivities, ...ofHomes];
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
  await HomeRow.bulkCreate(
    homes.map(({ nickname, contact, language, allergens }) => ({
      id: randomUUID(),
      programmeId,
      nickname,
      contact,
      language,
      allergens,
    })),
    {
      updateOnDuplicate: ['contact', 'language', 'allergens'],
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
      home.children.map((child, position) => ({ id: randomUUID(), homeId: id, position, ...child })),
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

async function writeSessions(person: Person, file: ShelfFile, transaction: Transaction): Promise<void> {
  if (file.sessions.length === 0) return;
  const before = await readShelf(person.programmeId);
  const shelf = {
    things: before.things,
    books: [...file.books, ...before.books],
    songs: [...file.songs, ...before.songs],
    activities: [...file.activities, ...before.activities],
  };
  for (const [index, entry] of file.sessions.entries()) {
    const segments = entry.parts.map(({ kind, key }, part): Segment => {
      const segment = segmentFor(kind, key, shelf, person);
      if (segment) return segment;
      const path = `sessions[${index}].parts[${part}].key`;
      throw new EdgeError('wrong-input', {
        problems: [{ path, message: `“${key}” is neither on the shelf nor in this file` }],
      });
    });
    const { parts: _, ...session } = entry;
    await addSession(
      person.programmeId,
      { ...session, segments: frameSegments(segments), accepted: [] },
      person.userId,
      transaction,
    );
  }
}
