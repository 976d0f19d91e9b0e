import type { LevelName } from './levelName.ts';
import type { Line } from './line.ts';
import type { CurrencyName } from '../numbers/currencies.ts';

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
  /** What the author changed since; made again at each turn of a dial. */
  readonly changes?: AuthorChanges | undefined;
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
}
