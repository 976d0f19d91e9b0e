/** What the checks say of a session, each with a remedy where there is one. */

export type { Finding, FindingCode } from './finding.ts';
export { findFindings, mayBeAccepted, textFoundIn } from './findings.ts';
export type { Surroundings } from './surroundings.ts';
export {
  countOf,
  homeFitter,
  type HomeVerdict,
  type JudgedAgainst,
  judgementFrom,
  judgeSession,
  type OutcomeCounts,
  type SessionJudgement,
} from './judgeSession.ts';
