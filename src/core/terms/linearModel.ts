/** A linear programme over whole or continuous variables from 0, to be made as large as it can be. */
export interface LinearModel {
  readonly columns: readonly { readonly gain: number; readonly upper: number; readonly isWhole: boolean }[];
  readonly rows: readonly LinearRow[];
}

/** A sum of columns that must lie between two bounds. */
export interface LinearRow {
  readonly lower: number;
  readonly upper: number;
  readonly terms: readonly (readonly [column: number, factor: number])[];
}

/** What a solver found: values by column and a proved upper bound; null where no values fit. */
export interface LinearAnswer {
  readonly values: readonly number[];
  readonly bound: number;
}

/** How far a solver has come: the score of its best values so far (if any) and what it has proved. */
export interface LinearProgress {
  readonly score: number | null;
  readonly bound: number | null;
  /** The values of a new best answer, when that is what is reported. */
  readonly values?: readonly number[] | undefined;
}

/** Where a solver may start, and when it may stop. */
export interface LinearHints {
  /** Values by column that fit, to start from. */
  readonly start?: readonly number[] | undefined;
  readonly onProgress?: ((progress: LinearProgress) => void) | undefined;
  /** Asked now and then; once true, the best so far is the answer. */
  readonly shouldStop?: (() => boolean) | undefined;
  /** Columns that stay at 0. */
  readonly closed?: readonly boolean[] | undefined;
  /** What the work goes into: finding better values, or proving that those to start from are (nearly) the best; absent: both. */
  readonly aim?: 'find' | 'prove' | undefined;
  /** How much better a better answer is at least: a bound less than that above is the optimum. 1 for scores that are whole. */
  readonly leastGain?: number | undefined;
  /** Less time than the solver's own limit. */
  readonly seconds?: number | undefined;
}

/** The optimum with whole columns taken as continuous; no whole values can exceed `bound`. */
export interface RelaxedAnswer {
  readonly bound: number;
  /**
   * By column, what the optimum loses at least by each unit of it; 0 for columns that it uses. A whole answer that uses a
   * column at a loss of 5 stays 5 or more below the bound.
   */
  readonly losses: readonly number[];
}

/** Solves a linear programme; the real one is HiGHS, handed in. */
export interface LinearSolver {
  /** Null where it is proved that nothing fits; `out-of-time` where it was stopped before any values were found. */
  solve(model: LinearModel, hints?: LinearHints): LinearAnswer | 'out-of-time' | null;
  /** Null where nothing fits, or the time ran out. */
  relax(model: LinearModel): RelaxedAnswer | null;
}
