import type { CautionLevel } from '../core/cautions/rules.ts';
import type { LevelName } from '../core/session/levelName.ts';
import type { LineKind } from '../core/session/line.ts';

/** Every word of a guide that is not the author's. */
export interface GuideWords {
  readonly language: GuideLanguage;
  readonly direction: 'ltr' | 'rtl';
  readonly date: (day: string) => string;
  readonly letterSubject: (title: string) => string;
  readonly letter: (facts: { home: string; title: string; on: string; programme: string; link: string }) => string;
  readonly forChildren: (names: readonly string[]) => string;
  readonly changedOn: (day: string) => string;
  readonly aboutMinutes: (likely: number) => string;
  readonly betweenMinutes: (low: number, high: number) => string;
  readonly setupMinutes: (minutes: number) => string;
  /** Behind the line after which something dries, rises or freezes. */
  readonly leaveIt: (minutes: number) => string;
  readonly fetch: string;
  readonly nothingToFetch: string;
  readonly insteadOf: (things: string) => string;
  /** `some`: how many of them come in the bag, where it is not all. */
  readonly fromKit: (programme: string, some?: number) => string;
  /** What to do without a thing that nobody gives out; `elseDo` names what would do, or nothing. */
  readonly withoutIt: (name: string, elseDo: readonly string[]) => string;
  readonly before: string;
  readonly daysBefore: (days: number) => string;
  readonly next: string;
  readonly back: string;
  readonly oneAtATime: string;
  readonly onOnePage: string;
  readonly step: (step: number, steps: number) => string;
  readonly kinds: Readonly<Record<LineKind, string>>;
  readonly why: string;
  /** Whose a line is, where there are two children or more. */
  readonly roles: { readonly older: string; readonly younger: string };
  /** What the picture of a part is headed by. */
  readonly picture: string;
  /** The words that the children of a home read: the way to them, their page, and its presses. */
  readonly wordsLink: string;
  readonly wordsTitle: string;
  readonly wordsHint: string;
  readonly wordsNone: string;
  readonly wordGone: string;
  readonly wordRead: string;
  readonly wordNotYet: string;
  readonly wordWasRead: string;
  readonly wordWasNot: string;
  readonly wordBack: string;
  /** Above the sounds of a part, recorded by the programme. */
  readonly hear: string;
  readonly hearSound: (letters: string) => string;
  readonly easier: string;
  readonly harder: string;
  readonly otherWay: string;
  /** A part that this home goes without. */
  readonly leftOut: string;
  readonly levelLegend: string;
  readonly levelNames: Readonly<Record<LevelName, string>>;
  readonly tip: string;
  /** What the fetch list grows by at another level. */
  readonly moreFor: (level: string, title: string, things: string) => string;
  readonly aim: string;
  readonly surface: string;
  readonly theBook: (title: string) => string;
  readonly noBook: string;
  readonly noBookRetold: string;
  readonly noBookFree: string;
  readonly noBookAnother: (title: string) => string;
  readonly sayNoBook: string;
  readonly saidNoBook: string;
  readonly sayBookIsHere: string;
  readonly theSong: (title: string) => string;
  readonly yourAnswer: string;
  readonly cautions: string;
  readonly levels: Readonly<Record<CautionLevel, string>>;
  readonly caution: Readonly<Record<string, CautionWords>>;
  readonly adultDecides: string;
  readonly mayStop: string;
  readonly tellUs: string;
  readonly tellUsHint: string;
  readonly outcome: string;
  readonly outcomes: { readonly done: string; readonly partly: string; readonly not: string };
  readonly minutesTaken: (title: string) => string;
  readonly howWasIt: (title: string) => string;
  readonly eases: { readonly 'too-easy': string; readonly right: string; readonly 'too-hard': string };
  readonly note: string;
  readonly noteHint: string;
  readonly sendReply: string;
  readonly thanks: string;
  readonly thanksText: string;
  readonly thanksAgain: string;
  readonly backToGuide: string;
  readonly replyWrong: string;
  readonly replyAway: string;
  /** The records cannot be reached. */
  readonly away: string;
  /** Something was sent and could not be kept; it still stands on the page before. */
  readonly notKept: string;
  readonly gone: string;
  readonly goneText: string;
}

/** What a caution says at a level; `otherwise` serves the levels that are not named. */
type CautionWords = { readonly [level in CautionLevel]?: string } & { readonly otherwise: string };

export const GUIDE_LANGUAGES = ['en', 'es', 'ar'] as const;
export type GuideLanguage = (typeof GUIDE_LANGUAGES)[number];
