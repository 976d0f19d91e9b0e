import { isAuthored } from '../authored.ts';
import type { Check } from '../check.ts';

const PLACE =
  /\b(?:table|floor|rug|carpet|tray|lap|sofa|bed|sink|bath|basin|window|wall|door|kitchen|outside|outdoors|garden|stairs?|steps?|chairs?|mat|cushions?|side by side|next to|opposite|facing|worktop|counter|cloth|towel|pavement|path|in the hand|walk|shelf|room)\b/i;

/** A part with things to put out or somebody to sit, that nowhere says on what or where. */
export const noPlace: Check = ({ segment, said }) => {
  if (segment.kind !== 'activity' || !isAuthored(segment) || segment.posture === 'moving' || segment.lines.length === 0)
    return [];
  const { where, surface, seating, needs } = segment;
  if (needs.length === 0 || where.trim() || surface.trim() || seating.trim()) return [];
  if (said.some(({ text }) => PLACE.test(text))) return [];
  return [{ id: `place:${segment.id}`, weight: 'warning' }];
};
