/** Entries of the shelf, and parts of a session made from them. */

export { anotherBook, type KnownBook } from './anotherBook.ts';
export { effortOf, likelyMinutes } from './effort.ts';
export { type ActivityFilter, matchesFilter, type Season, SEASONS } from './filterActivities.ts';
export { segmentFromActivity } from './fromShelf.ts';
export { inPattern } from './inPattern.ts';
export { frameSegments, type NamedPart, segmentFor, type SessionFrame } from './segmentFor.ts';
export { saidLine } from './saidLine.ts';
export { readStoredEntry, writeStoredEntry } from './storedEntry.ts';
export { starterOffers, type StarterOffer } from './starterOffers.ts';
export { activityFromSegment, partAgain } from './toShelf.ts';
export type { ShelfActivity, ShelfBook, ShelfSong } from './shelfEntries.ts';
