import { evaluateMinutes } from '../../core/time/segmentMinutes.ts';
import { roundTo } from '../../core/numbers/rounding.ts';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { correctionFactor, scaleQuantities } from '../../core/time/calibrate.ts';
import { spreadOf } from '../../core/time/minutes.ts';
import { now } from '../clock.ts';
import { ShelfItemRow } from '../db/models.ts';
import type { ActivityEntry } from '../db/repositories/shelf.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { requireAuthor, type Person } from './person.ts';

/** A correction of an activity's minutes that homes' answers call for. */
export interface Correction {
  readonly key: string;
  readonly title: string;
  readonly planned: number;
  readonly likely: number;
  readonly factor: number;
  readonly homes: number;
}

interface TimedAnswer {
  readonly key: string;
  readonly minutes: number;
  /** What was planned for that home at the level it was done at. */
  readonly planned: number;
}

/** Corrections of these activities that answers since the last correction call for; none without answers. */
export async function findCorrections(
  person: Person,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<Correction[]> {
  if (keys.length === 0) return [];
  const where = { programmeId: person.programmeId, kind: 'activity', key: { [Op.in]: [...keys] } };
  const rows = await ShelfItemRow.findAll({
    where,
    ...(transaction && { transaction, lock: transaction.LOCK.UPDATE }),
  });
  // A guide that went out before the last correction was planned without it, so its plan is corrected likewise first.
  const answers = await tables().query<TimedAnswer>(
    `SELECT reply_parts.shelf_key AS key, reply_parts.minutes::float AS minutes,
            (reply_parts.planned_minutes * CASE WHEN guide_copies.sent_at < shelf_items.minutes_corrected_at
               THEN coalesce(shelf_items.corrected_factor, 1) ELSE 1 END)::float AS planned
       FROM reply_parts
       JOIN replies ON replies.id = reply_parts.reply_id
       JOIN guide_links ON guide_links.id = replies.link_id
       JOIN guide_copies ON guide_copies.link_id = replies.link_id AND guide_copies.edition = replies.edition
       JOIN shelf_items ON shelf_items.programme_id = guide_links.programme_id AND shelf_items.kind = 'activity' AND shelf_items.key = reply_parts.shelf_key
      WHERE guide_links.programme_id = :programmeId AND reply_parts.shelf_key IN (:keys)
        AND reply_parts.minutes IS NOT NULL AND reply_parts.planned_minutes > 0
        AND (shelf_items.minutes_corrected_at IS NULL OR replies.replied_at > shelf_items.minutes_corrected_at)`,
    { replacements: { programmeId: person.programmeId, keys: [...keys] }, type: QueryTypes.SELECT, transaction },
  );
  return rows.flatMap((row) => {
    const ratios = answers.filter(({ key }) => key === row.key).map((answer) => answer.minutes / answer.planned);
    const planned = plannedMinutes(row.body as unknown as ActivityEntry);
    if (ratios.length === 0 || planned === 0) return [];
    const factor = roundTo(correctionFactor(ratios, person.settings.calibrationWeight), 3);
    return [
      { key: row.key, title: row.title, planned, likely: roundTo(planned * factor, 1), factor, homes: ratios.length },
    ];
  });
}

/** What an activity on the shelf plans for a child, with its dials as they stand: minutes, one decimal. */
function plannedMinutes(activity: ActivityEntry): number {
  const { together, alone } = evaluateMinutes(activity);
  return roundTo(spreadOf(together).mean + spreadOf(alone).mean, 1);
}

/**
 * Takes a correction into the shelf: the activity's minutes, together and alone, for every session it is put into from
 * now on. The entry is held meanwhile, so that a second press, or somebody's change, neither repeats nor undoes it.
 */
export async function adoptCorrection(person: Person, key: string): Promise<Correction> {
  requireAuthor(person);
  return tables().transaction(async (transaction) => {
    const [correction] = await findCorrections(person, [key], transaction);
    if (!correction) throw new EdgeError('not-found');
    const where = { programmeId: person.programmeId, kind: 'activity', key };
    const row = (await ShelfItemRow.findOne({ where, transaction }))!;
    const activity = row.body as unknown as ActivityEntry;
    const minutes = {
      ...activity.minutes,
      together: scaleQuantities(activity.minutes.together, correction.factor),
      alone: scaleQuantities(activity.minutes.alone, correction.factor),
    };
    await row.update(
      {
        body: { ...row.body, minutes },
        minutesCorrectedAt: now(),
        correctedFactor: correction.factor,
        revision: row.revision + 1,
      },
      { transaction },
    );
    return correction;
  });
}
