// Imports from a folder of the core without a layer.
export type * from '../helpers/anything.ts';
