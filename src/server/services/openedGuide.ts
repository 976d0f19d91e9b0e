import type { GuideLanguage } from '../../core/languages.ts';
import type { LevelName } from '../../core/session/index.ts';
import type { ReplyForm } from '../../contracts/reply.ts';
import type { Guide } from '../../core/guide/index.ts';

/** What a home sees by its link. */
export interface OpenedGuide {
  readonly linkId: string;
  readonly edition: number;
  readonly guide: Guide;
  readonly language: GuideLanguage;
  readonly sentAt: Date;
  /** The edition that this home had before this one; null for its first. */
  readonly earlier: number | null;
  /** The newest edition, where this is an older one. */
  readonly newer: number | null;
  /** Whether the home said that the book is not at hand. */
  readonly isWithoutBook: boolean;
  /** What the home said it has not got. */
  readonly lacks: readonly { readonly item: string; readonly name: string }[];
  /** The sounds that the programme has recorded and lets homes hear. */
  readonly recorded: readonly string[];
  /** Whether homes write down which words were read. */
  readonly asksWords: boolean;
  readonly reply: KeptReply | null;
}

/** What a home answered, as it stands. */
export interface KeptReply {
  readonly outcome: ReplyForm['outcome'];
  readonly note: string;
  readonly repliedAt: Date;
  readonly parts: readonly {
    readonly segment: string;
    readonly minutes: number | null;
    readonly ease: string | null;
    readonly level: LevelName | null;
  }[];
}
