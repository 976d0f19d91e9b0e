// One half of a circle, through types only.
export type * from './other.ts';
