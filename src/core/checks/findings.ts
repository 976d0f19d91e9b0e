import { USUAL_POLICY } from '../cautions/index.ts';
import type { ComposedSession } from '../guide/index.ts';
import { type FitSettings, type HomeFit, NOTHING_DECIDED } from '../homes/index.ts';
import { thingIndex, type ThingIndex, type ThingsByKey } from '../materials/index.ts';
import { linesAt, placesOf, type Segment, type Session } from '../session/index.ts';
import type { Check, Noticed } from './check.ts';
import { CHECKS } from './checks.ts';
import type { Finding, FindingCode } from './finding.ts';
import { saidLines } from './saidLines.ts';
import type { Surroundings } from './surroundings.ts';

/** Everything the checks have to say about a session, in the order of the script. What was accepted on purpose is left out. */
export function findFindings(
  session: Session,
  composed: ComposedSession,
  fits: readonly HomeFit[],
  {
    things,
    policy = USUAL_POLICY,
    safety = NOTHING_DECIDED,
    around = {},
  }: FitSettings & { readonly around?: Surroundings | undefined },
): Finding[] {
  const names = namesIn(things);
  const places = placesOf(Object.values(things));
  const checks = Object.entries(CHECKS) as [FindingCode, Check][];
  const findings = composed.segments.flatMap((part) => {
    const { segment } = part;
    const said = saidLines(part.lines);
    const looked = { part, segment, session, composed, said, fits, things, names, places, policy, safety, around };
    return checks.flatMap(([code, check]) =>
      check(looked).map((noticed: Noticed): Finding => ({ ...noticed, code, segment: segment.id })),
    );
  });
  return findings.filter((finding) => !mayBeAccepted(finding) || !isKept(session, finding));
}

/** A finding that was answered and whose text has not changed since. */
function isKept(session: Session, finding: Finding): boolean {
  if (!session.accepted.includes(finding.id)) return false;
  const kept = session.kept && Object.hasOwn(session.kept, finding.id) ? session.kept[finding.id] : undefined;
  const segment = session.segments.find(({ id }) => id === finding.segment);
  return kept === undefined || !segment || kept.text === textFoundIn(segment, finding);
}

/** Characters of a text by which it is known again. */
const MOST_KEPT = 2000;

/** What a finding is about: the words of its line, or all words of its part at the level that is shown. */
export function textFoundIn(segment: Segment, { line: at }: Pick<Finding, 'line'>): string {
  const lines = linesAt(segment, segment.level).filter((line) => at === undefined || line.id === at);
  const words = lines.map(({ text, answer }) => (answer ? `${text} → ${answer}` : text)).join('\n');
  return words.slice(0, MOST_KEPT);
}

const indexes = new WeakMap<ThingsByKey, ThingIndex>();

/** The names of a shelf's things, which many sessions are looked through for. */
function namesIn(things: ThingsByKey): ThingIndex {
  const known = indexes.get(things) ?? thingIndex(things);
  indexes.set(things, known);
  return known;
}

/** What is settled elsewhere, what only explains, and what is chosen between. */
const NEVER_ANSWERED: readonly FindingCode[] = ['to-settle', 'computed', 'tip', 'two-versions'];

/** Whether an author may keep it as it is. What stops a session is mended, and what has to be settled is settled where it is sent. */
export function mayBeAccepted({ weight, code }: Pick<Finding, 'weight' | 'code'>): boolean {
  return weight !== 'stop' && !NEVER_ANSWERED.includes(code);
}
