import type { Need } from '../materials/index.ts';
import type { LevelName } from './levelName.ts';
import type { Line } from './line.ts';
import type { MakerProblem } from './makerProblem.ts';
import type { Remark, Segment, Session, TripleOfQuantities } from './session.ts';
import type { WrittenLine } from './writtenLines.ts';

/** Everything that can be done to a session on the bench. Positions count from 0. */
export type Edit =
  | {
      readonly do: 'describe';
      readonly title?: string;
      readonly aim?: string;
      readonly on?: string;
      readonly at?: string | undefined;
      readonly ages?: Session['ages'];
      readonly minutes?: number | undefined;
    }
  | { readonly do: 'turn-dial'; readonly segment: string; readonly dial: string; readonly value: number | string }
  | { readonly do: 'choose-level'; readonly segment: string; readonly level: LevelName }
  | { readonly do: 'move-segment'; readonly segment: string; readonly to: number }
  | { readonly do: 'add-segment'; readonly segment: Segment; readonly at: number }
  | { readonly do: 'remove-segment'; readonly segment: string }
  | {
      readonly do: 'change-line';
      readonly segment: string;
      readonly line: string;
      readonly change: Partial<Omit<Line, 'id'>>;
    }
  | { readonly do: 'add-line'; readonly segment: string; readonly line: Line; readonly at: number }
  | { readonly do: 'remove-line'; readonly segment: string; readonly line: string }
  | { readonly do: 'move-line'; readonly segment: string; readonly line: string; readonly to: number }
  /** The lines of the level that is shown, as they were written over: by their ids, in their order. */
  | { readonly do: 'write-lines'; readonly segment: string; readonly lines: readonly WrittenLine[] }
  /** A line to the end of another part, in words that may stand there (see `textElsewhere`). */
  | {
      readonly do: 'carry-line';
      readonly segment: string;
      readonly line: string;
      readonly to: string;
      readonly text: string;
      readonly answer?: string | undefined;
    }
  | { readonly do: 'use-swap'; readonly segment: string; readonly need: string; readonly item: string }
  | {
      readonly do: 'time-segment';
      readonly segment: string;
      readonly part: keyof Segment['minutes'];
      readonly minutes: TripleOfQuantities;
    }
  | { readonly do: 'rename-segment'; readonly segment: string; readonly title: string }
  | { readonly do: 'replace-segment'; readonly segment: string; readonly by: Segment }
  | { readonly do: 'add-need'; readonly segment: string; readonly item: string; readonly qty?: number }
  | {
      readonly do: 'change-need';
      readonly segment: string;
      readonly need: string;
      readonly change: Partial<Pick<Need, 'qty' | 'per' | 'use' | 'optional' | 'eaten'>>;
    }
  | { readonly do: 'remove-need'; readonly segment: string; readonly need: string }
  /** Keeps what a finding is about as it stands, until that text changes. */
  | { readonly do: 'accept'; readonly finding: string; readonly text: string; readonly because?: string | undefined }
  | { readonly do: 'remark'; readonly remark: Remark }
  | { readonly do: 'close-remark'; readonly remark: string }
  /** Several at once, undone at once; refused as a whole where one of them is. */
  | { readonly do: 'together'; readonly edits: readonly Edit[] };

/** Why an edit is refused, with the numbers that explain it; the session stays as it was. */
export type EditProblem =
  | { readonly code: 'maker-refuses'; readonly segment: string; readonly problem: MakerProblem }
  | { readonly code: 'no-such-part'; readonly part: string }
  | {
      readonly code: 'dial-out-of-range';
      readonly segment: string;
      readonly dial: string;
      readonly value: number;
      readonly min: number;
      readonly max: number;
    }
  | {
      readonly code: 'dial-not-whole';
      readonly segment: string;
      readonly dial: string;
      readonly value: number | string;
    }
  | {
      readonly code: 'no-such-choice';
      readonly segment: string;
      readonly dial: string;
      readonly value: string;
      readonly choices: readonly string[];
    };
