/** Finding things by words, wherever that is done: one way to read what somebody typed. */

export { type Findable, findIn, findableIndex, type Found, MOST_FOUND } from './findables.ts';
export { searchOptions } from './searchOptions.ts';
