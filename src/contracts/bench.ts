import type { JudgedAgainst, SessionJudgement } from '../core/checks/index.ts';
import type { Accent } from '../core/sounds/index.ts';
import type { TaughtOn } from '../core/words/index.ts';
import type { Segment, Session } from '../core/session/index.ts';

/** Something on the shelf that can be put into a session, ready as a segment but for its id. */
export interface Addable {
  readonly kind: 'book' | 'song' | 'activity';
  readonly title: string;
  readonly about: string;
  readonly segment: Segment;
}

export interface BenchProps extends JudgedAgainst {
  readonly id: string;
  /** Whether there are more homes than the page is given: then the server judges what is not kept yet, and `homes` is empty. */
  readonly isJudgedElsewhere: boolean;
  readonly revision: number;
  readonly keptAt: string;
  /** When it last went out, in words; absent: never. */
  readonly sentAt?: string | undefined;
  readonly session: Session;
  /** How many homes said that they have no book at hand. */
  readonly withoutBook: number;
  /** What the checks say of the session as it is kept, so that the page has nothing to work out when it opens. */
  readonly judgement: SessionJudgement;
  readonly mayWrite: boolean;
  /** The id of whoever looks at it: what lies on a device that several use is theirs alone. */
  readonly person: string;
  readonly personName: string;
  /** How words are said here. */
  readonly accent: Accent;
  /** The sounds that the programme has recorded, by their names. */
  readonly recorded: readonly string[];
  /** What the term around the session teaches of sounds, by day; none where there is no such term. */
  readonly soundSteps: readonly TaughtOn[];
}
