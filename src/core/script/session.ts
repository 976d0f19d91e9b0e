import type { MadeFrom } from '../makers/maker.ts';

/** A line is one instruction to the adult. */
export const LINE_KINDS = ['do', 'say', 'ask', 'notice', 'if', 'sing', 'read'] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** How a child sits or moves during a segment. */
export const POSTURES = ['seated', 'moving', 'free'] as const;
export type Posture = (typeof POSTURES)[number];

export const LEVELS = ['easier', 'right', 'harder'] as const;
export type LevelName = (typeof LEVELS)[number];

export const SEGMENT_KINDS = ['opening', 'book', 'song', 'activity', 'closing'] as const;
export type SegmentKind = (typeof SEGMENT_KINDS)[number];

/** A number, or an expression over the dials of the segment. */
export type Quantity = number | string;

/** Minutes as least, likely and most. */
export type Triple = readonly [number, number, number];
export type TripleOfQuantities = readonly [Quantity, Quantity, Quantity];

export interface Line {
  readonly id: string;
  readonly kind: LineKind;
  /** A template, see `renderTemplate`. For `if`, what stands before the first ": " is the case, the rest what to do. */
  readonly text: string;
  /** For `ask`: the answer an adult may expect, a template. */
  readonly answer?: string | undefined;
  /** Why one asks or does this, for the adult. */
  readonly why?: string | undefined;
}

export interface NumberDial {
  readonly name: string;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly value: number;
}

export interface ChoiceDial {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly string[];
  readonly value: string;
}

/** A number or choice that an activity exposes. Number dials turn by ones. */
export type Dial = NumberDial | ChoiceDial;

/** Most ways, by swaps that set dials, that are compared for one part at a home; a script with more is refused. */
export const MOST_WAYS = 512;

/** What else will do for a need. `sets` gives dials the values they have with this swap (a tray with 12 places). */
export interface Swap {
  readonly item: string;
  /** 0 (hardly) to 1 (as good). */
  readonly fit: number;
  readonly why: string;
  /**
   * How many of it serve the whole need, where it is not one for one: an expression over dials, `need` (the amount
   * at this home, children counted) and `places` (of the thing). Nothing multiplies it again.
   */
  readonly qty?: Quantity | undefined;
  readonly sets?: Readonly<Record<string, number>> | undefined;
}

export interface Need {
  readonly id: string;
  readonly item: string;
  readonly qty: Quantity;
  readonly per: 'home' | 'child';
  readonly use: 'lasting' | 'used-up';
  readonly swaps: readonly Swap[];
  /** The part can be done without it. */
  readonly optional?: boolean | undefined;
  /** It is eaten, and not only counted with or felt. */
  readonly eaten?: boolean | undefined;
}

/** Something to do before the day, by a home or by the author: so many days, open days or hours ahead (one of them). */
export interface Ahead {
  readonly who: 'home' | 'author';
  readonly days?: number | undefined;
  readonly workingDays?: number | undefined;
  readonly hours?: number | undefined;
  readonly text: string;
  /** Told only to homes that serve this need with this thing (the need's own when absent) from what they have. */
  readonly for?: { readonly need: string; readonly item?: string | undefined } | undefined;
}

export interface SegmentMinutes {
  readonly setup: TripleOfQuantities;
  readonly together: TripleOfQuantities;
  /** How long it then holds a child without the adult. */
  readonly alone: TripleOfQuantities;
  readonly tidy: TripleOfQuantities;
}

/** An easier or a harder way. One with neither dials nor lines is a tip, not a level: see `levels.ts`. */
export interface LevelChange {
  /** A note to the adult; may be empty. */
  readonly text: string;
  readonly dials: Readonly<Record<string, number | string>>;
  /** In place of the main lines; absent: the main lines, written with this level's dials. */
  readonly lines?: readonly Line[] | undefined;
  /** Other quantities of needs, by their ids. */
  readonly qty?: Readonly<Record<string, Quantity>> | undefined;
}

/** What an activity on the shelf and a segment of a session share. */
export interface ActivityBody {
  readonly aim: string;
  readonly skills: readonly string[];
  readonly dials: readonly Dial[];
  readonly lines: readonly Line[];
  readonly needs: readonly Need[];
  readonly minutes: SegmentMinutes;
  readonly posture: Posture;
  readonly where: string;
  readonly surface: string;
  readonly seating: string;
  /** `group` activities need a circle of children and are not for homes. */
  readonly size: 'home' | 'group';
  readonly levels: { readonly easier?: LevelChange | undefined; readonly harder?: LevelChange | undefined };
  readonly ahead: readonly Ahead[];
  /** Actions that bear the name of a caution rule, such as `water` or `scissors`. */
  readonly actions: readonly string[];
  /** Another way for hands, eyes, ears or legs that need one. */
  readonly access: string;
}

/** A part of a session: its own copy of what it was made from, so that the author can change it. */
export interface Segment extends ActivityBody {
  readonly id: string;
  readonly kind: SegmentKind;
  readonly title: string;
  /** The key on the shelf this was made from; absent for what was written on the bench. */
  readonly from?: string | undefined;
  readonly level: LevelName;
  /** What the dials said at "just right", so that one can come back from easier or harder. */
  readonly rightDials: Readonly<Record<string, number | string>>;
  /** For a book: how to tell it without the book in hand. */
  readonly retold?: string | undefined;
  /** What a number maker wrote it from: its lines and needs are made anew when a dial turns. */
  readonly made?: MadeFrom | undefined;
}

/** A session as a value: everything a guide is made from. */
export interface Session {
  readonly title: string;
  /** YYYY-MM-DD */
  readonly on: string;
  /** HH:MM, 24 hours; absent when homes choose. */
  readonly at?: string | undefined;
  readonly ages: { readonly fromMonths: number; readonly toMonths: number };
  readonly aim: string;
  readonly segments: readonly Segment[];
  /** Asides the author has answered with "on purpose", by id. */
  readonly accepted: readonly string[];
}

/** A household thing, as far as quantities, swaps and cautions need it. */
export interface Thing {
  readonly key: string;
  readonly one: string;
  readonly many: string;
  readonly traits: readonly string[];
  /** Largest side in millimetres, if it has one. */
  readonly sizeMm?: number | undefined;
  /** Hollows or places it has, such as the twelve of an egg carton. */
  readonly places?: number | undefined;
  readonly allergens: readonly string[];
}

export type ThingsByKey = Readonly<Record<string, Thing>>;

/** Tells a number dial from a choice. */
export function isNumberDial(dial: Dial): dial is NumberDial {
  return !('choices' in dial);
}

/** The values of the dials of a segment by name. */
export function dialValues(dials: readonly Dial[]): Record<string, number | string> {
  return Object.fromEntries(dials.map((dial) => [dial.name, dial.value]));
}
