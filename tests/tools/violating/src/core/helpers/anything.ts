// Lies in a folder of the core without a layer.
export type * from '../outcome.ts';
