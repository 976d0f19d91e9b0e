import { Op } from 'sequelize';
import type { TrayChoice } from '../../../contracts/tray.ts';
import { PrintJobRow } from '../models.ts';
import { tables } from '../tables.ts';
import type { Transaction } from '../transaction.ts';
import { isUuid } from '../isUuid.ts';

/** A job of the printer, and how far it has come. */
export interface StoredJob {
  readonly id: string;
  readonly programmeId: string;
  readonly sessionId: string | null;
  readonly title: string;
  readonly state: 'waiting' | 'done' | 'failed';
  readonly pages: number;
  readonly bytes: number;
  readonly choice: TrayChoice | null;
  readonly done: number;
  readonly total: number;
  readonly createdAt: Date;
  /** When the file was deleted. */
  readonly removedAt: Date | null;
  /** When somebody was last at work on it. */
  readonly workedAt: Date | null;
}

const toJob = (row: PrintJobRow): StoredJob => row.get({ plain: true }) as StoredJob;

/** Adds a job that waits. */
export async function addJob(
  job: Pick<StoredJob, 'id' | 'programmeId' | 'sessionId' | 'title' | 'choice' | 'total' | 'createdAt'> & {
    readonly createdBy: string;
  },
  transaction: Transaction,
): Promise<void> {
  await PrintJobRow.create({ ...job, state: 'waiting', pages: 0, bytes: 0, done: 0, removedAt: null }, { transaction });
}

/** A job of a programme; null when it is not there. One query. */
export async function findJob(programmeId: string, id: string): Promise<StoredJob | null> {
  tables();
  const row = isUuid(id) ? await PrintJobRow.findOne({ where: { id, programmeId } }) : null;
  return row && toJob(row);
}

/** The newest jobs of a programme, at most so many. One query. */
export async function readJobs(programmeId: string, most: number): Promise<StoredJob[]> {
  tables();
  const rows = await PrintJobRow.findAll({ where: { programmeId }, order: [['createdAt', 'DESC']], limit: most });
  return rows.map(toJob);
}

/** Takes a job that waits, unless somebody was at work on it after `since`; null then, or when it is done. One query. */
export async function takeWaitingJob(id: string, { at, since }: { at: Date; since: Date }): Promise<StoredJob | null> {
  tables();
  const idle = { workedAt: { [Op.or]: [{ [Op.is]: null }, { [Op.lt]: since }] } };
  const [, [row]] = await PrintJobRow.update(
    { workedAt: at },
    { where: { id, state: 'waiting', ...idle }, returning: true },
  );
  return row ? toJob(row) : null;
}

/** Jobs that wait and that nobody has been at work on since a moment. One query. */
export async function findWaitingJobs(since: Date): Promise<Pick<StoredJob, 'id' | 'workedAt'>[]> {
  tables();
  const where = { state: 'waiting', workedAt: { [Op.or]: [{ [Op.is]: null }, { [Op.lt]: since }] } };
  return PrintJobRow.findAll({ where, attributes: ['id', 'workedAt'] });
}

/** Printed jobs whose files are older than a moment, at most 500. One query. */
export async function findOldJobs(before: Date): Promise<string[]> {
  tables();
  const where = { state: 'done', removedAt: null, createdAt: { [Op.lt]: before } };
  const rows = await PrintJobRow.findAll({ where, limit: 500, attributes: ['id'] });
  return rows.map(({ id }) => id);
}

/** Writes down what became of a job, or how far it has come. */
export async function changeJob(
  id: string,
  change: Partial<Pick<StoredJob, 'state' | 'pages' | 'bytes' | 'done' | 'total' | 'removedAt' | 'workedAt'>>,
): Promise<void> {
  await PrintJobRow.update(change, { where: { id } });
}
