// Breaks the rule of indexes: a file of a folder reads it through its own index.
export type * from './index.ts';
