import { byCodeUnit } from '../ordering.ts';

/** A book of the shelf, as far as another one is looked for. */
export interface KnownBook {
  readonly key: string;
  readonly title: string;
  readonly skills: readonly string[];
}

/**
 * The title of another book that serves the same aim: one that shares more than half of the skills, the most first,
 * then by title. Undefined when there is none.
 */
export function anotherBook(
  book: { readonly from?: string | undefined; readonly title: string; readonly skills: readonly string[] },
  books: readonly KnownBook[],
): string | undefined {
  const shared = (other: KnownBook) => other.skills.filter((skill) => book.skills.includes(skill)).length;
  return books
    .filter((other) => other.key !== book.from && other.title !== book.title && shared(other) * 2 > book.skills.length)
    .sort((left, right) => shared(right) - shared(left) || byCodeUnit(left.title, right.title))[0]?.title;
}
