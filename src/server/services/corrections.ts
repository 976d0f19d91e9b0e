import { readActivities, readTimedAnswers, writeCorrection } from '../db/repositories/corrections.ts';
import { inTransaction, type Transaction } from '../db/transaction.ts';
import { correctionFactor, evaluateMinutes, scaleQuantities, spreadOf } from '../../core/time/index.ts';
import { roundTo } from '../../core/numbers/index.ts';
import type { ActivityEntry } from '../db/repositories/shelf.ts';
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

/** Corrections of these activities that answers since the last correction call for; none without answers. */
export async function findCorrections(
  person: Person,
  keys: readonly string[],
  transaction?: Transaction,
): Promise<Correction[]> {
  if (keys.length === 0) return [];
  const rows = await readActivities(person.programmeId, keys, transaction);
  const answers = await readTimedAnswers(person.programmeId, keys, transaction);
  return rows.flatMap((row) => {
    const ratios = answers.filter(({ key }) => key === row.key).map((answer) => answer.minutes / answer.planned);
    const planned = plannedMinutes(row.activity);
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
  return inTransaction(async (transaction) => {
    const [correction] = await findCorrections(person, [key], transaction);
    if (!correction) throw new EdgeError('not-found');
    const [held] = await readActivities(person.programmeId, [key], transaction);
    const { activity } = held!;
    const minutes = {
      ...activity.minutes,
      together: scaleQuantities(activity.minutes.together, correction.factor),
      alone: scaleQuantities(activity.minutes.alone, correction.factor),
    };
    await writeCorrection(person.programmeId, { key, minutes, factor: correction.factor }, transaction);
    return correction;
  });
}
