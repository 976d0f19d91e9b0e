import type { Quantity } from '../expressions/index.ts';

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

/** A swap that an author put in the place of what the script said, with what it takes to put that back. */
interface TakenSwap extends Omit<Swap, 'item'> {
  /** What the script said, by key. */
  readonly from: string;
  /** Where the swap stood among the swaps, from 0. */
  readonly at: number;
  /** What the dials said that it set. */
  readonly was?: Readonly<Record<string, number>> | undefined;
}

/** A thing that a part takes: how many, for each home or child, and what else will do. */
export interface Need {
  readonly id: string;
  readonly item: string;
  /** How many are asked for; of a swap that was taken over as many serve as it says itself. */
  readonly qty: Quantity;
  readonly per: 'home' | 'child';
  readonly use: 'lasting' | 'used-up';
  readonly swaps: readonly Swap[];
  /** Where `item` is a swap that an author took over. */
  readonly taken?: TakenSwap | undefined;
  /** The part can be done without it. */
  readonly optional?: boolean | undefined;
  /** It is eaten, and not only counted with or felt. */
  readonly eaten?: boolean | undefined;
}
