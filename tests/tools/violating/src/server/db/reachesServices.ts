// Repositories know no services.
export type * from '../services/reachesModels.ts';
