import type { Message } from '../message.ts';
/** A line is one instruction to the adult. */
export const LINE_KINDS = ['do', 'say', 'ask', 'notice', 'if', 'sing', 'read'] as const;

/** What a line asks of the adult. */
export type LineKind = (typeof LINE_KINDS)[number];

/** A line is one instruction: an author's own words, or words that were said from a message and not touched since. */
export interface Line {
  readonly id: string;
  readonly kind: LineKind;
  /** A template, see `renderTemplate`. For `if`, what stands before the first ": " is the case, the rest what to do. */
  readonly text: string;
  /** For `ask`: the answer an adult may expect, a template. */
  readonly answer?: string | undefined;
  /** Why one asks or does this, for the adult. */
  readonly why?: string | undefined;
  /** Whose it is where there are two children or more; such a line is for no other home. */
  readonly role?: 'older' | 'younger' | undefined;
  /** What somebody else wrote in its words at the same time, until somebody chooses. */
  readonly other?: { readonly text?: string | undefined; readonly answer?: string | undefined } | undefined;
  /** What it was said from; gone once an author writes in it. A guide says it again in the home's language. */
  readonly says?: Message | undefined;
}
