// Services know no pages.
export type * from '../../islands/reachesServer.ts';
