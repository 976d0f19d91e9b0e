import type { ThingsByKey } from '../core/materials/thing.ts';
import type { CautionPolicy } from '../core/cautions/rules.ts';
import type { CautionDecision } from '../core/homes/partQuestions.ts';
import type { Home } from '../core/homes/home.ts';
import type { Accent } from '../core/sounds/accents.ts';
import type { TaughtOn } from '../core/words/lineWords.ts';
import type { Segment, Session } from '../core/session/session.ts';

/** Something on the shelf that can be put into a session, ready as a segment but for its id. */
export interface Addable {
  readonly kind: 'book' | 'song' | 'activity';
  readonly title: string;
  readonly about: string;
  readonly segment: Segment;
}

export interface BenchProps {
  readonly id: string;
  readonly revision: number;
  readonly keptAt: string;
  readonly session: Session;
  readonly things: ThingsByKey;
  readonly homes: readonly Home[];
  /** What the programme decided about cautions. */
  readonly policy: CautionPolicy;
  /** What was decided about what its words call for, the newest last. */
  readonly decisions: readonly CautionDecision[];
  /** How many homes said that they have no book at hand. */
  readonly withoutBook: number;
  readonly seatedMinutesPerYear: number;
  readonly mayWrite: boolean;
  /** How words are said here. */
  readonly accent: Accent;
  /** The sounds that the programme has recorded, by their names. */
  readonly recorded: readonly string[];
  /** What the term around the session teaches of sounds, by day; none where there is no such term. */
  readonly soundSteps: readonly TaughtOn[];
}
