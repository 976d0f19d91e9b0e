/**
 * Seconds that one piece of each kind of work takes a child of four to five with an adult beside, unhurried and with talk. They
 * rest on what practitioners plan with: a child of four counts about one thing in two seconds when each is touched, carries
 * something across a room and comes back in ten, and needs about half a minute to find and pay a price. Answers of homes
 * correct what a part takes as a whole (see `calibrate`).
 */
const WORK_SECONDS = {
  'count-out': 2,
  'hand-over': 4,
  carry: 10,
  sort: 5,
  pay: 30,
  change: 30,
  look: 15,
  wait: 60,
} as const;

/** A kind of work. */
type WorkKind = keyof typeof WORK_SECONDS;

/** Seconds for so much of each kind of work. None gives 0. */
export function secondsOfWork(work: Readonly<Partial<Record<WorkKind, number>>>): number {
  return Object.entries(work).reduce((sum, [kind, amount]) => sum + WORK_SECONDS[kind as WorkKind] * amount, 0);
}
