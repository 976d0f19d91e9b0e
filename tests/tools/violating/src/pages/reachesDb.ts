// Pages ask services.
export type * from '../server/db/reachesServices.ts';
