import { saidLine } from './saidLine.ts';
import type { Speech } from '../message.ts';
import {
  type LevelName,
  type LineKind,
  type MakerProblem,
  type MakerSettings,
  type MakerValues,
  plainSegment,
  type Segment,
} from '../session/index.ts';
import type { ReadingPace } from '../time/index.ts';
import type { ShelfActivity, ShelfBook, ShelfSong } from './shelfEntries.ts';
import { type FindMaker, segmentFromMaker } from '../makers/index.ts';
import { err, ok, type Outcome } from '../outcome.ts';
import { segmentFromActivity, segmentFromBook, segmentFromSong } from './fromShelf.ts';

/** Where parts of a session come from. */
export interface PartSources {
  readonly books: readonly ShelfBook[];
  readonly songs: readonly ShelfSong[];
  readonly activities: readonly ShelfActivity[];
}

/** A part as a file or a form names it: an entry of the shelf by its key, or a maker with its values. */
export type NamedPart =
  | { readonly kind: 'book' | 'song' | 'activity'; readonly key: string }
  | {
      readonly kind: 'maker';
      readonly maker: string;
      readonly values: MakerValues;
      readonly level?: LevelName | undefined;
    };

/** What a part is made with: an id, the programme's pace, words and way with numbers. */
export interface PartContext {
  /** Unique in the session. */
  readonly id: string;
  readonly pace: ReadingPace;
  /** The words of the programme's language. */
  readonly speech: Speech;
  readonly findMaker: FindMaker;
  readonly numbers: MakerSettings;
}

/** Why there is no such part. */
export type PartProblem =
  | { readonly code: 'not-there'; readonly key: string }
  | { readonly code: 'maker-refuses'; readonly problem: MakerProblem };

/** A part of a session from what it names; a problem when that is not there or the maker refuses its values. */
export function segmentFor(
  part: NamedPart,
  sources: PartSources,
  { id, pace, speech, findMaker, numbers }: PartContext,
): Outcome<Segment, PartProblem> {
  if (part.kind === 'maker') {
    const maker = findMaker(part.maker);
    if (!maker) return err({ code: 'not-there', key: part.maker });
    const made = segmentFromMaker(maker, { values: part.values, settings: numbers, id, speech });
    if (!made.ok) return err({ code: 'maker-refuses', problem: made.problem });
    return ok({ ...made.value, level: part.level ?? 'right' });
  }
  const segment = fromShelf(part, sources, { id, pace, speech });
  return segment ? ok(segment) : err({ code: 'not-there', key: part.key });
}

function fromShelf(
  { kind, key }: { readonly kind: 'book' | 'song' | 'activity'; readonly key: string },
  { books, songs, activities }: PartSources,
  { id, pace, speech }: Omit<PartContext, 'numbers' | 'findMaker'>,
): Segment | null {
  const named = <Entry extends { readonly key: string }>(entries: readonly Entry[]) =>
    entries.find((entry) => entry.key === key);
  if (kind === 'book') {
    const book = named(books);
    return book ? segmentFromBook(book, id, { pace, speech }) : null;
  }
  if (kind === 'song') {
    const song = named(songs);
    return song ? segmentFromSong(song, id, speech) : null;
  }
  const activity = named(activities);
  return activity ? segmentFromActivity(activity, id) : null;
}

/** How a session begins or ends: with our own words, as a framing's name, or with a part, such as a song. */
export type SessionFrame = string | Segment;

/**
 * Puts a hello before and a goodbye after the parts of a session, in the words of the programme's language: `begin` and
 * `end` say which.
 */
export function frameSegments(
  middle: readonly Segment[],
  {
    opening,
    closing,
    speech,
    begin = 'hello',
    end = 'goodbye',
  }: {
    opening: string;
    closing: string;
    speech: Speech;
    begin?: SessionFrame | undefined;
    end?: SessionFrame | undefined;
  },
): Segment[] {
  const frame = (
    kind: 'opening' | 'closing',
    { id, name }: { id: string; name: string },
    lines: readonly LineKind[],
  ): Segment => ({
    ...plainSegment(id, kind, speech.say(`framing/${name}`), [1, 2, 3]),
    says: { key: `framing/${name}` },
    lines: lines.map((line) => saidLine(`${name}-${line}`, line, { key: `framing/${name}-${line}` }, speech)),
  });
  return [
    typeof begin === 'string' ? frame('opening', { id: opening, name: begin }, ['do', 'say', 'if']) : begin,
    ...middle,
    typeof end === 'string' ? frame('closing', { id: closing, name: end }, ['ask', 'do']) : end,
  ];
}
