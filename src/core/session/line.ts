/** A line is one instruction to the adult. */
export const LINE_KINDS = ['do', 'say', 'ask', 'notice', 'if', 'sing', 'read'] as const;

export type LineKind = (typeof LINE_KINDS)[number];

export interface Line {
  readonly id: string;
  readonly kind: LineKind;
  /** A template, see `renderTemplate`. For `if`, what stands before the first ": " is the case, the rest what to do. */
  readonly text: string;
  /** For `ask`: the answer an adult may expect, a template. */
  readonly answer?: string | undefined;
  /** Why one asks or does this, for the adult. */
  readonly why?: string | undefined;
}
