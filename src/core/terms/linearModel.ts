/** A linear programme over whole or continuous variables from 0, to be made as large as it can be. */
export interface LinearModel {
  readonly columns: readonly { readonly gain: number; readonly upper: number; readonly isWhole: boolean }[];
  readonly rows: readonly LinearRow[];
}

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

export interface LinearHints {
  /** Values by column that fit, to start from. */
  readonly start?: readonly number[] | undefined;
  readonly onProgress?: ((progress: LinearProgress) => void) | undefined;
}

/** Gives null only where it is proved, or the time ran out before any values were found. */
export type SolveLinear = (model: LinearModel, hints?: LinearHints) => LinearAnswer | null;
