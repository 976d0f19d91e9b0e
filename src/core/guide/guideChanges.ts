import type { Guide } from './guide.ts';

/** In what a home's guide is otherwise than the one it had. */
export type GuideChange =
  | { readonly code: 'day' | 'fetch' | 'words' }
  | { readonly code: 'part-new' | 'part-gone' | 'part-changed'; readonly title: string };

/**
 * What is otherwise in a guide than in the one before, the weightiest first: the day, new, changed and missing parts by
 * title, what is fetched, and anything else as words. The same guide: none.
 */
export function guideChanges(before: Guide, after: Guide): GuideChange[] {
  if (isSame(before, after)) return [];
  const former = new Map(before.segments.map((segment) => [segment.id, segment]));
  const now = new Set(after.segments.map(({ id }) => id));
  const changes: GuideChange[] = [
    ...(before.on !== after.on || before.at !== after.at ? [{ code: 'day' as const }] : []),
    ...after.segments.flatMap((segment): GuideChange[] => {
      const { title } = segment;
      const known = former.get(segment.id);
      if (!known) return [{ code: 'part-new', title }];
      return isSame(known, segment) ? [] : [{ code: 'part-changed', title }];
    }),
    ...before.segments.flatMap(({ id, title }): GuideChange[] => (now.has(id) ? [] : [{ code: 'part-gone', title }])),
    ...(isSame(before.fetch, after.fetch) ? [] : [{ code: 'fetch' as const }]),
  ];
  return changes.length > 0 ? changes : [{ code: 'words' }];
}

/** What is absent and what is undefined are one, and the order of fields is none: one of the two was kept as JSON. */
function isSame(one: unknown, other: unknown): boolean {
  return JSON.stringify(one, sorted) === JSON.stringify(other, sorted);
}

function sorted(_name: string, value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([one], [other]) => (one < other ? -1 : 1)));
}
