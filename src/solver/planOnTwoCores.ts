import { startThread } from '../threads/startThread.ts';
import { ok, type Outcome } from '../core/outcome.ts';
import {
  betterOf,
  headStartMs,
  isProved,
  type PlanProblem,
  planTerm,
  planTermBy,
  type SearchStrategy,
  strategiesFor,
  type TermPlan,
  type TermPlanInput,
} from '../core/terms/index.ts';
import { linearSolver, type SolverLimits } from './highs.ts';
import { isTold, makeSignal, tell } from './signal.ts';

/** What planning came to; null for nothing. */
export type Planned = Outcome<TermPlan, PlanProblem> | null;

/** What the second thread is given. */
export interface SecondTask {
  readonly input: TermPlanInput;
  readonly limits: SolverLimits;
  readonly way: SearchStrategy;
  /** One shared number, see `signal.ts`. */
  readonly signal: Int32Array;
  /** So long the second thread lets the first one alone, unless the signal changes sooner. */
  readonly waitMs: number;
}

/** Starts the second thread; what it comes to is told by promise, as is a fault of its own. Null when it was told to stop. */
export function planInThread(task: SecondTask): { readonly planned: Promise<Planned>; readonly end: () => void } {
  const thread = startThread('plan', { workerData: { task } });
  const planned = new Promise<Planned>((found, failed) => {
    thread.once('message', found);
    thread.once('error', failed);
    thread.once('exit', () => found(null));
  });
  return { planned, end: () => void thread.terminate() };
}

/**
 * Plans a term in two ways at once, on two cores; the first that proves its plan ends it, otherwise the better plan and
 * the lower bound count. Most small terms are done before the second thread begins. A fault of the second thread is thrown.
 */
export async function planOnTwoCores(
  input: TermPlanInput,
  limits: SolverLimits,
): Promise<Outcome<TermPlan, PlanProblem>> {
  const solver = await linearSolver(limits);
  const [way, otherWay] = strategiesFor(input);
  if (!otherWay) return planTerm(input, solver);
  const signal = makeSignal();
  const second = planInThread({ input, limits, way: otherWay, signal, waitMs: headStartMs(input) });
  second.planned.catch(() => undefined);
  try {
    const first = planTermBy(way, input, solver, { shouldStop: () => isTold(signal, 'done') });
    if (first?.ok && isProved(first.value)) return first;
    tell(signal, 'begin');
    const other = await second.planned;
    const plan = betterOf(first?.ok ? first.value : null, other?.ok ? other.value : null);
    return plan ? ok(plan) : (first ?? other)!;
  } finally {
    tell(signal, 'done');
    second.end();
  }
}
