import type { KeptDecision } from '../../../contracts/keptDecision.ts';
import { randomUUID } from 'node:crypto';
import { Op, QueryTypes } from 'sequelize';
import type { Guide } from '../../../core/guide/index.ts';
import { readWholeSession, type Session, writeWholeSession } from '../../../core/session/index.ts';
import { GuideCopyRow, GuideLinkRow, SendingRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import { isUuid } from '../isUuid.ts';

/** The newest sending of a session: its edition, and the session as it went out. */
export interface LatestSending {
  readonly edition: number;
  readonly sentAt: Date;
  readonly session: Session;
  /** What was decided about its words before it went. */
  readonly decisions: readonly KeptDecision[];
}

/** The newest sending of a session; null before the first. One query. */
export async function readLatestSending(sessionId: string, transaction?: Transaction): Promise<LatestSending | null> {
  tables();
  const row = await SendingRow.findOne({
    where: { sessionId },
    order: [['edition', 'DESC']],
    ...(transaction && { transaction }),
  });
  return (
    row && {
      edition: row.edition,
      sentAt: row.sentAt,
      session: readWholeSession(row.session),
      decisions: row.decisions,
    }
  );
}

/** The sending that one press made, with how many homes it went to; null when there is none. Two queries. */
export async function findSendingByKey(
  sessionId: string,
  sendKey: string,
  transaction?: Transaction,
): Promise<{ edition: number; homes: number } | null> {
  tables();
  const inside = transaction && { transaction };
  const row = await SendingRow.findOne({ where: { sessionId, sendKey }, ...inside });
  if (!row) return null;
  return { edition: row.edition, homes: await GuideCopyRow.count({ where: { sendingId: row.id }, ...inside }) };
}

/** The newest copy that each of some homes holds by a link that still opens, by the home's id. One query. */
export async function readCopiesHeld(
  programmeId: string,
  sessionId: string,
  homeIds: readonly string[],
): Promise<Map<string, { edition: number; sentAt: Date }>> {
  if (!isUuid(sessionId) || homeIds.length === 0) return new Map();
  const rows = await tables().query<{ homeId: string; edition: number; sentAt: Date }>(
    `SELECT DISTINCT ON (guide_links.home_id) guide_links.home_id AS "homeId", guide_copies.edition, guide_copies.sent_at AS "sentAt"
       FROM guide_links JOIN guide_copies ON guide_copies.link_id = guide_links.id
      WHERE guide_links.session_id = :sessionId AND guide_links.programme_id = :programmeId AND guide_links.revoked_at IS NULL
        AND guide_links.home_id IN (:homeIds)
      ORDER BY guide_links.home_id, guide_copies.edition DESC`,
    { replacements: { sessionId, programmeId, homeIds: [...homeIds] }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ homeId, ...copy }) => [homeId, copy]));
}

/** When each session of a programme last went out, by its id. One query. */
export async function readLastSent(programmeId: string): Promise<Map<string, string>> {
  const rows = await tables().query<{ sessionId: string; sentAt: Date }>(
    'SELECT session_id AS "sessionId", max(sent_at) AS "sentAt" FROM sendings WHERE programme_id = :programmeId GROUP BY session_id',
    { replacements: { programmeId }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ sessionId, sentAt }) => [sessionId, sentAt.toISOString()]));
}

/** Adds a sending; gives its id. */
export async function addSending(
  sending: Pick<
    SendingRow,
    | 'sessionId'
    | 'programmeId'
    | 'edition'
    | 'sentAt'
    | 'sentBy'
    | 'session'
    | 'sendKey'
    | 'address'
    | 'decisions'
    | 'audience'
  >,
  transaction: Transaction,
): Promise<string> {
  const id = randomUUID();
  await SendingRow.create({ id, ...sending, session: writeWholeSession(sending.session) }, { transaction });
  return id;
}

/** The newest sending of a session, held, with its letters that nobody has begun to post and those that somebody has. Two queries. */
export async function holdLatestSending(
  programmeId: string,
  sessionId: string,
  transaction: Transaction,
): Promise<{ id: string; begun: number } | null> {
  tables();
  if (!isUuid(sessionId)) return null;
  const row = await SendingRow.findOne({
    where: { sessionId, programmeId },
    order: [['edition', 'DESC']],
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
  if (!row) return null;
  const [counted] = await tables().query<{ begun: string }>(
    `SELECT (SELECT count(*) FROM messages WHERE sending_id = :id AND (state <> 'waiting' OR tries > 0))
          + (SELECT count(*) FROM replies JOIN guide_copies USING (link_id, edition) WHERE sending_id = :id) AS begun`,
    { replacements: { id: row.id }, type: QueryTypes.SELECT, transaction },
  );
  return { id: row.id, begun: Number(counted!.begun) };
}

/** Takes a sending away with its letters, its copies, and the links that lead to nothing else. Four queries. */
export async function removeSending(id: string, transaction: Transaction): Promise<void> {
  const run = (sql: string) => tables().query(sql, { replacements: { id }, transaction });
  await run('DELETE FROM messages WHERE sending_id = :id');
  await run(
    `DELETE FROM guide_links USING guide_copies copies WHERE copies.link_id = guide_links.id AND copies.sending_id = :id
       AND NOT EXISTS (SELECT 1 FROM guide_copies others WHERE others.link_id = guide_links.id AND others.sending_id <> :id)`,
  );
  await run('DELETE FROM guide_copies WHERE sending_id = :id');
  await run('DELETE FROM sendings WHERE id = :id');
}

/** The links of a session that still open, by the home's id. One query. */
export async function readOpenLinks(
  sessionId: string,
  homeIds: readonly string[],
  transaction: Transaction,
): Promise<Map<string, string>> {
  const where = { sessionId, revokedAt: null, homeId: { [Op.in]: [...homeIds] } };
  const rows = await GuideLinkRow.findAll({ where, transaction });
  return new Map(rows.map(({ homeId, id }) => [homeId, id]));
}

/** Adds links of homes to a session. One query. */
export async function addLinks(
  links: readonly {
    readonly id: string;
    readonly programmeId: string;
    readonly sessionId: string;
    readonly homeId: string;
    readonly tokenHash: string;
    readonly createdAt: Date;
  }[],
  transaction: Transaction,
): Promise<void> {
  await GuideLinkRow.bulkCreate(
    links.map((link) => ({ ...link, revokedAt: null })),
    { transaction },
  );
}

/** Fixes copies of guides as they go out. One query. */
export async function addCopies(
  copies: readonly {
    readonly linkId: string;
    readonly sendingId: string;
    readonly edition: number;
    readonly guide: Guide;
    readonly language: GuideCopyRow['language'];
    readonly sentAt: Date;
  }[],
  transaction: Transaction,
): Promise<void> {
  await GuideCopyRow.bulkCreate([...copies], { transaction });
}
