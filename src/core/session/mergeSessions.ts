import { applyChanges, type Change, changesBetween } from './changes.ts';
import type { Segment, Session } from './session.ts';

/**
 * What we made of a session, put onto what somebody else made of it meanwhile. Nothing that was written is lost: a part or a
 * line that one of us took out and the other wrote in stays; where both changed the same words of a line, it bears both.
 * @example mergeSessions({ before, ours, theirs: before }) // ours
 */
export function mergeSessions({ before, ours, theirs }: { before: Session; ours: Session; theirs: Session }): Session {
  const mine = changesBetween(before, ours);
  if (mine.length === 0) return theirs;
  const former = byId(before.segments);
  const there = byId(theirs.segments);
  const wrote = new Set(mine.flatMap((change) => ('part' in change ? [change.part] : [])));
  const back = ours.segments.filter(({ id }) => wrote.has(id) && former.has(id) && !there.has(id));
  const isWritten = (id: string) =>
    there.has(id) && there.get(id) !== former.get(id) && !isSame(there.get(id), former.get(id));
  const kept = mine.filter(
    (change) => !(change.do === 'parts' && change.change.do === 'remove' && isWritten(change.change.id)),
  );
  const merged = applyChanges(theirs, [...back.map(putBack(ours)), ...kept]);
  return {
    ...merged,
    segments: merged.segments.map((segment) =>
      withLines(segment, {
        before: former.get(segment.id),
        ours: byId(ours.segments).get(segment.id),
        theirs: there.get(segment.id),
      }),
    ),
  };
}

const byId = (segments: readonly Segment[]) => new Map(segments.map((segment) => [segment.id, segment]));

const isSame = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/** A part that they took out and we wrote in. */
function putBack({ segments }: Session): (part: Segment) => Change {
  return (part) => {
    const index = segments.indexOf(part);
    return { do: 'parts', change: { do: 'add', entry: part, after: segments[index - 1]?.id ?? null } };
  };
}

interface Three {
  readonly before: Segment | undefined;
  readonly ours: Segment | undefined;
  readonly theirs: Segment | undefined;
}

/** The lines of a part with those that one of us took out while the other wrote in them. */
function withLines(segment: Segment, { before, ours, theirs }: Three): Segment {
  if (!before || !ours || !theirs) return segment;
  const here = new Set(segment.lines.map(({ id }) => id));
  const lost = before.lines.flatMap((line, place) => {
    if (here.has(line.id)) return [];
    const written = [ours, theirs].flatMap(({ lines }) =>
      lines.filter(({ id, text }) => id === line.id && text !== line.text),
    );
    return written.slice(0, 1).map((kept) => ({ kept, place }));
  });
  return lost.length === 0
    ? segment
    : {
        ...segment,
        lines: lost.reduce((lines, { kept, place }) => lines.toSpliced(place, 0, kept), [...segment.lines]),
      };
}
