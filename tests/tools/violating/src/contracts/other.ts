// The other half of the circle.
export type * from './one.ts';
