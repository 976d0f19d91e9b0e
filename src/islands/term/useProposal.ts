import { useEffect, useRef, useState } from 'react';
import { betterOf, type TermPlan, type TermPlanInput } from '../../core/terms/termPlan.ts';
import { describeNothingFits } from '../../messages/term.ts';
import type { TermPlanMessage } from '../../workers/termPlan.ts';

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
/** From so many places (slots × activities) on, a second worker searches while the first one proves. */
const PLACES_FOR_TWO = 1500;

/** Asks a worker to propose a term; hands over the best plan when it ends or is stopped. */
export function useProposal(onPlan: (slots: TermPlan['slots']) => void) {
  const [proposal, setProposal] = useState<Proposal>(IDLE);
  const worker = useRef<Worker | null>(null);
  const best = useRef<TermPlan['slots'] | null>(null);
  const searcher = useRef<Worker | null>(null);
  const searched = useRef<TermPlan['slots'] | null>(null);
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
    worker.current?.terminate();
    searcher.current?.terminate();
    worker.current = null;
    searcher.current = null;
  };
  useEffect(() => endWorkers, []);

  const end = (change: Partial<Proposal>) => {
    endWorkers();
    if (best.current) onPlan(best.current);
    setProposal((before) => ({ ...before, ...change, progress: 1 }));
  };

  const hear = (message: TermPlanMessage, input: TermPlanInput) => {
    switch (message.kind) {
      case 'progress': {
        const { plan, bound } = message.progress;
        if (plan) best.current = plan.slots;
        setProposal((before) => ({
          ...before,
          score: plan?.score ?? before.score,
          bound: bound === null ? before.bound : Math.floor(bound + 1e-6),
        }));
        break;
      }
      case 'done': {
        const { slots, score, bound, unmet } = betterOf(input, message.plan, searched.current);
        best.current = slots;
        end({ phase: 'done', score, bound, unmet });
        break;
      }
      case 'nothing-fits':
        end({ phase: 'failed', message: describeNothingFits(message.problem.loosen) });
        break;
      case 'broken':
        end({
          phase: 'failed',
          message: `The planner stopped (${message.reason}). What stood in the term still stands.`,
        });
    }
  };

  const start = (input: TermPlanInput) => {
    endWorkers();
    best.current = null;
    searched.current = null;
    setProposal({ ...IDLE, phase: 'working' });
    worker.current = new Worker(new URL('../../workers/termPlan.ts', import.meta.url), { type: 'module' });
    worker.current.onmessage = ({ data }: MessageEvent<TermPlanMessage>) => hear(data, input);
    worker.current.onerror = ({ message }) =>
      end({
        phase: 'failed',
        message: `The planner could not start (${message}). What stood in the term still stands.`,
      });
    worker.current.postMessage(input);
    if (input.slots.length * input.activities.length < PLACES_FOR_TWO) return;
    searcher.current = new Worker(new URL('../../workers/termSearch.ts', import.meta.url), { type: 'module' });
    searcher.current.onmessage = ({ data }: MessageEvent<TermPlan['slots'] | null>) => (searched.current = data);
    searcher.current.postMessage(input);
  };
  const stop = () => end({ phase: 'stopped' });
  const fail = (message: string) => setProposal({ ...IDLE, phase: 'failed', message });
  const forget = () => setProposal(IDLE);
  return { proposal, start, stop, fail, forget };
}
