import type { Noticed } from './check.ts';
import type { CHECKS } from './checks.ts';

/** The name of a check. */
export type FindingCode = keyof typeof CHECKS;

/** A note in the margin, pinned to a segment and perhaps a line, with what would mend it; `messages/findings` words it. */
export interface Finding extends Noticed {
  readonly code: FindingCode;
  readonly segment: string;
}
