import { randomUUID } from 'node:crypto';
import { readSettings } from '../../contracts/programme.ts';
import { dueItemInPlain } from '../../messages/today.ts';
import { now, timeZone } from '../clock.ts';
import { CalendarFeedRow, ProgrammeRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { feedToken, hashToken } from '../http/secrets.ts';
import { calendarFile } from '../post/calendarFile.ts';
import { requireAuthor, type Person } from './person.ts';
import { readDue } from './preparations.ts';

/** Everything due in a programme as a calendar file; `address` is where Footstool is served. */
export async function writeCalendar(
  person: Pick<Person, 'programmeId' | 'programme' | 'settings'>,
  address: string,
): Promise<string> {
  const { due, terms } = await readDue(person);
  const term = terms.at(-1)?.id;
  return calendarFile({
    name: person.programme,
    due,
    describe: dueItemInPlain,
    timeZone: timeZone(),
    addressOf: ({ stage, sessionId }) => `${address}${stage === 'bench' ? `/bench/${sessionId}` : `/term/${term}`}`,
    madeAt: now(),
  });
}

/** The secret path of the programme's feed; null while there is none, and for who only reads. */
export async function readFeedPath(person: Person): Promise<string | null> {
  if (person.role === 'reader') return null;
  tables();
  const row = await CalendarFeedRow.findOne({ where: { programmeId: person.programmeId, revokedAt: null } });
  return row ? pathOf(row.id) : null;
}

/** Makes a new secret address; one there was before stops working. */
export async function renewFeed(person: Person): Promise<string> {
  await revokeFeed(person);
  const id = randomUUID();
  await CalendarFeedRow.create({
    id,
    programmeId: person.programmeId,
    tokenHash: hashToken(feedToken(id)),
    createdAt: now(),
    revokedAt: null,
  });
  return pathOf(id);
}

/** Ends the feed: its address answers no more. */
export async function revokeFeed(person: Person): Promise<void> {
  requireAuthor(person);
  tables();
  await CalendarFeedRow.update({ revokedAt: now() }, { where: { programmeId: person.programmeId, revokedAt: null } });
}

/** The calendar behind a secret address. */
export async function openFeed(token: string, address: string): Promise<string> {
  tables();
  const feed = await CalendarFeedRow.findOne({ where: { tokenHash: hashToken(token), revokedAt: null } });
  const programme = feed && (await ProgrammeRow.findByPk(feed.programmeId));
  if (!programme) throw new EdgeError('not-found');
  return writeCalendar(
    { programmeId: programme.id, programme: programme.name, settings: readSettings(programme.settings) },
    address,
  );
}

function pathOf(feedId: string): string {
  return `/calendar/${feedToken(feedId)}.ics`;
}
