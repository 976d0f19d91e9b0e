import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { Sequelize } from 'sequelize';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';

interface TryRule {
  readonly points: number;
  /** Over so many seconds. */
  readonly duration: number;
  /** Then nothing for so many seconds. */
  readonly block: number;
}

/** What is counted, in the database, before a password is looked at. */
const RULES = {
  /** One account from one place. */
  pair: { points: 5, duration: 300, block: 60 },
  /** One place, whatever accounts it tries. */
  place: { points: 60, duration: 900, block: 300 },
  /** One account from places it was never signed in from: many places guessing together. */
  account: { points: 40, duration: 3600, block: 900 },
  /** Letters with a link to choose a new password, to one address and from one place. */
  letter: { points: 3, duration: 3600, block: 3600 },
  letterPlace: { points: 20, duration: 3600, block: 3600 },
  /** Codes that open an installation without an owner. */
  begin: { points: 10, duration: 900, block: 300 },
} as const satisfies Record<string, TryRule>;
export type TryKind = keyof typeof RULES;

let limiters: { readonly of: Sequelize; readonly by: Map<TryKind, RateLimiterPostgres> } | undefined;

function limiter(kind: TryKind): RateLimiterPostgres {
  const sequelize = tables();
  if (limiters?.of !== sequelize) limiters = { of: sequelize, by: new Map() };
  const known = limiters.by.get(kind);
  if (known) return known;
  const { points, duration, block } = RULES[kind];
  const made = new RateLimiterPostgres({
    storeClient: sequelize,
    storeType: 'sequelize',
    tableName: 'tries',
    tableCreated: true,
    clearExpiredByTimeout: false,
    keyPrefix: kind,
    points,
    duration,
    blockDuration: block,
  });
  limiters.by.set(kind, made);
  return made;
}

/** Counts a try, in one statement for all processes; the one too many is refused with the time to wait. */
export async function countTry(kind: TryKind, key: string): Promise<void> {
  try {
    await limiter(kind).consume(key);
  } catch (refused) {
    if (!(refused instanceof RateLimiterRes)) throw refused;
    throw new EdgeError('too-many-tries', { retryAfterSeconds: Math.max(1, Math.ceil(refused.msBeforeNext / 1000)) });
  }
}

/** A try that was right does not count. */
export async function forgiveTry(kind: TryKind, key: string, isWhole = false): Promise<void> {
  if (isWhole) await limiter(kind).delete(key);
  else await limiter(kind).reward(key);
}
