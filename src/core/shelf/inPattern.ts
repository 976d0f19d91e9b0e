import type { Segment } from '../session/index.ts';

/**
 * Parts in the order of a pattern, such as book, activity, song: each place takes the first part of its kind that is left;
 * a place with nothing stays empty, and what has no place comes last. No parts: none.
 */
export function inPattern(pattern: readonly string[], parts: readonly Segment[]): Segment[] {
  const left = [...parts];
  const placed = pattern.flatMap((kind) => {
    const at = left.findIndex((part) => part.kind === kind);
    return at < 0 ? [] : left.splice(at, 1);
  });
  return [...placed, ...left];
}
