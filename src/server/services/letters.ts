import {
  addMessages,
  beginMessage,
  findLeftMessages,
  findWaitingMessages,
  isLinkOpen,
  markUnclear,
  type NewMessage,
  readMessage,
  retryFailedMessages,
  retryMessage,
  settleMessage,
  type OutboxMessage,
} from '../db/repositories/messages.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import type { GuideLanguage } from '../../core/languages.ts';
import { randomUUID } from 'node:crypto';
import { now } from '../clock.ts';
import { personLetter } from '../../messages/personLetters.ts';
import type { GuideChange } from '../../core/guide/index.ts';
import { listOf } from '../../core/message.ts';
import { guideWords, type GuideWords } from '../../messages/guideWords.ts';
import { EdgeError } from '../http/errors.ts';
import { guideToken, personToken } from '../http/secrets.ts';
import { log } from '../log.ts';
import { mail, readFailure, type Letter } from '../post/mail.ts';
import { enqueue, handBack, jobNamed } from '../db/queue.ts';
import { requireAuthor, type Person } from './person.ts';

/** What a letter about a guide is written from; its link is made when it is posted, so that no secret is stored. */
interface GuideLetterFacts {
  readonly home: string;
  readonly title: string;
  readonly on: string;
  readonly programme: string;
  readonly language: GuideLanguage;
  readonly address: string;
  /** What is otherwise than in the guide the home had; absent in a first letter. */
  readonly changes?: readonly GuideChange[] | undefined;
}

/** What a letter to a colleague is written from. */
export interface PersonLetterFacts {
  readonly kind: 'invite' | 'reset';
  readonly programme: string;
  readonly name: string;
  readonly by: string;
  readonly address: string;
}

/** What a letter with a second link is written from, by which a home has everything deleted. */
interface ForgetLetterFacts {
  readonly kind: 'forget';
  readonly home: string;
  readonly programme: string;
  readonly language: GuideLanguage;
  readonly address: string;
}

/** Minutes until a letter that a mail server did not take at this moment is tried again, try by try; then the last again. */
const MINUTES_BETWEEN_TRIES = [1, 2, 5, 10, 20, 40, 60, 120, 180];
/** A letter that nobody took for so long is given up. */
const HOURS_OF_TRYING = 24;
const MINUTE_MS = 60_000;
/** After so long nobody is at work on a letter any more. */
const SECONDS_AT_WORK = 60;
/** A letter that was never tried so long after its time has lost its job. */
const MINUTES_UNTIL_LOST = 10;

/** Puts letters into outbox and queue as part of a transaction, to leave after so many seconds. */
export async function queueLetters(
  messages: readonly NewMessage[],
  { transaction, afterSeconds = 0 }: { transaction: Transaction; afterSeconds?: number },
): Promise<void> {
  const from = new Date(now().getTime() + afterSeconds * 1000);
  const ids = await addMessages(messages, { from, transaction });
  // The queue goes by the database's clock.
  const startAfter = new Date(Date.now() + afterSeconds * 1000);
  await enqueue(
    'letters',
    ids.map((id) => ({ id, data: { message: id } })),
    { transaction, ...(afterSeconds > 0 && { startAfter }) },
  );
}

/**
 * Posts one letter, once. Whoever begins marks it; one that was begun and never ended is handed over again only to a
 * service that takes a key once, and is otherwise marked as perhaps sent. What the server does not take at this moment
 * waits for its next try, for a day.
 */
export async function postLetter(id: string): Promise<void> {
  const service = mail();
  if (!(await claim(id, service.takesKeyOnce))) return;
  const row = await readMessage(id);
  const letter = writeLetter(row);
  if (!letter.to || (await isWorthless(row))) return settleMessage(id, 'failed');
  let mailId: string;
  try {
    mailId = await service.send(letter, id);
  } catch (error) {
    const failure = readFailure(error);
    log.warn({ err: failureFacts(error), message: id, failure }, 'a letter could not be posted');
    const nextTryAt = failure === 'not-now' ? nextTry(row) : null;
    if (nextTryAt) return settleMessage(id, 'waiting', { nextTryAt });
    return settleMessage(id, failure === 'unclear' ? 'unclear' : 'failed');
  }
  // A step of its own: what fails here says nothing about the letter, which has gone.
  await settleMessage(id, 'sent', { mailId });
}

/** What may be logged of why a server did not take a letter: never an address, which its answer may repeat. */
function failureFacts(error: unknown): object {
  const { code, responseCode, command } = error as { code?: string; responseCode?: number; command?: string };
  return { code, responseCode, command: command?.split(' ')[0] };
}

/** When a letter is tried again; null when that has been done for a day. */
function nextTry({ tries, firstTriedAt }: OutboxMessage): Date | null {
  const minutes = MINUTES_BETWEEN_TRIES[Math.min(tries, MINUTES_BETWEEN_TRIES.length) - 1]!;
  const next = new Date(now().getTime() + minutes * MINUTE_MS);
  const last = (firstTriedAt ?? now()).getTime() + HOURS_OF_TRYING * 60 * MINUTE_MS;
  return next.getTime() <= last ? next : null;
}

/** Takes a letter to post it; false when it is sent, given up, or its fate is unclear. */
async function claim(id: string, takesKeyOnce: boolean): Promise<boolean> {
  if (await beginMessage(id, takesKeyOnce ? ['waiting', 'posting'] : ['waiting'])) return true;
  if (!takesKeyOnce) await markUnclear(id);
  return false;
}

/** Whether a letter would carry a link that opens nothing any more. */
async function isWorthless({ linkId }: OutboxMessage): Promise<boolean> {
  return linkId !== null && !(await isLinkOpen(linkId));
}

/** The letter of a row of the outbox as it goes out; null for one from before letters were written when posted. */
export function readLetter(row: OutboxMessage): Letter | null {
  return Object.keys(row.facts).length > 0 ? writeLetter(row) : null;
}

function writeLetter({ recipient, subject, linkId, personLinkId, facts }: OutboxMessage): Letter {
  if (personLinkId) {
    const token = personToken(personLinkId);
    const said = facts as PersonLetterFacts | ForgetLetterFacts;
    return said.kind === 'forget'
      ? { to: recipient, subject, text: forgetLetter(said, token) }
      : { to: recipient, ...personLetter(said, token) };
  }
  const { language, on: day, address, changes, ...said } = facts as GuideLetterFacts;
  const words = guideWords(language);
  const link = `${address}/g/${guideToken(linkId!)}`;
  const on = words.date(day);
  const text = changes
    ? words.say('letterAgain', {
        ...said,
        on,
        link,
        changes: listOf(changes.map((change) => changeInWords(change, words))),
      })
    : words.say('letter', { ...said, on, link });
  return { to: recipient, subject, text };
}

function changeInWords(change: GuideChange, words: GuideWords): string {
  return 'title' in change
    ? words.say(`changes.${change.code}`, { title: change.title })
    : words.say(`changes.${change.code}`);
}

function forgetLetter({ home, programme, language, address }: ForgetLetterFacts, token: string): string {
  return guideWords(language).say('forgetLetter', { home, programme, link: `${address}/forget/${token}` });
}

/**
 * Queues what is due: letters whose next try has come, and those that a crash left behind, which somebody began and never
 * ended. However often this is called, and by however many, a letter has one job. Gives how many are due.
 */
export async function recoverLetters(): Promise<number> {
  const longAgo = new Date(now().getTime() - SECONDS_AT_WORK * 1000);
  const longDue = new Date(now().getTime() - MINUTES_UNTIL_LOST * MINUTE_MS);
  const left = await findLeftMessages({ anew: mail().takesKeyOnce, longAgo, longDue });
  const atWork = await handBack(
    'letters',
    'message',
    left.map(({ id }) => id),
  );
  const withoutJob = left.filter(({ id }) => !atWork.has(id));
  await enqueue(
    'letters',
    withoutJob.map(({ id, tries }) => ({ id: jobOf(id, tries), data: { message: id } })),
  );
  return left.length;
}

/** The id of the job of one try: the same within an hour, so that a job that itself was lost is made anew after that. */
function jobOf(message: string, tries: number): string {
  return jobNamed(message, tries, Math.floor(now().getTime() / (60 * MINUTE_MS)));
}

/** Posts everything that waits, here and now: for commands that have no queue at work beside them. */
export async function postWaiting(): Promise<void> {
  for (const id of await findWaitingMessages()) await postLetter(id).catch(() => undefined);
}

/** Sends a letter again that did not go out, or of which nobody knows: an author decides that, never the program. */
export async function tryAgain(person: Person, messageId: string): Promise<void> {
  requireAuthor(person);
  await inTransaction(async (transaction) => {
    if (!(await retryMessage(person.programmeId, messageId, transaction))) throw new EdgeError('not-found');
    await enqueue('letters', [{ id: randomUUID(), data: { message: messageId } }], { transaction });
  });
}

/** Sends again every letter of a session that no server took; those of which nobody knows are left. Gives how many. */
export async function tryAllAgain(person: Person, sessionId: string): Promise<number> {
  requireAuthor(person);
  return inTransaction(async (transaction) => {
    const ids = await retryFailedMessages(person.programmeId, sessionId, transaction);
    await enqueue(
      'letters',
      ids.map((id) => ({ id: randomUUID(), data: { message: id } })),
      { transaction },
    );
    return ids.length;
  });
}
