// Islands stay in the browser.
export type * from '../server/services/reachesModels.ts';
