import type { Quantity } from '../expressions/quantity.ts';

/** What else will do for a need. `sets` gives dials the values they have with this swap (a tray with 12 places). */
export interface Swap {
  readonly item: string;
  /** 0 (hardly) to 1 (as good). */
  readonly fit: number;
  readonly why: string;
  /**
   * How many of it serve the whole need, where it is not one for one: an expression over dials, `need` (the amount
   * at this home, children counted) and `places` (of the thing). Nothing multiplies it again.
   */
  readonly qty?: Quantity | undefined;
  readonly sets?: Readonly<Record<string, number>> | undefined;
}

/** A thing that a part takes: how many, for each home or child, and what else will do. */
export interface Need {
  readonly id: string;
  readonly item: string;
  readonly qty: Quantity;
  readonly per: 'home' | 'child';
  readonly use: 'lasting' | 'used-up';
  readonly swaps: readonly Swap[];
  /** The part can be done without it. */
  readonly optional?: boolean | undefined;
  /** It is eaten, and not only counted with or felt. */
  readonly eaten?: boolean | undefined;
}
