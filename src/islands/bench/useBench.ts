import { useMemo, useReducer } from 'react';
import { findAsides } from '../../core/checks/asides.ts';
import { fitHomes } from '../../core/homes/sessionReadiness.ts';
import { composeSession } from '../../core/script/composition.ts';
import { applyEdit, type Edit } from '../../core/script/edit.ts';
import type { Session } from '../../core/script/session.ts';
import { describeEditProblem } from '../../messages/edits.ts';
import type { BenchProps } from './benchTypes.ts';

interface BenchState {
  readonly session: Session;
  readonly past: readonly Session[];
  readonly future: readonly Session[];
  /** Why the last edit was refused, as a sentence; empty when it was not. */
  readonly refusal: string;
}

type BenchAction =
  | { readonly edit: Edit }
  | { readonly undo: true }
  | { readonly redo: true }
  | { readonly take: Session }
  | { readonly dismiss: true };

const LONGEST_HISTORY = 200;

/** The session on the bench, what follows from it, and what can be done to it; every edit can be undone. */
export function useBench({ session: initial, things, homes, seatedMinutesPerYear }: BenchProps) {
  const [state, dispatch] = useReducer(reduce, { session: initial, past: [], future: [], refusal: '' });
  const { session } = state;
  const composed = useMemo(
    () => composeSession(session, things, { seatedMinutesPerYear, youngestMonths: session.ages.fromMonths }),
    [session, things, seatedMinutesPerYear],
  );
  const { fits, readiness } = useMemo(() => fitHomes(session, homes, things), [session, homes, things]);
  const asides = useMemo(() => findAsides(session, composed, fits, things), [session, composed, fits, things]);
  return {
    ...state,
    composed,
    fits,
    readiness,
    asides,
    edit: (edit: Edit) => dispatch({ edit }),
    undo: () => dispatch({ undo: true }),
    redo: () => dispatch({ redo: true }),
    take: (other: Session) => dispatch({ take: other }),
    dismiss: () => dispatch({ dismiss: true }),
  };
}

export type Bench = ReturnType<typeof useBench>;

function reduce(state: BenchState, action: BenchAction): BenchState {
  if ('undo' in action)
    return state.past.length === 0
      ? state
      : goTo(state.past.at(-1)!, state.past.slice(0, -1), [state.session, ...state.future]);
  if ('redo' in action)
    return state.future.length === 0
      ? state
      : goTo(state.future[0]!, [...state.past, state.session], state.future.slice(1));
  if ('dismiss' in action) return { ...state, refusal: '' };
  if ('take' in action) return goTo(action.take, [...state.past, state.session], []);
  const edited = applyEdit(state.session, action.edit);
  if (!edited.ok) return { ...state, refusal: describeEditProblem(edited.problem) };
  return goTo(edited.value, [...state.past, state.session].slice(-LONGEST_HISTORY), []);
}

function goTo(session: Session, past: readonly Session[], future: readonly Session[]): BenchState {
  return { session, past, future, refusal: '' };
}
