import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { Sequelize } from 'sequelize';
import { tables } from './tables.ts';

/** How often something may be tried: so many points over so many seconds, then nothing for so many seconds. */
export interface TryRule {
  readonly points: number;
  readonly duration: number;
  readonly block: number;
}

/** One counter a rule and connection: the counts themselves are in the database, for all processes. */
const counters = new WeakMap<Sequelize, Map<string, RateLimiterPostgres>>();

function counter(kind: string, { points, duration, block }: TryRule): RateLimiterPostgres {
  const sequelize = tables();
  const ofConnection = counters.get(sequelize) ?? new Map<string, RateLimiterPostgres>();
  counters.set(sequelize, ofConnection);
  const known = ofConnection.get(kind);
  if (known) return known;
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
  ofConnection.set(kind, made);
  return made;
}

/** Counts a try, in one statement for all processes; gives the seconds to wait where it is one too many, else 0. */
export async function consumeTry(kind: string, rule: TryRule, key: string): Promise<number> {
  try {
    await counter(kind, rule).consume(key);
    return 0;
  } catch (refused) {
    if (!(refused instanceof RateLimiterRes)) throw refused;
    return Math.max(1, Math.ceil(refused.msBeforeNext / 1000));
  }
}

/** Takes one try back, or all of a key. */
export async function returnTry(kind: string, rule: TryRule, key: string, isWhole: boolean): Promise<void> {
  if (isWhole) await counter(kind, rule).delete(key);
  else await counter(kind, rule).reward(key);
}
