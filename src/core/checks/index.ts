/** What the checks say of a session, each with a remedy where there is one. */

export type { Finding, FindingCode } from './finding.ts';
export { findFindings, mayBeAccepted } from './findings.ts';
export { type HomeVerdict, type JudgedAgainst, judgeSession, type SessionJudgement } from './judgeSession.ts';
