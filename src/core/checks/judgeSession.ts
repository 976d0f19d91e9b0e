import type { CautionPolicy } from '../cautions/index.ts';
import { composeSession } from '../guide/index.ts';
import {
  type CautionDecision,
  differencesOf,
  fitHomes,
  type Home,
  type HomeDifference,
  type HomeOutcome,
  type HomeState,
  outcomeOf,
  roomsOf,
} from '../homes/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import type { Session } from '../session/index.ts';
import type { Finding } from './finding.ts';
import { findFindings } from './findings.ts';

/** What a session is judged against: the homes it goes to and what is known of things and cautions. */
export interface JudgedAgainst {
  readonly things: ThingsByKey;
  readonly homes: readonly Home[];
  readonly policy: CautionPolicy;
  /** What was decided about what its words call for, the newest last. */
  readonly decisions: readonly CautionDecision[];
  readonly seatedMinutesPerYear: number;
}

/** How one home does a session, and why. */
export interface HomeVerdict {
  readonly id: string;
  readonly nickname: string;
  /** Nicknames of its children. */
  readonly children: readonly string[];
  readonly state: HomeState;
  readonly outcome: HomeOutcome;
  readonly differences: readonly HomeDifference[];
}

/** What the checks say of a session, and how each home does it: plain data, small enough to hand from a worker to a page. */
export interface SessionJudgement {
  readonly findings: readonly Finding[];
  /** In the order of the homes. */
  readonly homes: readonly HomeVerdict[];
  /** How many homes can do it as written. */
  readonly ready: number;
}

/**
 * Judges a session: fits it to each home and runs every check. No homes: findings only. This is what takes long, so a page asks
 * a worker for it, and a server for the first one.
 */
export function judgeSession(session: Session, against: JudgedAgainst): SessionJudgement {
  const { things, homes, policy, decisions, seatedMinutesPerYear } = against;
  const composed = composeSession(session, things, { seatedMinutesPerYear, youngestMonths: session.ages.fromMonths });
  const settings = { things, policy, safety: { decisions, rooms: roomsOf(homes, session.on) } };
  const { fits, readiness } = fitHomes(session, homes, settings);
  return {
    findings: findFindings(session, composed, fits, settings),
    homes: fits.map((fit) => ({
      id: fit.home.id,
      nickname: fit.home.nickname,
      children: fit.home.children.map(({ nickname }) => nickname),
      state: fit.answer.state,
      outcome: outcomeOf(fit),
      differences: differencesOf(fit),
    })),
    ready: readiness.ready,
  };
}
