import wasmAddress from 'highs/runtime?url';
import {
  type PlanProblem,
  planTermBy,
  type SearchStrategy,
  type TermPlan,
  type TermPlanInput,
  type TermProgress,
} from '../core/terms/index.ts';
import { linearSolver } from '../solver/highs.ts';

export interface TermPlanTask {
  readonly input: TermPlanInput;
  /** Two workers plan the same term in two ways; the straight one alone can say that nothing fits. */
  readonly way: SearchStrategy;
}

export type TermPlanMessage =
  | { readonly kind: 'progress'; readonly progress: TermProgress }
  | { readonly kind: 'done'; readonly plan: TermPlan | null }
  | { readonly kind: 'no-plan'; readonly problem: PlanProblem }
  | { readonly kind: 'broken'; readonly reason: string };

/** Together with the search before it, a proposal takes no longer than about twenty seconds. */
const LIMITS = { seconds: 11, gap: 0 };

const say = (message: TermPlanMessage) => self.postMessage(message);

/** Plans a term away from the screen: tells each better plan and bound, then the end. Stopped by being ended. */
self.onmessage = async ({ data: { input, way } }: MessageEvent<TermPlanTask>) => {
  const onProgress = (progress: TermProgress) => say({ kind: 'progress', progress });
  try {
    const solver = await linearSolver(LIMITS, wasmAddress);
    const planned = planTermBy(way, input, solver, { onProgress });
    if (planned && !planned.ok) say({ kind: 'no-plan', problem: planned.problem });
    else say({ kind: 'done', plan: planned && planned.value });
  } catch (error) {
    say({ kind: 'broken', reason: (error as Error).message });
  }
};
