import type { Check } from '../check.ts';

/** A session at home is over by then, whatever nobody planned. */
const USUALLY_MOST = 45;
/** What a session is let run over. */
const GRACE = 1;

/** A session that likely takes longer than was planned for it. It is said at its longest part. */
export const overMinutes: Check = ({ segment, session, composed }) => {
  const planned = session.minutes ?? USUALLY_MOST;
  const likely = composed.runSheet.child.mean;
  if (likely <= planned + GRACE) return [];
  const middle = composed.segments.filter(({ segment: { kind } }) => kind !== 'opening' && kind !== 'closing');
  const longest = middle.toSorted((one, other) => other.together[1] - one.together[1])[0];
  if (longest?.segment.id !== segment.id) return [];
  return [
    {
      id: 'over-minutes',
      weight: 'warning',
      values: { likely: Math.round(likely), planned, isPlanned: session.minutes ? 1 : 0 },
    },
  ];
};
