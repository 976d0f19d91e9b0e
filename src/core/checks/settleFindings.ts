import type { CautionPolicy } from '../cautions/index.ts';
import { type HomeFit, openQuestions, type PartQuestion, type SessionSafety } from '../homes/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import type { Segment } from '../session/index.ts';

/** A finding that is settled on the page where a session is sent. */
interface SettleFinding {
  readonly id: string;
  readonly weight: 'warning';
  readonly segment: string;
  readonly line?: string | undefined;
  readonly facts: { readonly code: 'to-settle'; readonly question: PartQuestion };
}

/** What somebody looks at before the part is sent, because of its words or of a thing that nobody has looked at. */
export function settleFindings(
  segment: Segment,
  fits: readonly HomeFit[],
  { things, policy, safety }: { things: ThingsByKey; policy: CautionPolicy; safety: SessionSafety },
): SettleFinding[] {
  const households = fits.map(({ household }) => household);
  return openQuestions(segment, things, { households, policy, safety }).map((question) => ({
    id: `settle:${segment.id}/${question.rule}/${question.subject}/${question.words.join('+')}`,
    weight: 'warning',
    segment: segment.id,
    line: question.line,
    facts: { code: 'to-settle', question },
  }));
}
