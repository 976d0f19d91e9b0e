import { useEffect, useRef, useState } from 'react';
import {
  headStartMs,
  isProved,
  mergeProgress,
  strategiesFor,
  type TermPlan,
  type TermPlanInput,
  type TermProgress,
} from '../../core/terms/termPlan.ts';
import { describeNothingFits } from '../../messages/term.ts';
import type { TermPlanMessage, TermPlanTask } from '../../workers/termPlan.ts';

export interface Proposal {
  readonly phase: 'idle' | 'working' | 'done' | 'stopped' | 'failed';
  readonly score: number | null;
  readonly bound: number | null;
  readonly unmet: Readonly<Record<string, number>>;
  /** Part of the longest time it takes, 0 to 1. */
  readonly progress: number;
  readonly message: string;
}

const IDLE: Proposal = { phase: 'idle', score: null, bound: null, unmet: {}, progress: 0, message: '' };
const LONGEST_MS = 20_000;
const TICK_MS = 200;

interface Planner {
  readonly worker: Worker;
  isDone: boolean;
}

/**
 * Asks workers to propose a term, two of them where it is not small: the first that proves its plan ends it, otherwise
 * the better plan and the lower bound count. Hands over the best plan when that ends or is stopped.
 */
export function useProposal(onPlan: (slots: TermPlan['slots']) => void) {
  const [proposal, setProposal] = useState<Proposal>(IDLE);
  const planners = useRef<Planner[]>([]);
  /** Starts the second worker, once; null when there is none to start. */
  const startSecond = useRef<(() => void) | null>(null);
  /** The best plan so far with what is proved about it. */
  const best = useRef<TermPlan | null>(null);
  const isWorking = proposal.phase === 'working';

  useEffect(() => {
    if (!isWorking) return undefined;
    const began = performance.now();
    const timer = setInterval(
      () =>
        setProposal((before) => ({ ...before, progress: Math.min(0.98, (performance.now() - began) / LONGEST_MS) })),
      TICK_MS,
    );
    return () => clearInterval(timer);
  }, [isWorking]);
  const endWorkers = () => {
    for (const { worker } of planners.current) worker.terminate();
    planners.current = [];
    startSecond.current = null;
  };
  useEffect(() => endWorkers, []);

  const end = (change: Partial<Proposal>) => {
    endWorkers();
    if (best.current) onPlan(best.current.slots);
    setProposal((before) => ({ ...before, ...change, progress: 1 }));
  };
  const show = (progress: TermProgress) => {
    best.current = mergeProgress(best.current, progress);
    if (!best.current) return;
    const { score, bound, unmet } = best.current;
    setProposal((before) => ({ ...before, score, bound: Number.isFinite(bound) ? bound : null, unmet }));
  };

  const hear = (message: TermPlanMessage, planner: Planner) => {
    switch (message.kind) {
      case 'progress':
        show(message.progress);
        break;
      case 'done':
        planner.isDone = true;
        if (message.plan) show({ plan: message.plan, bound: message.plan.bound });
        if (best.current && isProved(best.current)) end({ phase: 'done' });
        else if (startSecond.current) startSecond.current();
        else if (planners.current.every(({ isDone }) => isDone)) end({ phase: 'done' });
        break;
      case 'nothing-fits':
        // Said as well when the time ran out before a plan was found; the other worker may have one.
        if (best.current) end({ phase: 'done' });
        else end({ phase: 'failed', message: describeNothingFits(message.problem.loosen) });
        break;
      case 'broken':
        end({
          phase: 'failed',
          message: `The planner stopped (${message.reason}). What stood in the term still stands.`,
        });
    }
  };

  const startPlanner = (task: TermPlanTask): Planner => {
    const worker = new Worker(new URL('../../workers/termPlan.ts', import.meta.url), { type: 'module' });
    const planner: Planner = { worker, isDone: false };
    worker.onmessage = ({ data }: MessageEvent<TermPlanMessage>) => hear(data, planner);
    worker.onerror = ({ message }) =>
      end({
        phase: 'failed',
        message: `The planner could not start (${message}). What stood in the term still stands.`,
      });
    worker.postMessage(task);
    return planner;
  };
  const start = (input: TermPlanInput) => {
    endWorkers();
    best.current = null;
    setProposal({ ...IDLE, phase: 'working' });
    const [way, otherWay] = strategiesFor(input);
    planners.current = [startPlanner({ input, way })];
    if (!otherWay) return;
    const startOther = () => {
      if (startSecond.current !== startOther) return;
      startSecond.current = null;
      planners.current.push(startPlanner({ input, way: otherWay }));
    };
    startSecond.current = startOther;
    setTimeout(startOther, headStartMs(input));
  };
  const stop = () => end({ phase: 'stopped' });
  const fail = (message: string) => setProposal({ ...IDLE, phase: 'failed', message });
  const forget = () => setProposal(IDLE);
  return { proposal, start, stop, fail, forget };
}
