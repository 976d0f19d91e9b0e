import { randomUUID } from 'node:crypto';
import { Op, QueryTypes, Sequelize } from 'sequelize';
import { now } from '../../clock.ts';
import { GuideLinkRow, MessageRow } from '../models.ts';
import { tables } from '../tables.ts';
import { isUuid } from '../isUuid.ts';
import type { Transaction } from '../transaction.ts';

/** Where a letter stands: `unclear` when nobody knows whether it went out. */
export type MessageState = MessageRow['state'];

/** A letter of the outbox, with the facts it is written from. */
export interface OutboxMessage {
  readonly id: string;
  readonly linkId: string | null;
  readonly personLinkId: string | null;
  readonly recipient: string;
  readonly subject: string;
  readonly facts: object;
  readonly tries: number;
  /** When it was first tried; null before. */
  readonly firstTriedAt: Date | null;
  /** When it is tried again, where it waits for that. */
  readonly nextTryAt: Date | null;
  readonly state: MessageState;
  readonly mailId: string | null;
}

export const toMessage = (row: MessageRow): OutboxMessage => ({
  id: row.id,
  linkId: row.linkId,
  personLinkId: row.personLinkId,
  recipient: row.recipient,
  subject: row.subject,
  facts: row.facts,
  tries: row.tries,
  state: row.state,
  mailId: row.mailId,
  firstTriedAt: row.firstTriedAt,
  nextTryAt: row.nextTryAt,
});

/** A letter to be written into the outbox. */
export interface NewMessage {
  readonly programmeId: string | null;
  readonly linkId?: string;
  readonly sendingId?: string;
  readonly personLinkId?: string;
  readonly recipient: string;
  readonly subject: string;
  readonly facts: object;
}

/** Puts letters into the outbox, waiting until a moment; gives their ids in order. One query. */
export async function addMessages(
  messages: readonly NewMessage[],
  { from, transaction }: { from: Date; transaction: Transaction },
): Promise<string[]> {
  const rows = messages.map((message) => ({
    id: randomUUID(),
    ...message,
    state: 'waiting',
    nextTryAt: from,
    mailId: null,
    sentAt: null,
  }));
  await MessageRow.bulkCreate(rows, { transaction });
  return rows.map(({ id }) => id);
}

/** A letter by its id. One query. */
export async function readMessage(id: string): Promise<OutboxMessage> {
  return toMessage((await MessageRow.findByPk(id))!);
}

/** Marks a letter as being posted, if it stands in one of these states and its time has come; whether it did. */
export async function beginMessage(id: string, from: readonly MessageState[]): Promise<boolean> {
  tables();
  const [claimed] = await MessageRow.update(
    {
      state: 'posting',
      tries: Sequelize.literal('tries + 1'),
      changedAt: now(),
      firstTriedAt: Sequelize.fn('coalesce', Sequelize.col('first_tried_at'), now()),
    },
    { where: { id, state: [...from], nextTryAt: { [Op.or]: [null, { [Op.lte]: now() }] } } },
  );
  return claimed === 1;
}

/** Says of a letter that somebody began to post that its fate is unknown. */
export async function markUnclear(id: string): Promise<void> {
  await MessageRow.update({ state: 'unclear', changedAt: now() }, { where: { id, state: 'posting' } });
}

/** Writes down what became of a letter that was being posted. */
export async function settleMessage(
  id: string,
  state: 'sent' | 'failed' | 'waiting' | 'unclear',
  { mailId, nextTryAt = null }: { readonly mailId?: string; readonly nextTryAt?: Date | null } = {},
): Promise<void> {
  await MessageRow.update(
    { state, nextTryAt, changedAt: now(), ...(mailId !== undefined && { mailId, sentAt: now() }) },
    { where: { id, state: ['posting', 'unclear'] } },
  );
}

/** Whether a home's link still opens. One query. */
export async function isLinkOpen(linkId: string): Promise<boolean> {
  return (await GuideLinkRow.count({ where: { id: linkId, revokedAt: null } })) > 0;
}

/** What a sweep takes up at once; the next one goes on. */
const MOST_AT_ONCE = 2000;

/**
 * Letters whose next try has come, those that were never tried though their job is long due, and those that somebody
 * began before a moment (or ever, with `anew`). One query.
 */
export async function findLeftMessages({
  anew,
  longAgo,
  longDue,
}: {
  anew: boolean;
  longAgo: Date;
  longDue: Date;
}): Promise<{ id: string; tries: number }[]> {
  return tables().query<{ id: string; tries: number }>(
    `SELECT id, tries FROM messages
      WHERE (state = 'waiting' AND (next_try_at IS NULL OR next_try_at <= CASE WHEN tries = 0 THEN :longDue::timestamptz ELSE :now::timestamptz END))
         OR (state = 'posting' AND (:anew OR changed_at < :longAgo))
      ORDER BY changed_at LIMIT ${MOST_AT_ONCE}`,
    { replacements: { anew, longAgo, longDue, now: now() }, type: QueryTypes.SELECT },
  );
}

/** Letters that wait. One query. */
export async function findWaitingMessages(): Promise<string[]> {
  tables();
  const rows = await MessageRow.findAll({ where: { state: 'waiting' }, attributes: ['id'] });
  return rows.map(({ id }) => id);
}

/** Lets every letter of a session that did not go out for certain wait again; gives their ids. One query. */
export async function retryFailedMessages(
  programmeId: string,
  sessionId: string,
  transaction: Transaction,
): Promise<string[]> {
  if (!isUuid(sessionId)) return [];
  const [rows] = await tables().query(
    `UPDATE messages SET state = 'waiting', tries = 0, first_tried_at = NULL, next_try_at = :now, changed_at = :now
       FROM guide_links
      WHERE messages.link_id = guide_links.id AND guide_links.session_id = :sessionId AND guide_links.revoked_at IS NULL
        AND messages.programme_id = :programmeId AND messages.state = 'failed' AND messages.recipient <> ''
        AND messages.id = (SELECT newest.id FROM messages newest JOIN sendings ON sendings.id = newest.sending_id
                            WHERE newest.link_id = guide_links.id ORDER BY sendings.edition DESC LIMIT 1)
      RETURNING messages.id`,
    { replacements: { programmeId, sessionId, now: now() }, transaction },
  );
  return (rows as { id: string }[]).map(({ id }) => id);
}

/** Lets a letter of a programme that did not go out wait again; whether there was one. */
export async function retryMessage(programmeId: string, id: string, transaction: Transaction): Promise<boolean> {
  const [changed] = await MessageRow.update(
    { state: 'waiting', tries: 0, firstTriedAt: null, nextTryAt: null, changedAt: now() },
    { where: { id, programmeId, state: { [Op.in]: ['failed', 'unclear'] } }, transaction },
  );
  return changed > 0;
}
