import { consumeTry, returnTry, type TryRule } from '../db/tryCounters.ts';
import { EdgeError } from '../http/errors.ts';

/** What is counted, in the database, before a password is looked at. */
const RULES = {
  /** One account from one place. */
  pair: { points: 5, duration: 300, block: 60 },
  /** One place, whatever accounts it tries. */
  place: { points: 60, duration: 900, block: 300 },
  /** One account from places it was never signed in from: many places guessing together. */
  account: { points: 40, duration: 3600, block: 900 },
  /** Letters with a link to choose a new password, to one address and from one place. */
  letter: { points: 3, duration: 3600, block: 60 },
  letterPlace: { points: 20, duration: 3600, block: 3600 },
  /** Guides that a home has written again, by link. */
  rewrite: { points: 30, duration: 86_400, block: 3600 },
  /** Codes that open an installation without an owner. */
  begin: { points: 10, duration: 900, block: 300 },
} as const satisfies Record<string, TryRule>;
export type TryKind = keyof typeof RULES;

/** Counts a try, in one statement for all processes; the one too many is refused with the time to wait. */
export async function countTry(kind: TryKind, key: string): Promise<void> {
  const retryAfterSeconds = await consumeTry(kind, RULES[kind], key);
  if (retryAfterSeconds > 0) throw new EdgeError('too-many-tries', { retryAfterSeconds });
}

/** Counts a try; false when it is one too many. */
export async function hasTriesLeft(kind: TryKind, key: string): Promise<boolean> {
  return (await consumeTry(kind, RULES[kind], key)) === 0;
}

/** A try that was right does not count. */
export async function forgiveTry(kind: TryKind, key: string, isWhole = false): Promise<void> {
  await returnTry(kind, RULES[kind], key, isWhole);
}
