/** One thing that would serve a need, with its worth and how many it takes. */
export interface AssignmentOption {
  /** The place in the need's own list, from 0. */
  readonly index: number;
  readonly item: string;
  /** How many of it serve the need. */
  readonly qty: number;
  /** A whole number, so that sums are exact. */
  readonly gain: number;
}

/** A need with all that may serve it, in the order in which equals are preferred. */
export interface AssignmentNeed {
  readonly segment: string;
  readonly use: 'lasting' | 'used-up';
  readonly options: readonly AssignmentOption[];
  /** It takes one of its options in every answer; absent: it may also go without. */
  readonly mustTake?: boolean | undefined;
}

/**
 * How many steps a search may still take. It is counted down by those who share it, never by a clock: what comes out is
 * the same on every machine. Once it is used up, the best found so far is the answer.
 */
export interface Steps {
  left: number;
}
