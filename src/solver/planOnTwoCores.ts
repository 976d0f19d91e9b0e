import { Worker } from 'node:worker_threads';
import type { Outcome } from '../core/outcome.ts';
import { betterOf, planTerm, type TermPlan, type TermPlanInput, type TermProblem } from '../core/terms/termPlan.ts';
import { linearSolver, type SolverLimits } from './highs.ts';

/** Terms with fewer places (slots × activities) are done before a second thread has started. */
const FEWEST_PLACES = 1500;
const SEED = 77;
const EFFORT = 3;

/** Plans a term with the solver on one core and, for large terms, a longer search on another; the better plan counts. */
export async function planOnTwoCores(
  input: TermPlanInput,
  limits: SolverLimits,
): Promise<Outcome<TermPlan, TermProblem>> {
  const solve = await linearSolver(limits);
  if (input.slots.length * input.activities.length < FEWEST_PLACES) return planTerm(input, solve);
  const thread = new Worker(new URL('./searchThread.ts', import.meta.url), {
    workerData: { input, seed: SEED, effort: EFFORT },
  });
  const searched = new Promise<TermPlan['slots'] | null>((found) => {
    thread.once('message', found);
    thread.once('error', () => found(null));
  });
  const planned = planTerm(input, solve);
  const isProved = !planned.ok || planned.value.score >= planned.value.bound;
  const other = isProved ? null : await searched;
  await thread.terminate();
  return planned.ok ? { ok: true, value: betterOf(input, planned.value, other) } : planned;
}
