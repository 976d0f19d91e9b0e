import { useEffect, useRef, useState } from 'react';
import type { TermPlan, TermPlanInput } from '../../core/terms/index.ts';
import { startPlanners } from './planners.ts';

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

/** Has a term proposed. Hands over the best plan when that ends or is stopped; `onPlan` gives what is to be said of it. */
export function useProposal(onPlan: (slots: TermPlan['slots']) => string) {
  const [proposal, setProposal] = useState<Proposal>(IDLE);
  const endPlanners = useRef(() => {});
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
  useEffect(() => () => endPlanners.current(), []);

  const end = (change: Partial<Proposal>) => {
    endPlanners.current();
    const message = best.current ? onPlan(best.current.slots) : '';
    setProposal((before) => ({ ...before, message, ...change, progress: 1 }));
  };
  const start = (input: TermPlanInput) => {
    endPlanners.current();
    best.current = null;
    setProposal({ ...IDLE, phase: 'working' });
    endPlanners.current = startPlanners(input, {
      onBest: (plan) => {
        best.current = plan;
        const { score, bound, unmet } = plan;
        setProposal((before) => ({ ...before, score, bound: Number.isFinite(bound) ? bound : null, unmet }));
      },
      onEnd: (failure) => end(failure === null ? { phase: 'done' } : { phase: 'failed', message: failure }),
    });
  };
  const stop = () => end({ phase: 'stopped' });
  const fail = (message: string) => setProposal({ ...IDLE, phase: 'failed', message });
  const forget = () => setProposal(IDLE);
  return { proposal, start, stop, fail, forget };
}
