import type { Need, Swap } from '../materials/index.ts';
import { type Quantity, roundUp, type Scope } from '../expressions/index.ts';
import type { Segment } from '../session/index.ts';
import type { Home } from './home.ts';
import type { Household } from './household.ts';
import type { HomeReadiness } from './readiness.ts';

/** What serves one need at a home. */
export interface ServedNeed {
  readonly id: string;
  readonly need: Need;
  /** What this home uses; null when nothing is permitted, or when it goes without. */
  readonly item: string | null;
  /** The swap that it uses, where it is not what the script says. */
  readonly swap?: Swap | undefined;
  /**
   * From what the home has, in a bag that the programme gives out, missing there, not at all because nothing is permitted,
   * or not at all because the part can be done without it and nothing at hand serves.
   */
  readonly source: 'home' | 'kit' | 'missing' | 'withheld' | 'without';
  /** Nobody has asked the home about it: it counts as there because most homes have it. */
  readonly isAssumed?: boolean | undefined;
  /** How many of it, not rounded. */
  readonly qty: number;
  /** How many of what is used serve the whole need, where that is said. */
  readonly own?: Quantity | undefined;
  /** Hollows or places of what is used, where it has any. */
  readonly places?: number | undefined;
}

/** One part of a session as one home does it. */
export interface FittedPart {
  readonly segment: Segment;
  /** The home does it without this part: something it cannot do without is not permitted there. */
  readonly isLeftOut: boolean;
  /** Actions and rules that are stopped for somebody in the room; empty unless they leave the part out. */
  readonly stopped: readonly string[];
  /** The words of its lines that are. */
  readonly stoppedWords: readonly string[];
  /** Cautions that its words call for, beside those of its things and actions. */
  readonly said: readonly string[];
  /** What the picked things set; it goes before any level's dials. */
  readonly sets: Scope;
  readonly served: readonly ServedNeed[];
}

/** One home against one session: what serves, what is lacking, what it may not have. */
export interface HomeFit {
  readonly home: Home;
  readonly household: Household;
  readonly parts: readonly FittedPart[];
  readonly answer: HomeReadiness;
  /** Whether it was proved that nothing at this home serves the session better. */
  readonly isProved: boolean;
  readonly kit: readonly { need: string; item: string; qty: number }[];
  /** What the home has not and nobody gives out. */
  readonly missing: readonly { need: string; item: string; qty: number }[];
}

/** How a home does a session, for an author: a home that lacks nothing but must do without a part needs no kit. */
export type HomeOutcome = 'ready' | 'swaps' | 'likely' | 'kit' | 'lacks' | 'without';

/** How a home does a session; `lacks` where nobody gives out what it has not, `without` where it goes without a part or a thing and no kit would help. */
export function outcomeOf({ answer, kit, missing }: Pick<HomeFit, 'answer' | 'kit' | 'missing'>): HomeOutcome {
  if (answer.state !== 'short') return answer.state;
  if (missing.length > 0) return 'lacks';
  return kit.length > 0 ? 'kit' : 'without';
}

/** In what a home does a session otherwise than as written. */
export type HomeDifference =
  | { readonly code: 'left-out'; readonly title: string }
  | { readonly code: 'withheld'; readonly item: string }
  | { readonly code: 'kit' | 'missing' | 'assumed'; readonly item: string; readonly qty: number }
  | { readonly code: 'swap'; readonly item: string; readonly insteadOf: string; readonly why?: string | undefined };

/** In what a home does a session otherwise than as written, in the order of the script. A home that has everything: none. */
export function differencesOf({ parts }: Pick<HomeFit, 'parts'>): HomeDifference[] {
  return parts.flatMap(({ segment, isLeftOut, served }): HomeDifference[] => {
    if (isLeftOut) return [{ code: 'left-out', title: segment.title }];
    return served.flatMap(({ need, item, qty, source, swap, isAssumed }): HomeDifference[] => {
      if (source === 'withheld') return [{ code: 'withheld', item: need.item }];
      if (source === 'kit' || source === 'missing') return [{ code: source, item: item!, qty: roundUp(qty) }];
      if (isAssumed) return [{ code: 'assumed', item: item!, qty: roundUp(qty) }];
      return swap ? [{ code: 'swap', item: swap.item, insteadOf: need.item, why: swap.why }] : [];
    });
  });
}
