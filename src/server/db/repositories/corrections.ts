import { Op, QueryTypes } from 'sequelize';
import { now } from '../../clock.ts';
import { ShelfItemRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import type { ActivityEntry } from './shelf.ts';

/** How long a home took for an activity, and what was planned for it then. */
export interface TimedAnswer {
  readonly key: string;
  readonly minutes: number;
  /** What was planned for that home at the level it was done at. */
  readonly planned: number;
}

/** Activities by key, held while there is a transaction. One query. */
export async function readActivities(
  programmeId: string,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<{ key: string; title: string; activity: ActivityEntry }[]> {
  tables();
  const rows = await ShelfItemRow.findAll({
    where: { programmeId, kind: 'activity', key: { [Op.in]: [...keys] } },
    ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
  });
  return rows.map(({ key, title, body }) => ({ key, title, activity: body as unknown as ActivityEntry }));
}

/** Parts that were answered, with the copy of the guide that was answered. */
const TIMED_PARTS = `FROM reply_parts
       JOIN replies ON replies.id = reply_parts.reply_id
       JOIN guide_links ON guide_links.id = replies.link_id
       JOIN guide_copies ON guide_copies.link_id = replies.link_id AND guide_copies.edition = replies.edition`;
/** Those of a programme and of the keys asked for, with planned and real minutes. */
const ASKED_FOR = `guide_links.programme_id = :programmeId AND reply_parts.shelf_key IN (:keys)
        AND reply_parts.minutes IS NOT NULL AND reply_parts.planned_minutes > 0`;

/**
 * Timed answers to activities since their last correction. A guide that went out before that correction was planned
 * without it, so its plan is corrected likewise first. One query.
 */
export function readTimedAnswers(
  programmeId: string,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<TimedAnswer[]> {
  return tables().query<TimedAnswer>(
    `SELECT reply_parts.shelf_key AS key, reply_parts.minutes::float AS minutes,
            (reply_parts.planned_minutes * CASE WHEN guide_copies.sent_at < shelf_items.minutes_corrected_at
               THEN coalesce(shelf_items.corrected_factor, 1) ELSE 1 END)::float AS planned
       ${TIMED_PARTS}
       JOIN shelf_items ON shelf_items.programme_id = guide_links.programme_id AND shelf_items.kind = 'activity' AND shelf_items.key = reply_parts.shelf_key
      WHERE ${ASKED_FOR}
        AND (shelf_items.minutes_corrected_at IS NULL OR replies.replied_at > shelf_items.minutes_corrected_at)`,
    { replacements: { programmeId, keys: [...keys] }, type: QueryTypes.SELECT, transaction },
  );
}

/**
 * Timed answers to parts straight from makers since their last correction, by the name answers are kept under; guides that
 * went out before it are taken as planned with it. One query.
 */
export function readTimedMakerAnswers(
  programmeId: string,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<TimedAnswer[]> {
  return tables().query<TimedAnswer>(
    `SELECT reply_parts.shelf_key AS key, reply_parts.minutes::float AS minutes,
            (reply_parts.planned_minutes * CASE WHEN guide_copies.sent_at < (pace.kept->>'at')::timestamptz
               THEN (pace.kept->>'last')::float ELSE 1 END)::float AS planned
       ${TIMED_PARTS}
       JOIN programmes ON programmes.id = guide_links.programme_id
      CROSS JOIN LATERAL (SELECT programmes.settings->'makerPaces'->reply_parts.shelf_key AS kept) AS pace
      WHERE ${ASKED_FOR}
        AND (pace.kept IS NULL OR replies.replied_at > (pace.kept->>'at')::timestamptz)`,
    { replacements: { programmeId, keys: [...keys] }, type: QueryTypes.SELECT, transaction },
  );
}

/** Writes an activity's corrected minutes, with what they were multiplied by. */
export async function writeCorrection(
  programmeId: string,
  { key, minutes, factor }: { key: string; minutes: ActivityEntry['minutes']; factor: number },
  transaction: Transaction,
): Promise<void> {
  const row = (await ShelfItemRow.findOne({ where: { programmeId, kind: 'activity', key }, transaction }))!;
  const change = { body: { ...row.body, minutes }, minutesCorrectedAt: now(), correctedFactor: factor };
  await row.update({ ...change, revision: row.revision + 1 }, { transaction });
}
