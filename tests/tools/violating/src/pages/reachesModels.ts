// Only db knows models.
export type * from '../server/db/models.ts';
