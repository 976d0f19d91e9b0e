/**
 * What the threads tell each other by one shared number: the first works alone; it has ended without a proof, so begin;
 * one has a proof, so stop. `threads/begin.mjs` knows the numbers, too.
 */
const SIGNAL = { alone: 0, begin: 1, done: 2 } as const;

export function makeSignal(): Int32Array {
  return new Int32Array(new SharedArrayBuffer(4));
}

export const isTold = (signal: Int32Array, what: keyof typeof SIGNAL): boolean =>
  Atomics.load(signal, 0) === SIGNAL[what];

export function tell(signal: Int32Array, what: keyof typeof SIGNAL): void {
  Atomics.store(signal, 0, SIGNAL[what]);
  Atomics.notify(signal, 0);
}
