import { Op, QueryTypes } from 'sequelize';
import { readStoredEntry, writeStoredEntry } from '../../../core/shelf/index.ts';
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
  return rows.map(({ key, title, body }) => ({ key, title, activity: readStoredEntry<ActivityEntry>(body) }));
}

/** Where a correction is kept: the tables that hold it, when it was made, and what minutes were multiplied by. */
interface CorrectionPlace {
  readonly join: string;
  readonly at: string;
  readonly factor: string;
}

/** A shelf entry keeps its own. */
const ON_THE_SHELF: CorrectionPlace = {
  join: `JOIN shelf_items ON shelf_items.programme_id = guide_links.programme_id AND shelf_items.kind = 'activity' AND shelf_items.key = reply_parts.shelf_key`,
  at: 'shelf_items.minutes_corrected_at',
  factor: 'coalesce(shelf_items.corrected_factor, 1)',
};

/** Those of makers stand in the settings of the programme. */
const IN_THE_PROGRAMME: CorrectionPlace = {
  join: `JOIN programmes ON programmes.id = guide_links.programme_id
      CROSS JOIN LATERAL (SELECT programmes.settings->'makerPaces'->reply_parts.shelf_key AS kept) AS pace`,
  at: "(pace.kept->>'at')::timestamptz",
  factor: "(pace.kept->>'last')::float",
};

/** Timed answers since the last correction; what was planned before it is taken as planned with it. One query. */
function readTimed(
  { join, at, factor }: CorrectionPlace,
  { programmeId, keys, transaction }: { programmeId: string; keys: readonly string[]; transaction?: Transaction },
): Promise<TimedAnswer[]> {
  return tables().query<TimedAnswer>(
    `SELECT reply_parts.shelf_key AS key, reply_parts.minutes::float AS minutes,
            (reply_parts.planned_minutes * CASE WHEN guide_copies.sent_at < ${at} THEN ${factor} ELSE 1 END)::float AS planned
       FROM reply_parts
       JOIN replies ON replies.id = reply_parts.reply_id
       JOIN guide_links ON guide_links.id = replies.link_id
       JOIN guide_copies ON guide_copies.link_id = replies.link_id AND guide_copies.edition = replies.edition
       ${join}
      WHERE guide_links.programme_id = :programmeId AND reply_parts.shelf_key IN (:keys)
        AND reply_parts.minutes IS NOT NULL AND reply_parts.planned_minutes > 0
        AND (${at} IS NULL OR replies.replied_at > ${at})`,
    { replacements: { programmeId, keys: [...keys] }, type: QueryTypes.SELECT, transaction },
  );
}

/** Timed answers to activities since their last correction, by their keys. One query. */
export function readTimedAnswers(
  programmeId: string,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<TimedAnswer[]> {
  return readTimed(ON_THE_SHELF, { programmeId, keys, ...(transaction && { transaction }) });
}

/** Timed answers to parts straight from makers since their last correction, by the name answers are kept under. One query. */
export function readTimedMakerAnswers(
  programmeId: string,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<TimedAnswer[]> {
  return readTimed(IN_THE_PROGRAMME, { programmeId, keys, ...(transaction && { transaction }) });
}

/** Writes an activity's corrected minutes, with what they were multiplied by. */
export async function writeCorrection(
  programmeId: string,
  { key, minutes, factor }: { key: string; minutes: ActivityEntry['minutes']; factor: number },
  transaction: Transaction,
): Promise<void> {
  const row = (await ShelfItemRow.findOne({ where: { programmeId, kind: 'activity', key }, transaction }))!;
  const change = {
    body: writeStoredEntry({ ...readStoredEntry(row.body), minutes }),
    minutesCorrectedAt: now(),
    correctedFactor: factor,
  };
  await row.update({ ...change, revision: row.revision + 1 }, { transaction });
}
