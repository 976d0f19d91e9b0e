import { EdgeError } from '../http/errors.ts';

/** Imports that hold a connection at once; the others wait, so that pages still find one. */
const AT_ONCE = 2;
const MOST_WAITING = 16;

let running = 0;
const waiting: (() => void)[] = [];

/** Runs long work on the database a few at a time; more than can be waited for are refused. */
export async function inTurn<Value>(work: () => Promise<Value>): Promise<Value> {
  if (running >= AT_ONCE) {
    if (waiting.length >= MOST_WAITING) throw new EdgeError('busy');
    await new Promise<void>((next) => waiting.push(next));
  } else running += 1;
  try {
    return await work();
  } finally {
    const next = waiting.shift();
    if (next) next();
    else running -= 1;
  }
}
