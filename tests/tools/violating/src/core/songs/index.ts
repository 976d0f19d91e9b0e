/** A public surface. */
export type * from './reachesUp.ts';
