import { type ComposedSession, timedParts } from '../guide/index.ts';
import { own } from '../message.ts';
import type { Edit } from '../session/index.ts';
import { type SeatedFlag, seatedRuns } from '../time/index.ts';
import type { Check } from './check.ts';

type MoveSegment = Extract<Edit, { do: 'move-segment' }>;

/** A sit that is too long, said where it ends, with the part that may be put in between. */
const seatedTooLong: Check = ({ segment, session, composed }) => {
  const flag = composed.runSheet.flags.find(({ to }) => to === segment.id);
  if (!flag) return [];
  const titleOf = (id: string) => own(session.segments.find((other) => other.id === id)?.title ?? id);
  const move = findBreakInSit(flag, composed);
  const allowed = Math.floor(flag.allowed);
  const values = {
    parts: flag.from === flag.to ? 1 : 2,
    from: titleOf(flag.from),
    to: titleOf(flag.to),
    minutes: Math.max(Math.round(flag.minutes), allowed + 1),
    allowed,
    moves: move ? 1 : 0,
    ...(move && { moved: titleOf(move.segment) }),
  };
  return [{ id: `sit:${flag.from}-${flag.to}`, weight: 'warning', values, remedy: move }];
};

/**
 * The move of one segment that is not seated into a long sit that shortens this sit most, and makes none longer than the
 * longest already is; nothing when no such move helps. Opening and closing stay where they are.
 */
function findBreakInSit(flag: SeatedFlag, composed: ComposedSession): MoveSegment | undefined {
  const parts = composed.segments;
  const first = parts.findIndex(({ segment }) => segment.id === flag.from);
  const last = parts.findIndex(({ segment }) => segment.id === flag.to);
  const inSit = new Set(parts.slice(first, last + 1).map(({ segment }) => segment.id));
  const sits = (order: typeof parts) => longestSits(order, inSit);
  const now = sits(parts);
  let best: { move: MoveSegment; longest: number } | undefined;
  for (const part of parts) {
    if (part.segment.posture === 'seated' || part.segment.kind === 'opening' || part.segment.kind === 'closing')
      continue;
    const others = parts.filter((other) => other !== part);
    const offset = parts.indexOf(part) < first ? -1 : 0;
    for (let to = first + 1 + offset; to <= last + offset; to++) {
      const moved = sits(others.toSpliced(to, 0, part));
      if (moved.ofThese >= now.ofThese - 1e-9 || moved.ofAll > now.ofAll + 1e-9) continue;
      if (best && moved.ofThese >= best.longest - 1e-9) continue;
      best = { move: { do: 'move-segment', segment: part.segment.id, to }, longest: moved.ofThese };
    }
  }
  return best?.move;
}

/** Minutes of the longest sit in an order of parts, and of the longest that holds one of these. */
function longestSits(
  order: ComposedSession['segments'],
  these: ReadonlySet<string>,
): { ofAll: number; ofThese: number } {
  const ids = order.map(({ segment }) => segment.id);
  const runs = seatedRuns(order.flatMap(timedParts));
  const holds = ({ from, to }: (typeof runs)[number]) =>
    ids.slice(ids.indexOf(from), ids.indexOf(to) + 1).some((id) => these.has(id));
  const longest = (some: typeof runs) => Math.max(0, ...some.map(({ minutes }) => minutes));
  return { ofAll: longest(runs), ofThese: longest(runs.filter(holds)) };
}

/** How long one sits. */
export const sitChecks = {
  'seated-too-long': seatedTooLong,
} as const satisfies Readonly<Record<string, Check>>;
