import type { Need } from '../materials/index.ts';
import type { CautionLevel } from '../cautions/index.ts';
import type { PartQuestion } from '../homes/index.ts';
import type { Edit, ScriptFault } from '../session/index.ts';
import type { ExpressionProblem, TemplateProblem } from '../expressions/index.ts';
import type { SeatedFlag } from '../time/index.ts';

/** `note` explains, `heed` asks for a decision, `stop` keeps the session from being sent. */
type FindingWeight = 'note' | 'warning' | 'stop';

/** What a check found, as a code with what explains it; `messages/findings` words it. */
type FindingFacts =
  | { readonly code: 'computed'; readonly need: Need; readonly qty: number; readonly sum: string }
  | { readonly code: 'quantity-problem'; readonly need: Need; readonly problem: ExpressionProblem }
  | { readonly code: 'line-problem'; readonly problem: TemplateProblem }
  | { readonly code: 'script-problem'; readonly fault: ScriptFault }
  | { readonly code: 'minutes-problem'; readonly part: string; readonly problem: ExpressionProblem }
  | {
      readonly code: 'seated-too-long';
      readonly flag: SeatedFlag;
      readonly titles: readonly [string, string];
      readonly moved?: string;
    }
  | {
      readonly code: 'caution';
      readonly rule: string;
      readonly level: CautionLevel;
      readonly items: readonly string[];
      readonly homes: number;
      readonly swapTo?: string;
    }
  | { readonly code: 'thing-unknown'; readonly item: string }
  | {
      readonly code: 'left-out';
      readonly items: readonly string[];
      readonly actions: readonly string[];
      readonly words: readonly string[];
      readonly nicknames: readonly string[];
    }
  | { readonly code: 'tip'; readonly level: 'easier' | 'harder' }
  | { readonly code: 'homes-lack'; readonly needs: readonly Need[]; readonly nicknames: readonly string[] }
  | { readonly code: 'to-settle'; readonly question: PartQuestion }
  | { readonly code: 'group-only' }
  | { readonly code: 'costly-setup'; readonly setup: number; readonly play: number };

/** A note in the margin, pinned to a segment and perhaps a line, with what would mend it. */
export interface Finding {
  readonly id: string;
  readonly weight: FindingWeight;
  readonly segment: string;
  readonly line?: string | undefined;
  readonly facts: FindingFacts;
  readonly remedy?: Edit | undefined;
}
