import type { Message } from '../message.ts';
import type { LevelName } from './levelName.ts';
import type { Lead } from '../calendar/index.ts';
import type { Dial } from './dial.ts';
import type { Line } from './line.ts';
import type { MakerSource } from './makerSource.ts';
import type { Need } from '../materials/index.ts';
import type { Quantity } from '../expressions/index.ts';

/** How a child sits or moves during a segment. */
export const POSTURES = ['seated', 'moving', 'free'] as const;
/** How a child sits or moves. */
export type Posture = (typeof POSTURES)[number];

/** What a part of a session can be. */
export const SEGMENT_KINDS = ['opening', 'book', 'song', 'activity', 'closing'] as const;
/** What a part is. */
type SegmentKind = (typeof SEGMENT_KINDS)[number];
/** Least, likely and most, each a number or an expression over dials. */
export type TripleOfQuantities = readonly [Quantity, Quantity, Quantity];

/** Something to do before the day, by a home or by the author: so many days, open days or hours ahead (one of them). */
interface Ahead extends Lead {
  readonly who: 'home' | 'author';
  readonly text: string;
  /** Told only to homes that serve this need with this thing (the need's own when absent) from what they have. */
  readonly for?: { readonly need: string; readonly item?: string | undefined } | undefined;
}

/** The minutes of a part by what they are spent on. */
interface SegmentMinutes {
  readonly setup: TripleOfQuantities;
  readonly together: TripleOfQuantities;
  /** How long it then holds a child without the adult. */
  readonly alone: TripleOfQuantities;
  readonly tidy: TripleOfQuantities;
  /** What dries, rises or freezes within the day before one goes on; it is not sitting, and something else is done meanwhile. */
  readonly wait?: TripleOfQuantities | undefined;
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
  /** The line that its waiting comes after. */
  readonly waitAfter?: string | undefined;
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
  /** What its title was said from; gone once an author writes another. */
  readonly says?: Message | undefined;
  /** The key on the shelf this was made from; absent for what was written on the bench. */
  readonly from?: string | undefined;
  readonly level: LevelName;
  /** What the dials said at "just right", so that one can come back from easier or harder. */
  readonly rightDials: Readonly<Record<string, number | string>>;
  /** For a book: how to tell it without the book in hand. */
  readonly retold?: string | undefined;
  /** What a number maker wrote it from: its lines and needs are made anew when a dial turns. */
  readonly made?: MakerSource | undefined;
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
  /** Findings the author has answered with "on purpose", by id. */
  readonly accepted: readonly string[];
  /** Of these, what they were answered about and why; one without an entry was answered before there were any. */
  readonly kept?: Readonly<Record<string, KeptFinding>> | undefined;
  /** What authors noted on its lines for each other; no home sees it. */
  readonly remarks?: readonly Remark[] | undefined;
  /** The minutes that are planned for it; absent: as long as it takes. */
  readonly minutes?: number | undefined;
}

/** A note of an author on a part or one of its lines, for those who write; it goes once it is dealt with. */
export interface Remark {
  readonly id: string;
  readonly part: string;
  readonly line?: string | undefined;
  readonly text: string;
  /** Who wrote it, by name, and when. */
  readonly by: string;
  readonly at: string;
}

/** What an author keeps on purpose: it stays answered until the text it is about changes. */
export interface KeptFinding {
  readonly text: string;
  readonly because?: string | undefined;
}

/**
 * Parts with an id each: of several that share one, kept before that was refused, the later get another, the same each
 * time. Parts that have their own stay as they are. No parts: none.
 */
export function withOwnIds(segments: readonly Segment[]): readonly Segment[] {
  const taken = new Set(segments.map(({ id }) => id));
  if (taken.size === segments.length) return segments;
  const seen = new Set<string>();
  return segments.map((segment) => {
    let { id } = segment;
    for (let count = 2; seen.has(id) || (id !== segment.id && taken.has(id)); count++) id = `${segment.id}-${count}`;
    seen.add(id);
    return id === segment.id ? segment : { ...segment, id };
  });
}
