/** What one row (a thing laid out in one segment) may carry. */
export interface CapacityRow {
  readonly capacity: number;
}

/** A need among others; option rows are indexes into the capacity rows. */
export interface RowNeed {
  readonly position: number;
  readonly mustTake: boolean;
  /** The largest gain first. */
  readonly options: readonly RowOption[];
}

/** An option with the rows that it loads. */
export interface RowOption {
  readonly index: number;
  readonly qty: number;
  readonly gain: number;
  readonly rows: readonly number[];
}
