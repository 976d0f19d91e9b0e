import { randomUUID } from 'node:crypto';
import { guideWords } from '../../messages/guideWords.ts';
import { now, today } from '../clock.ts';
import {
  readHomeOfLink,
  readHomeToForget,
  removeHome,
  removeWhatIsOver,
  type HomeOfLink,
} from '../db/repositories/kept.ts';
import { addLink } from '../db/repositories/personLinks.ts';
import { inTransaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken, personToken } from '../http/secrets.ts';
import { log } from '../log.ts';
import { mail } from '../post/mail.ts';
import { printer } from '../print/printer.ts';
import { queueLetters } from './letters.ts';
import { requireAuthor, type Person } from './person.ts';
import { findLink, takeLink } from './personLinks.ts';
import { hasTriesLeft } from './tries.ts';

const HOURS_TO_FORGET = 24;
const MS_PER_HOUR = 3_600_000;
/** So many sessions are cleared in one go; the next hour goes on. */
const SESSIONS_AT_ONCE = 50;

/** What is kept of the home of a link; null for a link that opens nothing. */
export function readKept(token: string): Promise<HomeOfLink | null> {
  return /^[A-Za-z0-9_-]{43}$/.test(token) ? readHomeOfLink(hashToken(token)) : Promise.resolve(null);
}

/** Whether letters can reach a home: what stands as its address is one. */
export function hasAddress({ contact }: Pick<HomeOfLink, 'contact'>): boolean {
  return /^\S+@\S+$/.test(contact);
}

/**
 * Sends a link by which everything is deleted to a home's own address: a guide's link may have been passed on, so it deletes
 * nothing itself. Asked for again and again it goes out three times an hour at most, and says so to nobody.
 */
export async function askToForget(token: string, address: string): Promise<void> {
  const home = await readKept(token);
  if (!home || !hasAddress(home)) throw new EdgeError('not-found');
  if (!(await hasTriesLeft('letter', `forget/${home.homeId}`))) return;
  const id = randomUUID();
  const { nickname, language, programme, programmeId, contact, homeId } = home;
  await inTransaction(async (transaction) => {
    const at = new Date();
    await addLink(
      {
        id,
        kind: 'forget',
        homeId,
        tokenHash: hashToken(personToken(id)),
        programmeId,
        userId: null,
        email: contact.toLowerCase(),
        name: nickname,
        role: null,
        createdAt: at,
        createdBy: null,
        expiresAt: new Date(at.getTime() + HOURS_TO_FORGET * MS_PER_HOUR),
      },
      transaction,
    );
    const facts = { kind: 'forget' as const, home: nickname, programme, language, address };
    const subject = guideWords(language).say('forgetSubject', { programme });
    await queueLetters([{ programmeId, personLinkId: id, recipient: contact, subject, facts }], { transaction });
  });
}

/** The home that a second link is for; null when the link ended, was used, or never was. */
export async function findToForget(token: string): Promise<HomeOfLink | null> {
  const link = await findLink(token, 'forget');
  return link && readHomeToForget(link.id);
}

/** Deletes everything that is kept of the home of a second link. */
export async function forgetByLink(token: string): Promise<void> {
  const link = await findLink(token, 'forget');
  const home = link && (await readHomeToForget(link.id));
  if (!link || !home) throw new EdgeError('not-found');
  await forget(home.programmeId, home.homeId, link);
}

/** Deletes a home for good, with everything it was sent and answered. Backups from before hold it until they are cleared away. */
export async function forgetHome(person: Person, id: string): Promise<void> {
  requireAuthor(person);
  await forget(person.programmeId, id);
}

async function forget(programmeId: string, homeId: string, link?: Parameters<typeof takeLink>[0]): Promise<void> {
  const left = await inTransaction(async (transaction) => {
    if (link) await takeLink(link, transaction);
    return removeHome(programmeId, homeId, transaction);
  });
  if (!left) throw new EdgeError('not-found');
  for (const id of left.letters) await mail().remove(id);
  for (const id of left.prints) await printer().remove(id);
}

/** Deletes guides and answers that were kept as long as their programme keeps them. Gives for how many sessions. */
export async function forgetWhatIsOver(): Promise<number> {
  const { sessions, letters } = await inTransaction((transaction) =>
    removeWhatIsOver(today(), SESSIONS_AT_ONCE, transaction),
  );
  for (const id of letters) await mail().remove(id);
  if (sessions > 0) log.info({ sessions, at: now() }, 'guides and answers that were kept long enough are deleted');
  return sessions;
}
