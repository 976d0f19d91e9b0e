/** Why values are refused: a dial out of its range, or values that would break a level, with the reason as a sentence. */
export type MakerProblem =
  | {
      readonly code: 'out-of-range';
      readonly dial: string;
      readonly min: number;
      readonly max: number;
      readonly value: unknown;
    }
  | {
      readonly code: 'no-such-choice';
      readonly dial: string;
      readonly choices: readonly string[];
      readonly value: unknown;
    }
  | { readonly code: 'list'; readonly dial: string; readonly reason: string }
  | { readonly code: 'breaks-level'; readonly reason: string };
