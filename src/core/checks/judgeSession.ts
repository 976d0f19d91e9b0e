import type { CautionPolicy } from '../cautions/index.ts';
import { composeSession } from '../guide/index.ts';
import {
  type CautionDecision,
  differencesOf,
  type FitSettings,
  type Home,
  type HomeDifference,
  type HomeFit,
  type HomeOutcome,
  type HomeState,
  outcomeOf,
  roomsOf,
  sessionFitter,
  type SessionSafety,
} from '../homes/index.ts';
import type { ThingsByKey } from '../materials/index.ts';
import type { Session } from '../session/index.ts';
import type { Finding } from './finding.ts';
import { findFindings } from './findings.ts';
import type { Surroundings } from './surroundings.ts';

/** What a session is judged against: the homes it goes to and what is known of things and cautions. */
export interface JudgedAgainst {
  readonly things: ThingsByKey;
  readonly homes: readonly Home[];
  readonly policy: CautionPolicy;
  /** What was decided about what its words call for, the newest last. */
  readonly decisions: readonly CautionDecision[];
  readonly seatedMinutesPerYear: number;
  /** Whether a common thing that a home was not asked about counts as there. Absent: it does not. */
  readonly assumeCommon?: boolean | undefined;
  /** What lies around the session. Absent: what asks for it is not looked at. */
  readonly around?: Surroundings | undefined;
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

/** How many homes do a session in each way; those that none does it in are left out. */
export type OutcomeCounts = Readonly<Partial<Record<HomeOutcome, number>>>;

/** What the checks say of a session, and how homes do it: plain data, small enough to hand from a worker or a server to a page. */
export interface SessionJudgement {
  readonly findings: readonly Finding[];
  /** The first homes in their order, at most `MOST_VERDICTS`. */
  readonly homes: readonly HomeVerdict[];
  /** How many homes there are. */
  readonly total: number;
  readonly outcomes: OutcomeCounts;
  /** How many homes can do it as written. */
  readonly ready: number;
}

/** A judgement names so many homes; the others are counted. */
const MOST_VERDICTS = 60;

/**
 * Judges a session: fits it to each home and runs every check. No homes: findings only. This is what takes long, so a page asks
 * a worker for it, or a server where there are more homes than a page is given.
 */
export function judgeSession(session: Session, against: JudgedAgainst): SessionJudgement {
  return judgementFrom(session, against.homes.map(homeFitter(session, against)), against);
}

/** What fits a session to one home after the other, as `judgeSession` does. */
export function homeFitter(session: Session, against: JudgedAgainst): (home: Home) => HomeFit {
  return sessionFitter(session, settingsFor(session, against));
}

function settingsFor(
  session: Session,
  { things, homes, policy, decisions, assumeCommon }: JudgedAgainst,
): FitSettings & { safety: SessionSafety } {
  return { things, policy, safety: { decisions, rooms: roomsOf(homes, session.on) }, assumeCommon };
}

/** The judgement of a session from how each of its homes does it. */
export function judgementFrom(session: Session, fits: readonly HomeFit[], against: JudgedAgainst): SessionJudgement {
  const { things, seatedMinutesPerYear, around } = against;
  const composed = composeSession(session, things, { seatedMinutesPerYear, youngestMonths: session.ages.fromMonths });
  const outcomes = countOf(fits.map(outcomeOf));
  return {
    findings: findFindings(session, composed, fits, { ...settingsFor(session, against), around }),
    homes: fits.slice(0, MOST_VERDICTS).map((fit) => ({
      id: fit.home.id,
      nickname: fit.home.nickname,
      children: fit.home.children.map(({ nickname }) => nickname),
      state: fit.answer.state,
      outcome: outcomeOf(fit),
      differences: differencesOf(fit),
    })),
    total: fits.length,
    outcomes,
    ready: outcomes.ready ?? 0,
  };
}

/** How many there are of each outcome; none: no entries. */
export function countOf(outcomes: readonly HomeOutcome[]): OutcomeCounts {
  const counts: Partial<Record<HomeOutcome, number>> = {};
  for (const outcome of outcomes) counts[outcome] = (counts[outcome] ?? 0) + 1;
  return counts;
}
