import type { ShelfActivity, ShelfBook, ShelfSong } from '../core/shelf/index.ts';
import { asKnown, type Thing, type ThingsByKey } from '../core/materials/index.ts';
import { checkScript, type PlacesByItem, type ScriptFault, placesOf, type Segment } from '../core/session/index.ts';
import type { SessionEntry } from './sessionEntry.ts';
import type { BookEntry, HomeEntry, SongEntry, ThingEntry } from './shelfFile.ts';

/** An activity as the open format has it. */
interface ActivityOfFile extends ShelfActivity {
  readonly themes: readonly string[];
}

/** The sections of an open-format file, each of them there. */
export interface FileSections {
  readonly things: readonly ThingEntry[];
  readonly books: readonly BookEntry[];
  readonly songs: readonly SongEntry[];
  readonly activities: readonly ActivityOfFile[];
  readonly homes: readonly HomeEntry[];
  readonly sessions: readonly SessionEntry[];
}

/** What is wrong in a file, where, with what explains it; `messages/fileProblems` says it. */
export type FileProblem = { readonly path: string } & (
  | { readonly code: 'script'; readonly fault: ScriptFault }
  /** `first`: where the same name stands already. */
  | { readonly code: 'twice'; readonly name: string; readonly first: string }
  | { readonly code: 'not-known'; readonly item: string }
  /** A home has what it said it has not. */
  | { readonly code: 'had'; readonly item: string }
);

/** Fills in the sections that a file leaves out. */
export function withSections(file: Partial<FileSections>): FileSections {
  const { things = [], books = [], songs = [], activities = [], homes = [], sessions = [] } = file;
  return { things, books, songs, activities, homes, sessions };
}

/** The things of a file by key. */
export function thingsOf(things: readonly ThingEntry[]): ThingsByKey {
  return Object.fromEntries(things.map((thing): [string, Thing] => [thing.key, asKnown(thing)]));
}

/** The books, songs and activities of a file, as parts of sessions are made from them. */
export function sourcesOf({ books, songs, activities }: Pick<FileSections, 'books' | 'songs' | 'activities'>): {
  books: readonly ShelfBook[];
  songs: readonly ShelfSong[];
  activities: readonly ShelfActivity[];
} {
  return { books, songs, activities };
}

/**
 * Everything wrong in a file whose shape is right: what is there twice, scripts that do not come out, things that
 * nobody knows. `known` are the things that are on the shelf already. A sound file gives an empty list.
 */
export function checkContents(file: FileSections, known: readonly Pick<ThingEntry, 'key' | 'places'>[]): FileProblem[] {
  const places = placesOf([...known, ...file.things]);
  return [
    ...findRepeats(file),
    ...file.activities.flatMap((activity, index) => scriptProblems(activity, `activities[${index}]`, places)),
    ...file.sessions.flatMap(({ segments }, index) =>
      (segments ?? []).flatMap((segment, at) => scriptProblems(segment, `sessions[${index}].segments[${at}]`, places)),
    ),
    ...findMissingThings(file, known),
  ];
}

/** What does not come out in one script, by its place in the file. */
function scriptProblems(
  script: Pick<Segment, 'title'> & Parameters<typeof checkScript>[0],
  at: string,
  places: PlacesByItem,
): FileProblem[] {
  return checkScript(script, script.title, { places }).map(({ path, fault }) => ({
    path: `${at}.${path}`,
    code: 'script' as const,
    fault,
  }));
}

function findRepeats(file: FileSections): FileProblem[] {
  const { things, books, songs, activities, homes } = file;
  return [
    ...Object.entries({ things, books, songs, activities }).flatMap(([section, entries]) =>
      repeatsIn(
        entries.map(({ key }) => key),
        section,
        'key',
      ),
    ),
    ...repeatsIn(
      homes.map(({ nickname }) => nickname),
      'homes',
      'nickname',
    ),
    ...homes.flatMap((home, index) => [
      ...repeatsIn(
        home.children.map(({ nickname }) => nickname),
        `homes[${index}].children`,
        'nickname',
      ),
      ...repeatsIn(
        home.things.map(({ item }) => item),
        `homes[${index}].things`,
        'item',
      ),
      ...(home.hasNot ?? []).flatMap((item, at) =>
        home.things.some((thing) => thing.item === item && thing.qty > 0)
          ? [{ path: `homes[${index}].hasNot[${at}]`, code: 'had' as const, item }]
          : [],
      ),
    ]),
  ];
}

function repeatsIn(names: readonly string[], at: string, field: string): FileProblem[] {
  const first = new Map<string, number>();
  return names.flatMap((name, index) => {
    if (!first.has(name)) first.set(name, index);
    return first.get(name) === index
      ? []
      : [{ path: `${at}[${index}].${field}`, code: 'twice', name, first: `${at}[${first.get(name)}]` }];
  });
}

function findMissingThings(file: FileSections, onShelf: readonly { readonly key: string }[]): FileProblem[] {
  const known = new Set([...onShelf, ...file.things].map(({ key }) => key));
  const check = (item: string, path: string): FileProblem[] =>
    known.has(item) ? [] : [{ path, code: 'not-known', item }];
  const ofNeeds = (needs: Segment['needs'], at: string) =>
    needs.flatMap((need, index) => [
      ...check(need.item, `${at}.needs[${index}].item`),
      ...need.swaps.flatMap(({ item }, swap) => check(item, `${at}.needs[${index}].swaps[${swap}].item`)),
    ]);
  return [
    ...file.activities.flatMap(({ needs }, index) => ofNeeds(needs, `activities[${index}]`)),
    ...file.sessions.flatMap(({ segments }, index) =>
      (segments ?? []).flatMap(({ needs }, at) => ofNeeds(needs, `sessions[${index}].segments[${at}]`)),
    ),
    ...file.homes.flatMap(({ things, hasNot = [] }, index) => [
      ...things.flatMap(({ item }, thing) => check(item, `homes[${index}].things[${thing}].item`)),
      ...hasNot.flatMap((item, thing) => check(item, `homes[${index}].hasNot[${thing}]`)),
    ]),
  ];
}
