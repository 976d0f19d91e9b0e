import type { LevelName, Segment } from '../session/index.ts';
import type { Drawing } from '../page/index.ts';
import type { Caution } from '../cautions/index.ts';
import type { HomeState } from '../homes/index.ts';
import type { Scope } from '../expressions/index.ts';

/** A line as a home reads it. */
export interface GuideLine {
  readonly kind: Segment['lines'][number]['kind'];
  readonly text: string;
  readonly answer?: string | undefined;
  readonly why?: string | undefined;
  /** Likely whole minutes that something dries, rises or freezes after it. */
  readonly wait?: number | undefined;
  /** What it is written in, BCP 47; copies of before do not say: the author's. */
  readonly lang?: string | undefined;
  /** Whose it is, where there are two children or more. */
  readonly role?: 'older' | 'younger' | undefined;
}

/** A part written whole at one level. */
export interface GuideLevel {
  readonly lines: readonly GuideLine[];
  /** What the level says beside its lines. */
  readonly note?: string | undefined;
  /** What the fetch list grows by when this part is done at this level. */
  readonly more: readonly { readonly item: string; readonly name: string; readonly qty: number }[];
  /** Likely minutes of the child, to a tenth. */
  readonly minutes: number;
}

/** What the laid table, the row or the strip looks like, and the same in words for those who do not see it. */
export interface GuidePicture {
  readonly drawing: Drawing;
  readonly words: string;
  /** What the words are written in, BCP 47. */
  readonly lang: string;
}

/** A part as a home gets it, whole at each level it may choose. */
export interface GuideSegment {
  readonly id: string;
  readonly title: string;
  /** What the title is written in; absent: the author's language. */
  readonly lang?: string | undefined;
  readonly kind: Segment['kind'];
  /** The key on the shelf it came from, or the maker that wrote it, for what homes answer. */
  readonly from?: string | undefined;
  /** Nothing of it is for this home: something it cannot do without is not permitted there. */
  readonly leftOut: boolean;
  /** What it waits for, by name: the home said that it has not got it. Absent: nothing. */
  readonly waitsFor?: readonly string[] | undefined;
  /** What a smaller child does meanwhile, in the home's language. Absent: nothing is said. */
  readonly meanwhile?: string | undefined;
  readonly aim: string;
  /** Likely minutes of the child at the level that was sent, to a tenth. */
  readonly minutes: number;
  readonly setupMinutes: number;
  readonly where: string;
  readonly surface: string;
  readonly seating: string;
  /** The level it was sent at. */
  readonly level: LevelName;
  readonly levels: { readonly [level in LevelName]?: GuideLevel | undefined };
  /** Ways that are a sentence and no level. */
  readonly tips: { readonly easier?: string | undefined; readonly harder?: string | undefined };
  readonly access: string;
  readonly cautions: readonly Caution[];
  /** Things this home is not to use and that nothing replaces. */
  readonly withheld: readonly { readonly item: string; readonly name: string }[];
  /** Things that this home has not and nobody gives out, with what else would do. Absent in copies of before. */
  readonly missing?: readonly { readonly name: string; readonly elseDo: readonly string[] }[] | undefined;
  /** How it looks, where a look is worth a sentence. */
  readonly picture?: GuidePicture | undefined;
  /** Sounds that the adult says by themselves in it, with the letters that stand for them. */
  readonly sounds?: readonly { readonly sound: string; readonly letters: string }[] | undefined;
  /** The dials with what this home's swaps set. */
  readonly dials: Scope;
}

/** A thing on a home's fetch list, as many as it needs, from its own stock or from a kit. */
export interface GuideThing {
  readonly item: string;
  readonly name: string;
  readonly qty: number;
  /** The script's own thing, where this home uses another. */
  readonly insteadOf?: string | undefined;
  readonly insteadOfItem?: string | undefined;
  readonly why?: string | undefined;
  /** From the home, in a bag from the programme, or missing there. Copies of before know no missing ones. */
  readonly source: 'home' | 'kit' | 'missing';
  /** How many come in the bag, where it is not all of them. Absent in copies of before. */
  readonly kitQty?: number | undefined;
  /** For one that is missing: what else would do, by name. */
  readonly elseDo?: readonly string[] | undefined;
}

/** A book that is read, and what to do when it is not at hand. */
interface GuideBook {
  readonly title: string;
  /** How to tell it without the book; absent: from the pictures or from memory. */
  readonly retold?: string | undefined;
  /** Another book of the shelf that serves the aim. */
  readonly another?: string | undefined;
}

/** What one home receives: a fixed copy with this home's numbers, things and cautions worked in. */
export interface Guide {
  readonly title: string;
  readonly programme: string;
  readonly on: string;
  readonly at?: string | undefined;
  readonly aim: string;
  readonly home: string;
  readonly state: HomeState;
  /** Whether it was proved that nothing at this home serves better. Absent in copies of before. */
  readonly isProved?: boolean | undefined;
  readonly children: readonly string[];
  readonly minutes: { readonly likely: number; readonly low: number; readonly high: number };
  readonly setupMinutes: number;
  readonly fetch: readonly GuideThing[];
  readonly books: readonly GuideBook[];
  readonly songs: readonly string[];
  readonly before: readonly { readonly days: number; readonly text: string }[];
  readonly segments: readonly GuideSegment[];
}
