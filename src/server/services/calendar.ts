import { addFeed, endFeeds, findFeed, findProgrammeOfFeed } from '../db/repositories/calendarFeeds.ts';
import { findProgramme } from '../db/repositories/programmes.ts';
import { randomUUID } from 'node:crypto';
import { dueItemInPlain } from '../../messages/today.ts';
import { now, timeZone } from '../clock.ts';
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
    timeZone: timeZone(person.settings),
    addressOf: ({ stage, sessionId }) => `${address}${stage === 'bench' ? `/sessions/${sessionId}` : `/term/${term}`}`,
    madeAt: now(),
  });
}

/** The secret path of the programme's feed; null while there is none, and for who only reads. */
export async function readFeedPath(person: Person): Promise<string | null> {
  if (person.role === 'reader') return null;
  const row = await findFeed(person.programmeId);
  return row ? pathOf(row.id) : null;
}

/** Makes a new secret address; one there was before stops working. */
export async function renewFeed(person: Person): Promise<string> {
  await revokeFeed(person);
  const id = randomUUID();
  await addFeed(person.programmeId, { id, tokenHash: hashToken(feedToken(id)) });
  return pathOf(id);
}

/** Ends the feed: its address answers no more. */
export async function revokeFeed(person: Person): Promise<void> {
  requireAuthor(person);
  await endFeeds(person.programmeId);
}

/** The calendar behind a secret address. */
export async function openFeed(token: string, address: string): Promise<string> {
  const programmeId = await findProgrammeOfFeed(hashToken(token));
  const programme = programmeId && (await findProgramme(programmeId));
  if (!programme) throw new EdgeError('not-found');
  return writeCalendar({ programmeId: programme.id, programme: programme.name, settings: programme.settings }, address);
}

function pathOf(feedId: string): string {
  return `/calendar/${feedToken(feedId)}.ics`;
}
