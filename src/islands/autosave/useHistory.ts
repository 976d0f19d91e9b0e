import { useMemo, useReducer } from 'react';
import type { Outcome } from '../../core/outcome.ts';

interface History<Value> {
  readonly value: Value;
  readonly past: readonly Value[];
  readonly future: readonly Value[];
  /** Why the last change was refused; empty when it was not. */
  readonly refusal: string;
}

type Step<Value, Edit> =
  | { readonly edit: Edit }
  | { readonly undo: true }
  | { readonly redo: true }
  | { readonly take: Value }
  | { readonly dismiss: true };

const LONGEST_HISTORY = 200;

/** A value with its edits, undo and redo; a refused edit leaves it as it is and says why. */
export function useHistory<Value, Edit, Problem>(
  first: Value,
  apply: (value: Value, edit: Edit) => Outcome<Value, Problem>,
  describe: (problem: Problem) => string,
) {
  const [history, dispatch] = useReducer(
    (state: History<Value>, step: Step<Value, Edit>) => take(state, step, { apply, describe }),
    { value: first, past: [], future: [], refusal: '' },
  );
  const steps = useMemo(
    () => ({
      edit: (edit: Edit) => dispatch({ edit }),
      undo: () => dispatch({ undo: true }),
      redo: () => dispatch({ redo: true }),
      take: (other: Value) => dispatch({ take: other }),
      dismiss: () => dispatch({ dismiss: true }),
    }),
    [],
  );
  return { ...history, ...steps };
}

function take<Value, Edit, Problem>(
  state: History<Value>,
  step: Step<Value, Edit>,
  {
    apply,
    describe,
  }: { apply: (value: Value, edit: Edit) => Outcome<Value, Problem>; describe: (problem: Problem) => string },
): History<Value> {
  const { value, past, future } = state;
  const go = (next: Value, before: readonly Value[], after: readonly Value[]) => ({
    value: next,
    past: before.slice(-LONGEST_HISTORY),
    future: after,
    refusal: '',
  });
  if ('undo' in step) return past.length === 0 ? state : go(past.at(-1)!, past.slice(0, -1), [value, ...future]);
  if ('redo' in step) return future.length === 0 ? state : go(future[0]!, [...past, value], future.slice(1));
  if ('dismiss' in step) return { ...state, refusal: '' };
  if ('take' in step) return go(step.take, [...past, value], []);
  const edited = apply(value, step.edit);
  return edited.ok ? go(edited.value, [...past, value], []) : { ...state, refusal: describe(edited.problem) };
}
