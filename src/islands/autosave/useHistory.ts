import { useEffect, useMemo, useReducer } from 'react';
import type { Outcome } from '../../core/outcome.ts';

/** One step that can be undone and done again: what makes it so, either way. */
interface StepBack<Delta> {
  readonly back: Delta;
  readonly forward: Delta;
}

interface History<Value, Delta> {
  readonly value: Value;
  readonly past: readonly StepBack<Delta>[];
  readonly future: readonly StepBack<Delta>[];
  /** Why the last change was refused; empty when it was not. */
  readonly refusal: string;
}

type Step<Value, Edit> =
  | { readonly edit: Edit }
  | { readonly undo: true }
  | { readonly redo: true }
  | { readonly take: Value }
  /** What others did comes in: it is theirs to undo. */
  | { readonly follow: (value: Value) => Value }
  /** Steps of this window from before it was loaded again. */
  | { readonly restore: unknown }
  | { readonly dismiss: true };

/** How steps are kept: what is between two values, and a value with it. */
interface Deltas<Value, Delta> {
  readonly between: (before: Value, after: Value) => Delta;
  readonly apply: (value: Value, delta: Delta) => Value;
  /** The name under which steps outlive a reload of the page in this window; absent: they do not. */
  readonly keptAs?: string | undefined;
}

interface HistoryRules<Value, Edit, Problem, Delta> {
  readonly apply: (value: Value, edit: Edit) => Outcome<Value, Problem>;
  readonly describe: (problem: Problem) => string;
  readonly deltas: Deltas<Value, Delta>;
}

const LONGEST_HISTORY = 200;
const MOST_KEPT_CHARACTERS = 1_000_000;

/** Each step is the whole value before and after it: for what is one person’s at a time. */
export const wholeValues = <Value>(): Deltas<Value, Value> => ({
  between: (_before, after) => after,
  apply: (_value, after) => after,
});

/** A value with its edits, undo and redo; a refused edit leaves it as it is and says why. */
export function useHistory<Value, Edit, Problem, Delta>(
  first: Value,
  rules: HistoryRules<Value, Edit, Problem, Delta>,
) {
  const [history, dispatch] = useReducer(
    (state: History<Value, Delta>, step: Step<Value, Edit>) => take(state, step, rules),
    null,
    (): History<Value, Delta> => ({ value: first, past: [], future: [], refusal: '' }),
  );
  const { keptAs } = rules.deltas;
  useKeptSteps(keptAs, history);
  useEffect(() => {
    const kept = keptAs === undefined ? null : readKept<Delta>(keptAs);
    if (kept) dispatch({ restore: kept });
  }, [keptAs]);
  const steps = useMemo(
    () => ({
      edit: (edit: Edit) => dispatch({ edit }),
      undo: () => dispatch({ undo: true }),
      redo: () => dispatch({ redo: true }),
      take: (other: Value) => dispatch({ take: other }),
      follow: (others: (value: Value) => Value) => dispatch({ follow: others }),
      dismiss: () => dispatch({ dismiss: true }),
    }),
    [],
  );
  return { ...history, ...steps };
}

function take<Value, Edit, Problem, Delta>(
  state: History<Value, Delta>,
  step: Step<Value, Edit>,
  { apply, describe, deltas }: HistoryRules<Value, Edit, Problem, Delta>,
): History<Value, Delta> {
  const { value, past, future } = state;
  const goOn = (next: Value) => ({
    value: next,
    past: [...past, { back: deltas.between(next, value), forward: deltas.between(value, next) }].slice(
      -LONGEST_HISTORY,
    ),
    future: [],
    refusal: '',
  });
  if ('undo' in step) {
    const last = past.at(-1);
    if (!last) return state;
    return { value: deltas.apply(value, last.back), past: past.slice(0, -1), future: [last, ...future], refusal: '' };
  }
  if ('redo' in step) {
    const [next, ...others] = future;
    if (!next) return state;
    return { value: deltas.apply(value, next.forward), past: [...past, next], future: others, refusal: '' };
  }
  if ('dismiss' in step) return { ...state, refusal: '' };
  if ('follow' in step) return { ...state, value: step.follow(value) };
  if ('restore' in step) return past.length === 0 ? { ...state, ...(step.restore as Steps<Delta>) } : state;
  if ('take' in step) return goOn(step.take);
  const edited = apply(value, step.edit);
  if (!edited.ok) return { ...state, refusal: describe(edited.problem) };
  return edited.value === value ? { ...state, refusal: '' } : goOn(edited.value);
}

type Steps<Delta> = Pick<History<unknown, Delta>, 'past' | 'future'>;

/** Steps that were kept; what cannot be read is forgotten. */
function readKept<Delta>(keptAs: string): Steps<Delta> | null {
  try {
    const kept = JSON.parse(sessionStorage.getItem(keptAs) ?? 'null') as Steps<Delta> | null;
    return kept && Array.isArray(kept.past) && Array.isArray(kept.future) ? kept : null;
  } catch {
    return null;
  }
}

function useKeptSteps<Delta>(keptAs: string | undefined, { past, future }: Steps<Delta>): void {
  useEffect(() => {
    if (keptAs === undefined) return undefined;
    const keep = () => {
      try {
        const kept = JSON.stringify({ past: past.slice(-LONGEST_HISTORY / 2), future });
        if (kept.length <= MOST_KEPT_CHARACTERS) sessionStorage.setItem(keptAs, kept);
      } catch {
        // Without a place to keep them the steps end with the page.
      }
    };
    window.addEventListener('pagehide', keep);
    return () => window.removeEventListener('pagehide', keep);
  }, [keptAs, past, future]);
}
