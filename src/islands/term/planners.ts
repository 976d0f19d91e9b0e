import {
  headStartMs,
  isProved,
  mergeProgress,
  strategiesFor,
  type TermPlan,
  type TermPlanInput,
  type TermProgress,
} from '../../core/terms/index.ts';
import { describeNothingFits } from '../../messages/term.ts';
import type { TermPlanMessage, TermPlanTask } from '../../workers/termPlan.ts';

interface PlannersEars {
  /** A better plan, or one of which more is proved. */
  readonly onBest: (plan: TermPlan) => void;
  /** Nothing more comes: with the best plan told before, or with why there is none. */
  readonly onEnd: (failure: string | null) => void;
}

interface Planner {
  readonly worker: Worker;
  isDone: boolean;
}

/**
 * Sets workers to propose a term, two of them where it is not small: the first that proves its plan ends it, otherwise
 * the better plan and the lower bound count. What is given back ends them without a word.
 */
export function startPlanners(input: TermPlanInput, { onBest, onEnd }: PlannersEars): () => void {
  const planners: Planner[] = [];
  let best: TermPlan | null = null;
  const [way, otherWay] = strategiesFor(input);
  /** Starts the second worker, once; null when there is none to start. */
  let startSecond: (() => void) | null = otherWay
    ? () => {
        startSecond = null;
        planners.push(startPlanner({ input, way: otherWay }));
      }
    : null;
  const endWorkers = () => {
    startSecond = null;
    for (const { worker } of planners) worker.terminate();
  };
  const end = (failure: string | null) => {
    endWorkers();
    onEnd(failure);
  };
  const take = (progress: TermProgress) => {
    best = mergeProgress(best, progress);
    if (best) onBest(best);
  };
  const hear = (message: TermPlanMessage, planner: Planner) => {
    switch (message.kind) {
      case 'progress':
        take(message.progress);
        break;
      case 'done':
        planner.isDone = true;
        if (message.plan) take({ plan: message.plan, bound: message.plan.bound });
        if (best && isProved(best)) end(null);
        else if (startSecond) startSecond();
        else if (planners.every(({ isDone }) => isDone)) end(null);
        break;
      case 'nothing-fits':
        // Said as well when the time ran out before a plan was found; the other worker may have one.
        end(best ? null : describeNothingFits(message.problem.loosen));
        break;
      case 'broken':
        end(`The planner stopped (${message.reason}). What stood in the term still stands.`);
    }
  };
  const startPlanner = (task: TermPlanTask): Planner => {
    const worker = new Worker(new URL('../../workers/termPlan.ts', import.meta.url), { type: 'module' });
    const planner: Planner = { worker, isDone: false };
    worker.onmessage = ({ data }: MessageEvent<TermPlanMessage>) => hear(data, planner);
    worker.onerror = ({ message }) =>
      end(`The planner could not start (${message}). What stood in the term still stands.`);
    worker.postMessage(task);
    return planner;
  };
  planners.push(startPlanner({ input, way }));
  setTimeout(() => startSecond?.(), headStartMs(input));
  return endWorkers;
}
