import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ThingEntry, SongEntry } from '../contracts/shelfFile.ts';
import type { StarterFile } from '../contracts/starterFile.ts';
import { readStoredEntry } from '../core/shelf/index.ts';
import { asKnown, type ThingsByKey } from '../core/materials/index.ts';
import { ROOT } from '../threads/root.ts';
import type { ActivityEntry, ShelfKind } from './db/repositories/shelfEntry.ts';

/** An entry of the starter collection. */
export interface StarterEntry {
  readonly kind: ShelfKind;
  readonly key: string;
  readonly title: string;
  readonly body: object;
}

/** The collection that a new programme begins with, as `starter/` holds it. */
export interface Starter extends Pick<StarterFile, 'openings' | 'closings' | 'patterns'> {
  readonly version: number;
  readonly entries: readonly StarterEntry[];
  readonly songs: readonly SongEntry[];
  readonly activities: readonly ActivityEntry[];
  /** Its things by key: known by name and cautions to every programme, on its shelf or not. */
  readonly things: ThingsByKey;
}

let read: Starter | undefined;

/** The starter collection, read once a process. Its files come with the program and are checked by the tests. */
export function starter(): Starter {
  read ??= readStarter();
  return read;
}

function readStarter(): Starter {
  const { collection: version, openings, closings, patterns } = file<StarterFile>('collection');
  const { things } = file<{ things: ThingEntry[] }>('things');
  const { songs } = file<{ songs: SongEntry[] }>('songs');
  // In today's shape, as a shelf gives it back.
  const activities = file<{ activities: object[] }>('activities').activities.map((entry) =>
    readStoredEntry<ActivityEntry>(entry),
  );
  const named =
    (kind: ShelfKind) =>
    (body: { readonly key: string; readonly title: string }): StarterEntry => ({
      kind,
      key: body.key,
      title: body.title,
      body,
    });
  return {
    version,
    openings,
    closings,
    patterns,
    entries: [
      ...things.map((body): StarterEntry => ({ kind: 'thing', key: body.key, title: body.many, body })),
      ...songs.map(named('song')),
      ...activities.map(named('activity')),
    ],
    songs,
    activities,
    things: Object.fromEntries(things.map((thing) => [thing.key, asKnown(thing)])),
  };
}

function file<Content>(name: string): Content {
  return JSON.parse(readFileSync(join(ROOT, 'starter', `${name}.json`), 'utf8')) as Content;
}
