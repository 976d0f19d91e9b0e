// Contracts know the core only.
export type * from '../server/services/reachesModels.ts';
