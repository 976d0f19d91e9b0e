/** A term: its weeks and days, what is taught when, and a plan of activities with the bound that was proved. */

export { skillCoverage } from './coverage.ts';
export { coverageView, type TouchedSession } from './coverageView.ts';
export { frameTerm, type TermFrame } from './frameTerm.ts';
export type { LinearAnswer, LinearHints, LinearModel, LinearSolver, RelaxedAnswer } from './linearModel.ts';
export {
  explainPlan,
  pinConflicts,
  type PinRule,
  type PlannableActivity,
  type PlanReason,
  changedSince,
  proposalInput,
  slotsAhead,
} from './proposal.ts';
export { type OWN_NAME_STEPS, type School, SCHOOLS, SOUND_SCHOOLS, stepsOf } from './schools.ts';
export { readTermBody, type TermBody, writeTermBody } from './storedTerm.ts';
export { taughtAround, taughtSteps } from './taughtSounds.ts';
export {
  checkTerm,
  closedDaysOf,
  DAY_KINDS,
  type DayKind,
  sessionDate,
  type Term,
  type TermDay,
  type TermProblem,
  type TermSession,
} from './term.ts';
export { applyTermEdit, type TermEdit } from './termEdit.ts';
export {
  betterOf,
  headStartMs,
  isProved,
  mergeProgress,
  type PlanProblem,
  planTerm,
  planTermBy,
  type SearchStrategy,
  strategiesFor,
  type TermPlan,
  type TermPlanInput,
  type TermProgress,
  type TermRule,
} from './termPlan.ts';
export { countAims, touchedSessions } from './touchedSessions.ts';
export { heldSessions, type PlannedSession, type WeekNote, type WeekRow, weekRows } from './weekRows.ts';
