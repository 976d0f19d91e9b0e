import type { Schema } from 'yup';
import {
  activityEntry,
  bookEntry,
  songEntry,
  thingEntry,
  type BookEntry,
  type SongEntry,
  type ThingEntry,
} from './shelfFile.ts';

export const ENTRY_KINDS = ['activity', 'book', 'song', 'thing'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

export type ShelfEntry = ThingEntry | BookEntry | SongEntry | { readonly key: string; readonly title: string };

/** The schema of one entry, by kind. */
export const ENTRY_SCHEMAS: Readonly<Record<EntryKind, Schema>> = {
  activity: activityEntry,
  book: bookEntry,
  song: songEntry,
  thing: thingEntry,
};

/** The section of the open format that each kind stands in. */
export const SECTION_OF = { activity: 'activities', book: 'books', song: 'songs', thing: 'things' } as const;

/** Reads a kind from an address; undefined when there is none of that name. */
export function asEntryKind(text: string | null | undefined): EntryKind | undefined {
  return ENTRY_KINDS.find((kind) => kind === text);
}

/** What an entry is called on the shelf: things by their plural. */
export function titleOf(entry: ShelfEntry): string {
  return 'title' in entry ? entry.title : entry.many;
}
