import { spreadOf } from '../../time/index.ts';
import type { Check } from '../check.ts';

/** A session of so many minutes and more wants something to move to. */
const MINUTES_WITHOUT = 8;

/** A session in which nobody gets up. It is said at the last part that is sat through. */
export const nothingMoves: Check = ({ segment, session, composed }) => {
  if (session.segments.some(({ posture }) => posture === 'moving' || posture === 'free')) return [];
  const minutes = composed.segments.reduce((sum, { together }) => sum + spreadOf(together).mean, 0);
  const middle = session.segments.filter(({ kind }) => kind !== 'opening' && kind !== 'closing');
  if (minutes < MINUTES_WITHOUT || middle.at(-1)?.id !== segment.id) return [];
  return [{ id: 'nothing-moves', weight: 'warning', values: { minutes: Math.round(minutes) } }];
};
