import { createHash } from 'node:crypto';
import PgBoss from 'pg-boss';
import { QueryTypes, type Transaction } from 'sequelize';
import { database } from './connection.ts';

/** The work that is done beside requests. Each job names a row that says what is to be done, never what is secret. */
export type QueueName = 'letters' | 'prints' | 'sendings';

interface QueueRule {
  /** After so long a job that nobody finished is taken up again: whoever was at work is gone. */
  readonly expireInSeconds: number;
  readonly retryLimit: number;
}

const QUEUES: Readonly<Record<QueueName, QueueRule>> = {
  letters: { expireInSeconds: 45, retryLimit: 30 },
  // A chunk of homes has its guides written in seconds.
  sendings: { expireInSeconds: 120, retryLimit: 30 },
  // A tray of many homes takes minutes; whether somebody is at it is written in the job's own row.
  prints: { expireInSeconds: 900, retryLimit: 3 },
};

const SCHEMA = 'queue';
const RETENTION_DAYS = 14;

/** The id of a job that stands for something: the same words, the same job, however often it is handed in. */
export function jobNamed(...words: readonly (string | number)[]): string {
  const digest = createHash('sha256').update(words.join('/')).digest('hex');
  return [8, 12, 16, 20, 32].map((end, index, ends) => digest.slice(ends[index - 1] ?? 0, end)).join('-');
}

export interface QueueJob {
  /** The same id is put into a queue once, however often it is handed in. */
  readonly id: string;
  readonly data: Readonly<Record<string, string>>;
}

/** Puts jobs into a queue; within a transaction they are there when it is kept, and never when it is not. */
export async function enqueue(
  name: QueueName,
  jobs: readonly QueueJob[],
  { transaction, startAfter }: { readonly transaction?: Transaction | undefined; readonly startAfter?: Date } = {},
): Promise<void> {
  if (jobs.length === 0) return;
  const boss = new PgBoss({ schema: SCHEMA, db: throughOurPool(transaction) });
  await boss.insert(jobs.map(({ id, data }) => ({ id, name, data, ...(startAfter && { startAfter }) })));
}

/**
 * Gives jobs of some rows that somebody had begun to the next who asks, as when the worker that had them was killed, and
 * gives the rows that a job which has not ended is for. `as` is the name that jobs give a row. Two queries.
 */
export async function handBack(name: QueueName, as: string, rows: readonly string[]): Promise<Set<string>> {
  if (rows.length === 0) return new Set();
  await database().query(
    `UPDATE ${SCHEMA}.job SET state = 'retry', start_after = now()
      WHERE name = :name AND state = 'active' AND data ->> :as IN (:rows)`,
    { replacements: { name, as, rows: [...rows] } },
  );
  const found = await database().query<{ row: string }>(
    `SELECT DISTINCT data ->> :as AS row FROM ${SCHEMA}.job
      WHERE name = :name AND state < 'completed' AND data ->> :as IN (:rows)`,
    { replacements: { name, as, rows: [...rows] }, type: QueryTypes.SELECT },
  );
  return new Set(found.map(({ row }) => row));
}

/** Makes the queue's own tables and its queues; a second time changes nothing. */
export async function prepareQueue(): Promise<void> {
  const boss = new PgBoss({ schema: SCHEMA, db: throughOurPool(), supervise: false, schedule: false });
  await boss.start();
  const known = new Set((await boss.getQueues()).map(({ name }) => name));
  for (const [name, rule] of Object.entries(QUEUES)) {
    const options = { name, policy: 'standard' as const, ...rule, retryDelay: 1, retentionDays: RETENTION_DAYS };
    if (known.has(name)) await boss.updateQueue(name, options);
    else await boss.createQueue(name, options);
  }
  await boss.stop({ graceful: false, close: false });
}

export interface QueueWorker {
  /** Lets what is under way come to its end. */
  stop(): Promise<void>;
}

/** How a queue is worked off: so many batches at the same moment, of so many jobs, which are done or fail together. */
export interface QueueHandler {
  readonly batches: number;
  readonly batchSize: number;
  work(jobs: readonly QueueJob['data'][]): Promise<void>;
}

/** Works queues off until it is stopped; `onError` hears what goes wrong in the queue itself. */
export async function startQueueWorker(
  handlers: Readonly<Record<QueueName, QueueHandler>>,
  onError: (error: Error) => void,
): Promise<QueueWorker> {
  const boss = new PgBoss({
    schema: SCHEMA,
    db: throughOurPool(),
    migrate: false,
    schedule: false,
    maintenanceIntervalSeconds: 5,
    pollingIntervalSeconds: 0.5,
  });
  boss.on('error', onError);
  await boss.start();
  for (const [name, { batches, batchSize, work }] of Object.entries(handlers))
    for (let batch = 0; batch < batches; batch++)
      await boss.work<QueueJob['data']>(name, { batchSize }, async (jobs) => work(jobs.map(({ data }) => data)));
  return { stop: () => boss.stop({ graceful: true, wait: true, close: false, timeout: 10_000 }) };
}

/** The queue's statements run on the pool of this process, so that they can be part of its transactions. */
function throughOurPool(transaction?: Transaction): PgBoss.Db {
  return {
    executeSql: async (text, values) => {
      const [rows] = await database().query(text, {
        ...(values && values.length > 0 && { bind: values.map((value: unknown) => value ?? null) }),
        ...(transaction && { transaction }),
      });
      return { rows: Array.isArray(rows) ? rows : [] };
    },
  };
}
