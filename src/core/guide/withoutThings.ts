import { escapeBraces, roundUp } from '../expressions/index.ts';
import { type FittedPart, type HomeFit } from '../homes/index.ts';
import { saidLine } from '../shelf/index.ts';
import type { Speech } from '../message.ts';
import type { Line, Segment, Session } from '../session/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import { elseDo, nameFor } from './fetchList.ts';

/**
 * A session for a home that has no book at hand: what happens in it is told in its place, its questions come without a page,
 * and nothing is counted on pages. Where nobody wrote down how to tell it, the questions about its pages go. Lines an author
 * wrote stay as they are.
 */
export function withoutBooks(session: Session, speech: Speech): Session {
  return {
    ...session,
    segments: session.segments.map((segment) => (segment.kind === 'book' ? told(segment, speech) : segment)),
  };
}

function told(segment: Segment, speech: Speech): Segment {
  const { retold } = segment;
  return { ...segment, lines: segment.lines.flatMap((line) => toldLine(line, retold, speech)) };
}

function toldLine(line: Line, retold: string | undefined, speech: Speech): Line[] {
  const { id, kind, says } = line;
  switch (says?.key) {
    case 'framing/fetch-book':
      return [saidLine(id, 'do', { key: 'framing/sit-close' }, speech)];
    case 'framing/read-it':
      return [
        retold
          ? { id, kind: 'say', text: escapeBraces(retold) }
          : saidLine(id, 'say', { key: 'framing/tell-freely' }, speech),
      ];
    case 'framing/after-page': {
      const question = says.values?.question;
      if (!retold || typeof question !== 'object' || !('own' in question)) return [];
      // Why it is asked speaks of pictures and pages; the question stands without.
      return [{ id, kind, text: escapeBraces(String(question.own)) }];
    }
    case 'framing/count-on-page':
      return [];
    default:
      return [line];
  }
}

/** What a home said it has not got that a part cannot do without, by name; none for a part that can be done. */
export function lackedIn(part: FittedPart, fit: HomeFit, lacks: readonly string[], things: ThingsByKey): string[] {
  if (part.isLeftOut) return [];
  return part.served
    .filter(
      ({ source, need, qty, item }) =>
        source === 'missing' && !need.optional && qty > 0 && (lacks.includes(need.item) || lacks.includes(item ?? '')),
    )
    .filter((use) => elseDo([use], fit, things).length === 0)
    .map((use) => nameFor(use.need.item, roundUp(use.qty), things));
}
