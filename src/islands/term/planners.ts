import {
  headStartMs,
  isProved,
  mergeProgress,
  strategiesFor,
  type TermPlan,
  type TermPlanInput,
  type TermProgress,
} from '../../core/terms/index.ts';
import { describePlanProblem } from '../../messages/term.ts';
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

/** Nobody waits longer for a proposal: the best plan by then is shown with its bound, or that none turned up. */
const LONGEST_MS = 20_000;

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
  const longest = setTimeout(() => endWithBest(), LONGEST_MS);
  const endWorkers = () => {
    clearTimeout(longest);
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
  const endWithBest = () => end(best ? null : describePlanProblem({ code: 'out-of-time' }));
  const endIfAllAreDone = () => {
    if (planners.every(({ isDone }) => isDone)) endWithBest();
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
        else endIfAllAreDone();
        break;
      case 'no-plan':
        planner.isDone = true;
        if (message.problem.code === 'nothing-fits') end(best ? null : describePlanProblem(message.problem));
        else if (startSecond) startSecond();
        else endIfAllAreDone();
        break;
      case 'broken':
        end(`The planner stopped (${message.reason}). The term is as it was.`);
    }
  };
  const startPlanner = (task: TermPlanTask): Planner => {
    const planner: Planner = { worker: startWorker(task, end), isDone: false };
    planner.worker.onmessage = ({ data }: MessageEvent<TermPlanMessage>) => hear(data, planner);
    return planner;
  };
  planners.push(startPlanner({ input, way }));
  setTimeout(() => startSecond?.(), headStartMs(input));
  return endWorkers;
}

function startWorker(task: TermPlanTask, end: (failure: string) => void): Worker {
  const worker = new Worker(new URL('../../workers/termPlan.ts', import.meta.url), { type: 'module' });
  worker.onerror = ({ message }) => end(`The planner could not start (${message}). The term is as it was.`);
  worker.postMessage(task);
  return worker;
}
