import type { LevelName } from './levelName.ts';
import type { Line } from './line.ts';
import type { Quantity } from '../expressions/index.ts';
import type { Need } from '../materials/index.ts';
import type { Accent } from '../sounds/index.ts';
import type { WordGameEnd } from '../games/index.ts';
import type { CurrencyName } from '../numbers/index.ts';

/** How a school brings something new: free hands first, a set presentation in small steps, or inside daily life. */
export const NUMBER_SCHOOLS = ['hands-first', 'small-steps', 'daily-life'] as const;
/** How a school brings something new. */
export type NumberSchool = (typeof NUMBER_SCHOOLS)[number];

/** How a programme works with numbers; each has a default. */
export interface MakerSettings {
  /** Zero from the start, as the empty place; late: only once there are other numbers. */
  readonly zeroEarly: boolean;
  /** How far from things to signs the lines go. */
  readonly stage: 'objects' | 'pictures' | 'signs';
  /** Counting goes on past ten. */
  readonly pastTen: boolean;
  /** Play only: no sheets to fill in. */
  readonly playOnly: boolean;
  readonly isLeftHanded: boolean;
  readonly currency: CurrencyName;
  /** Absent in what was stored before there was a choice: hands first. */
  readonly school?: NumberSchool | undefined;
  /** How words are said here; absent: as in southern Britain. */
  readonly accent?: Accent | undefined;
  /** Letters that a child meets first; absent: small ones. */
  readonly letters?: 'small' | 'capitals' | undefined;
  /** Whether a letter is met by its sound or by its name; absent: by its sound. */
  readonly firstSaid?: 'sounds' | 'names' | undefined;
  /** When a game with words is over; absent: when every word was read often enough. */
  readonly wordGames?: WordGameEnd | undefined;
  /** The order in which sounds are taught, a group to a line; absent: our own. */
  readonly soundOrder?: string | undefined;
  /** Seconds that a turn of a game takes a younger child; absent: the usual. Likewise an older one. */
  readonly youngerSeconds?: number | undefined;
  readonly olderSeconds?: number | undefined;
  /** Of a hundred turns of a younger child's, how many go amiss, 0 to 90; absent: the usual. Likewise an older one's. */
  readonly youngerMisses?: number | undefined;
  readonly olderMisses?: number | undefined;
}

/** The school that settings follow; hands first where they do not say. */
export function schoolOf({ school }: MakerSettings): NumberSchool {
  return school ?? 'hands-first';
}

/** How a programme works with numbers before it decides anything. */
export const USUAL_SETTINGS: MakerSettings = {
  zeroEarly: true,
  stage: 'objects',
  pastTen: true,
  playOnly: false,
  isLeftHanded: false,
  currency: 'pence',
};

/** Which edition of their words makers write now. */
export const WORDS_EDITION = 2;

/** The values of a maker's dials by name. */
export type MakerValues = Readonly<Record<string, number | string>>;

/** What a part of a session was made from. */
export interface MakerSource {
  readonly maker: string;
  readonly values: MakerValues;
  readonly settings: MakerSettings;
  /** The edition of the maker's words that stand in the part; absent: the first. */
  readonly edition?: number | undefined;
  /** What its minutes are multiplied by for each way of running it, after homes' answers; absent: as the maker plans. */
  readonly paces?: Readonly<Record<string, number>> | undefined;
  /** What the author changed since; made again at each turn of a dial. */
  readonly changes?: AuthorChanges | undefined;
}

/** The name under which answers about a maker's part are kept: its maker and the way it was run. */
export function answersKey({ maker, values }: Pick<MakerSource, 'maker' | 'values'>): string {
  return values.variant === undefined ? `maker:${maker}` : `maker:${maker}:${values.variant}`;
}

/** An author's changes to the lines of a level, by the ids of the maker's lines. */
export interface LevelChanges {
  readonly level: LevelName;
  readonly rewritten: Readonly<Record<string, Line>>;
  readonly removed: readonly string[];
  /** Lines of the author's own, each behind another (null: in front). */
  readonly added: readonly { readonly after: string | null; readonly line: Line }[];
  /** The maker's lines in another order than it writes them. */
  readonly order?: readonly string[] | undefined;
}

/** An author's changes to a part that a maker writes. */
export interface AuthorChanges {
  readonly lines?: readonly LevelChanges[] | undefined;
  /** Swaps taken over: what stands in the place of what the maker says. */
  readonly needs?: readonly { readonly need: string; readonly item: string }[] | undefined;
  /** Amounts and uses that the author set otherwise. */
  readonly changedNeeds?: readonly { readonly need: string; readonly change: NeedChange }[] | undefined;
  /** Needs that the author took out, by id. */
  readonly removedNeeds?: readonly string[] | undefined;
  /** Needs of the author's own, behind those of the maker. */
  readonly addedNeeds?: readonly Need[] | undefined;
}

/** What an author sets otherwise of a need. */
export interface NeedChange {
  readonly qty?: Quantity | undefined;
  readonly per?: Need['per'] | undefined;
  readonly use?: Need['use'] | undefined;
  readonly optional?: boolean | undefined;
  readonly eaten?: boolean | undefined;
}
