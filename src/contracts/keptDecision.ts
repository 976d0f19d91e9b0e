/** A decision as it is shown afterwards: what was asked, what was decided, why, by whom and when. */
export interface KeptDecision {
  readonly part: string;
  readonly rule: string;
  readonly subject: string;
  readonly words: readonly string[];
  readonly decided: string;
  readonly why: string;
  readonly by: string;
  readonly at: string;
}
