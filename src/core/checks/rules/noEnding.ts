import type { Check } from '../check.ts';

/** A session that stops and does not end: no closing, which is said at its last part. */
export const noEnding: Check = ({ segment, session }) => {
  const last = session.segments.at(-1);
  if (last?.id !== segment.id || session.segments.some(({ kind }) => kind === 'closing')) return [];
  return [{ id: 'no-ending', weight: 'warning' }];
};
