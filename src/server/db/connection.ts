import { AsyncLocalStorage } from 'node:async_hooks';
import pg from 'pg';
import { Sequelize } from 'sequelize';
import { log } from '../log.ts';

/** Counts the queries of the request it was started for. */
const queryCounts = new AsyncLocalStorage<{ queries: number }>();

/** By this name PostgreSQL shows whose connections these are. */
export const APPLICATION_NAME = 'footstool';

/** A statement that takes longer is given up, and the request with it. */
const MS_FOR_QUERY = 6000;

let connection: Sequelize | undefined;

/** The one connection pool of this process, to the database that DATABASE_URL names. */
export function database(): Sequelize {
  connection ??= connect(requireDatabaseUrl());
  return connection;
}

/** Runs work and tells how many queries it made. */
export async function countingQueries<Value>(work: () => Promise<Value>): Promise<{ value: Value; queries: number }> {
  const count = { queries: 0 };
  const value = await queryCounts.run(count, work);
  return { value, queries: count.queries };
}

/** Ends all connections, for commands that are done. */
export async function closeDatabase(): Promise<void> {
  await connection?.close();
  connection = undefined;
}

/** Runs work on connections of its own that no statement is hurried on: for what changes tables or holds a lock. */
export async function withPatientDatabase<Value>(work: (sequelize: Sequelize) => Promise<Value>): Promise<Value> {
  const patient = new Sequelize(requireDatabaseUrl(), {
    dialect: 'postgres',
    dialectModule: DRIVER,
    logging: false,
    pool: { max: 2, min: 0, acquire: 10_000, idle: 600_000 },
    dialectOptions: { connectionTimeoutMillis: 10_000, keepAlive: true, idle_in_transaction_session_timeout: 0 },
  });
  try {
    return await work(patient);
  } finally {
    await patient.close();
  }
}

/** A stable name for "the database is not there at the moment", as against a fault of ours. */
export function isDatabaseAway(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = (cause as { parent?: unknown }).parent ?? cause.cause) {
    if (cause.name.startsWith('SequelizeConnection') || cause.name === 'SequelizeHostNotReachableError') return true;
    const code = (cause as { code?: string }).code ?? '';
    if (['ECONNREFUSED', 'ECONNRESET', 'EPIPE', '57P01', '57P02', '57P03', '08006', '08003'].includes(code))
      return true;
    if (
      /Connection terminated|server closed the connection|Query read timeout|timeout expired|not queryable/i.test(
        cause.message,
      )
    )
      return true;
  }
  return false;
}

/** A statement that was given up because another one was in its way: cancelled after its time, a lock not had, a deadlock. */
const IN_THE_WAY = ['57014', '55P03', '40001', '40P01'];

/** Whether the database is there, but what was asked had to wait too long for others. */
export function isDatabaseBusy(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = (cause as { parent?: unknown }).parent ?? cause.cause)
    if (IN_THE_WAY.includes((cause as { code?: string }).code ?? '')) return true;
  return false;
}

/**
 * A client that is listened to from its first moment. Sequelize listens only once it has heard that the client is
 * connected; a server that says goodbye together with its welcome would end the process.
 */
class HeardClient extends pg.Client {
  /** Read by Sequelize before it hands the connection out again. */
  _invalid = false;

  constructor(config?: pg.ClientConfig) {
    super(config);
    this.on('error', () => (this._invalid = true));
  }
}

const DRIVER = { ...pg, Client: HeardClient };

/** A machine that is shared by tests may pause for longer than one that serves. */
const MS_TO_CONNECT = Number(process.env.FOOTSTOOL_MS_TO_CONNECT ?? 3000);

function connect(url: string): Sequelize {
  return new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: DRIVER,
    logging: (sql) => {
      const count = queryCounts.getStore();
      if (count) count.queries += 1;
      log.trace({ sql }, 'query');
    },
    define: { underscored: true, timestamps: false },
    pool: { max: 8, min: 0, acquire: 5000, idle: 30_000 },
    // A database that answers nothing is given up by our own clock, one that is at work too long by its own.
    dialectOptions: {
      application_name: APPLICATION_NAME,
      connectionTimeoutMillis: MS_TO_CONNECT,
      keepAlive: true,
      query_timeout: MS_FOR_QUERY,
      statement_timeout: MS_FOR_QUERY - 1000,
      idle_in_transaction_session_timeout: 60_000,
    },
  });
}

function requireDatabaseUrl(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set; bin/start sets it');
  return url;
}
