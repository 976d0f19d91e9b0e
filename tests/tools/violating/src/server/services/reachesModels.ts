// Only db knows models.
export type * from '../db/models.ts';
