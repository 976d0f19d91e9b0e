import { useMemo } from 'react';
import { applyTermEdit, explainPlan, type Term, weekRows } from '../../core/terms/index.ts';
import { describeTermProblem } from '../../messages/term.ts';
import { useHistory, wholeValues } from '../autosave/useHistory.ts';
import type { TermProps } from './termTypes.ts';

const WHOLE = wholeValues<Term>();

/** The term in its room, what follows from it, and what can be done to it; every edit can be undone. */
export function useTerm({ term: initial, weekend, shelf }: TermProps) {
  const { value: term, ...history } = useHistory(initial, {
    apply: applyTermEdit,
    describe: describeTermProblem,
    deltas: WHOLE,
  });
  const { rows, stepsLeft } = useMemo(() => weekRows(term, weekend), [term, weekend]);
  const reasons = useMemo(() => explainPlan(term, { rows, activities: shelf.activities }), [term, rows, shelf]);
  return { ...history, term, rows, stepsLeft, reasons };
}
