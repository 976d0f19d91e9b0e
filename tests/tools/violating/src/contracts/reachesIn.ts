// Breaks the rule of indexes: reads a file of a core folder past the folder's index.
export type * from '../core/songs/reachesUp.ts';
