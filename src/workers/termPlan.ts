import wasmAddress from 'highs/runtime?url';
import {
  planTerm,
  type TermPlan,
  type TermPlanInput,
  type TermProgress,
  type TermProblem,
} from '../core/terms/termPlan.ts';
import { linearSolver } from '../solver/highs.ts';

export type TermPlanMessage =
  | { readonly kind: 'progress'; readonly progress: TermProgress }
  | { readonly kind: 'done'; readonly plan: TermPlan }
  | { readonly kind: 'nothing-fits'; readonly problem: TermProblem }
  | { readonly kind: 'broken'; readonly reason: string };

/** Together with the search before it, a proposal takes no longer than about twenty seconds. */
const LIMITS = { seconds: 12, gap: 0 };

const say = (message: TermPlanMessage) => self.postMessage(message);

/** Plans a term away from the screen: tells each better plan and bound, then the end. Stopped by being ended. */
self.onmessage = async ({ data }: MessageEvent<TermPlanInput>) => {
  try {
    const solve = await linearSolver(LIMITS, wasmAddress);
    const planned = planTerm(data, solve, (progress) => say({ kind: 'progress', progress }));
    if (planned.ok) say({ kind: 'done', plan: planned.value });
    else say({ kind: 'nothing-fits', problem: planned.problem });
  } catch (error) {
    say({ kind: 'broken', reason: (error as Error).message });
  }
};
