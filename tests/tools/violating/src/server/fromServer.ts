export type FromServer = 'reached';
