import { QueryTypes } from 'sequelize';
import type { Audience } from '../../../contracts/audience.ts';
import type { Session } from '../../../core/session/index.ts';
import { readWholeSession } from '../../../core/session/index.ts';
import { tables } from '../tables.ts';
import { isUuid } from '../isUuid.ts';
import type { Transaction } from '../transaction.ts';

/** A part of a sending's homes, which is written in one go. */
export interface ChunkName {
  readonly sendingId: string;
  readonly position: number;
}

/** What is written for a part of a sending's homes. */
export interface HeldChunk extends ChunkName {
  readonly homeIds: readonly string[];
  readonly programmeId: string;
  readonly sessionId: string;
  readonly edition: number;
  readonly sentAt: Date;
  readonly session: Session;
  readonly address: string;
  /** Whom it is for, as it was asked. */
  readonly audience: Audience | Record<string, never>;
}

/** Cuts the homes of a sending into chunks of so many; gives their names. One query. */
export async function addChunks(
  sendingId: string,
  { homeIds, size }: { homeIds: readonly string[]; size: number },
  transaction: Transaction,
): Promise<ChunkName[]> {
  const rows = await tables().query<{ position: number }>(
    `INSERT INTO sending_chunks (sending_id, position, home_ids)
     SELECT :sendingId, (place - 1) / :size AS position, array_agg(id ORDER BY place)
       FROM unnest(CAST(ARRAY[:homeIds] AS uuid[])) WITH ORDINALITY AS listed (id, place) GROUP BY 2
     RETURNING position`,
    { replacements: { sendingId, size, homeIds: [...homeIds] }, type: QueryTypes.SELECT, transaction },
  );
  return rows.map(({ position }) => ({ sendingId, position })).sort((left, right) => left.position - right.position);
}

/** A chunk that nobody has written, held while there is a transaction; null when it is written or its sending was taken back. One query. */
export async function readChunk(
  { sendingId, position }: ChunkName,
  transaction?: Transaction,
): Promise<HeldChunk | null> {
  if (!isUuid(sendingId)) return null;
  const [row] = await tables().query<HeldChunk>(
    `SELECT sending_id AS "sendingId", position, home_ids AS "homeIds", programme_id AS "programmeId", session_id AS "sessionId",
            edition, sent_at AS "sentAt", session, address, audience
       FROM sending_chunks JOIN sendings ON sendings.id = sending_id
      WHERE sending_id = :sendingId AND position = :position AND written_at IS NULL
      ${transaction ? 'FOR UPDATE OF sending_chunks FOR SHARE OF sendings' : ''}`,
    {
      replacements: { sendingId, position },
      type: QueryTypes.SELECT,
      ...(transaction && { transaction }),
    },
  );
  return row ? { ...row, session: readWholeSession(row.session) } : null;
}

/** Says that a chunk is written, and how many of its homes were left out. One query. */
export async function markChunkWritten(
  { sendingId, position }: ChunkName,
  { writtenAt, leftOut }: { writtenAt: Date; leftOut: number },
  transaction: Transaction,
): Promise<void> {
  await tables().query(
    `UPDATE sending_chunks SET written_at = :writtenAt, left_out = :leftOut
      WHERE sending_id = :sendingId AND position = :position`,
    { replacements: { sendingId, position, writtenAt, leftOut }, transaction },
  );
}

/** Chunks of a sending that nobody has written, the first of them; of all sendings without one. One query. */
export function findUnwrittenChunks(most: number): Promise<ChunkName[]> {
  return tables().query<ChunkName>(
    `SELECT sending_id AS "sendingId", position FROM sending_chunks WHERE written_at IS NULL
      ORDER BY sending_id, position LIMIT :most`,
    { replacements: { most }, type: QueryTypes.SELECT },
  );
}

/** How far the newest sending of a session has come: homes that still wait for their guide to be written, and those left out. One query. */
export async function readSendingProgress(sessionId: string): Promise<{ waiting: number; leftOut: number }> {
  const [row] = await tables().query<{ waiting: number; leftOut: number }>(
    `SELECT coalesce(sum(cardinality(home_ids)) FILTER (WHERE written_at IS NULL), 0)::int AS waiting,
            coalesce(sum(left_out), 0)::int AS "leftOut"
       FROM sending_chunks
      WHERE sending_id = (SELECT id FROM sendings WHERE session_id = :sessionId ORDER BY edition DESC LIMIT 1)`,
    { replacements: { sessionId }, type: QueryTypes.SELECT },
  );
  return row!;
}
