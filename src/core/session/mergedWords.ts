import { diff3Merge } from 'node-diff3';

interface Versions {
  readonly before: string;
  /** As somebody else made it meanwhile. */
  readonly now: string;
  readonly wanted: string;
}

/** Words, blanks and blocks, each whole. */
const tokensOf = (text: string) => text.match(/\{\{|\{[^}]*\}?|\s+|[^\s{]+/g) ?? [];

/** Two changes of one text, merged word by word; null where both changed the same words differently. */
export function mergedWords({ before, now, wanted }: Versions): string | null {
  if (now === before || now === wanted) return wanted;
  if (wanted === before) return now;
  const regions = diff3Merge(tokensOf(wanted), tokensOf(before), tokensOf(now), { excludeFalseConflicts: true });
  if (regions.some(({ conflict }) => conflict)) return null;
  return regions.flatMap(({ ok }) => ok ?? []).join('');
}
