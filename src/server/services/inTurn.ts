import pLimit, { type LimitFunction } from 'p-limit';
import { EdgeError } from '../http/errors.ts';

/** Imports that hold a connection at once; the others wait, so that pages still find one. */
const AT_ONCE = 2;
const MOST_WAITING = 16;
/** Presses that wait for the same session, so that a stuck key does not pile up without end. */
const MOST_PRESSES = 200;

const imports = pLimit(AT_ONCE);
const turns = new Map<string, { limit: LimitFunction; asked: number }>();

/** Runs long work on the database a few at a time; more than can be waited for are refused. */
export async function inTurn<Value>(work: () => Promise<Value>): Promise<Value> {
  if (imports.pendingCount >= MOST_WAITING) throw new EdgeError('busy');
  return imports(work);
}

/**
 * Runs work on one thing, by its key, one after the other in this process: who waits holds no connection, so that
 * many presses at once leave some for everybody else. Another process is kept out by the database's own lock.
 */
export async function oneAtATime<Value>(key: string, work: () => Promise<Value>): Promise<Value> {
  const turn = turns.get(key) ?? { limit: pLimit(1), asked: 0 };
  if (turn.asked >= MOST_PRESSES) throw new EdgeError('busy');
  turns.set(key, turn);
  turn.asked += 1;
  try {
    return await turn.limit(work);
  } finally {
    turn.asked -= 1;
    if (turn.asked === 0) turns.delete(key);
  }
}
