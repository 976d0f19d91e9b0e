import { timedParts, type ComposedSession } from '../guide/composition.ts';
import type { Edit } from '../session/edit.ts';
import { seatedRuns, type SeatedFlag } from '../time/runSheet.ts';

type MoveSegment = Extract<Edit, { do: 'move-segment' }>;

/**
 * The move of one segment that is not seated into a long sit that shortens the longest part of it most; nothing
 * when no such move helps. Opening and closing stay where they are.
 */
export function findBreakInSit(flag: SeatedFlag, composed: ComposedSession): MoveSegment | undefined {
  const parts = composed.segments;
  const first = parts.findIndex(({ segment }) => segment.id === flag.from);
  const last = parts.findIndex(({ segment }) => segment.id === flag.to);
  let best: { move: MoveSegment; longest: number } | undefined;
  const longestSit = (order: typeof parts) =>
    Math.max(0, ...seatedRuns(order.flatMap(timedParts)).map(({ minutes }) => minutes));
  const longestNow = longestSit(parts);
  for (const part of parts) {
    if (part.segment.posture === 'seated' || part.segment.kind === 'opening' || part.segment.kind === 'closing')
      continue;
    const others = parts.filter((other) => other !== part);
    const offset = parts.indexOf(part) < first ? -1 : 0;
    for (let to = first + 1 + offset; to <= last + offset; to++) {
      const longest = longestSit(others.toSpliced(to, 0, part));
      if (longest >= longestNow - 1e-9 || (best && longest >= best.longest - 1e-9)) continue;
      best = { move: { do: 'move-segment', segment: part.segment.id, to }, longest };
    }
  }
  return best?.move;
}
