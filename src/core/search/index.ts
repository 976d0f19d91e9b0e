/** Finding things by words, wherever that is done: one way to read what somebody typed. */

export { type Findable, findIn, findableIndex, type Found } from './findables.ts';
export { searchOptions } from './searchOptions.ts';
