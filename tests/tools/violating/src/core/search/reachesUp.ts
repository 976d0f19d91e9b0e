// Breaks the rule of its layer: imports from the one above it.
export type * from '../time/reachesUp.ts';
