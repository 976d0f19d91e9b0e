import { USUAL_POLICY } from '../cautions/index.ts';
import type { ComposedSession } from '../guide/index.ts';
import { type FitSettings, type HomeFit, NOTHING_DECIDED } from '../homes/index.ts';
import { placesOf, type Session } from '../session/index.ts';
import type { Check, Noticed } from './check.ts';
import { CHECKS } from './checks.ts';
import type { Finding, FindingCode } from './finding.ts';

/** Everything the checks have to say about a session, in the order of the script. What was accepted on purpose is left out. */
export function findFindings(
  session: Session,
  composed: ComposedSession,
  fits: readonly HomeFit[],
  { things, policy = USUAL_POLICY, safety = NOTHING_DECIDED }: FitSettings,
): Finding[] {
  const places = placesOf(Object.values(things));
  const checks = Object.entries(CHECKS) as [FindingCode, Check][];
  const findings = composed.segments.flatMap((part) => {
    const { segment } = part;
    const looked = { part, segment, session, composed, fits, things, places, policy, safety };
    return checks.flatMap(([code, check]) =>
      check(looked).map((noticed: Noticed): Finding => ({ ...noticed, code, segment: segment.id })),
    );
  });
  return findings.filter((finding) => !mayBeAccepted(finding) || !session.accepted.includes(finding.id));
}

/** Whether an author may keep it as it is. What stops a session is mended, and what has to be settled is settled where it is sent. */
export function mayBeAccepted({ weight, code }: Pick<Finding, 'weight' | 'code'>): boolean {
  return weight !== 'stop' && code !== 'to-settle';
}
