import type { MessageValues } from '../message.ts';

/**
 * Why a maker refuses values: a dial out of its range, or values that would break a level. `dial` is the name of the
 * dial, `why` the name of the sentence that says the reason, in the maker's catalogue or another one.
 */
export type MakerProblem =
  | {
      readonly code: 'out-of-range';
      readonly maker: string;
      readonly dial: string;
      readonly min: number;
      readonly max: number;
      readonly value: unknown;
    }
  | {
      readonly code: 'no-such-choice';
      readonly maker: string;
      readonly dial: string;
      readonly choices: readonly string[];
      readonly value: unknown;
    }
  | {
      readonly code: 'list';
      readonly maker: string;
      readonly dial: string;
      readonly why: string;
      readonly values?: MessageValues | undefined;
    }
  | {
      readonly code: 'breaks-level';
      readonly maker: string;
      readonly why: string;
      readonly values?: MessageValues | undefined;
    }
  | { readonly code: 'no-such-maker'; readonly maker: string }
  /** Makers are fetched where a part of theirs is first met, and are still on their way. */
  | { readonly code: 'not-loaded'; readonly maker: string };
