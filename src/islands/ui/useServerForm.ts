import type { FieldProblem } from '../../contracts/fieldProblem.ts';
import { useEffect, useState } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';
import { sayScreen } from '../../messages/screenWords.ts';
import { askServer } from './askServer.ts';

interface ServerFormInput<Values extends FieldValues> {
  readonly form: UseFormReturn<Values>;
  readonly address: string;
  /** What is sent for the values of the form. */
  readonly bodyOf: (values: Values) => object;
  /** The field that a place of the sent value stands in; absent where no field is at fault. */
  readonly fieldOf: (path: string) => string | undefined;
  /** Where to go from what the server answered; absent: where it says. */
  readonly hrefOf?: ((answer: { readonly key: string }) => string) | undefined;
}

/** What is said above a form. */
export interface FormWord {
  readonly text: string;
  /** What somebody else kept meanwhile. */
  readonly current?: unknown;
  /** What fits no field. */
  readonly others: readonly FieldProblem[];
}

const NOT_REACHED = 'Footstool cannot be reached at the moment. What you wrote still stands; try again.';

/** Sends a form by PUT; what does not fit is said at its field, the first one in view, and all that was written stays. */
export function useServerForm<Values extends FieldValues>({
  form,
  address,
  bodyOf,
  fieldOf,
  hrefOf,
}: ServerFormInput<Values>) {
  const [word, setWord] = useState<FormWord | null>(null);
  // Once what is wrong stands beside its field: before that there is nothing to bring into view.
  useEffect(() => {
    if (word) bringFirstIntoView();
  }, [word]);
  const keep = async (values: Values): Promise<void> => {
    setWord(null);
    const asked = await askServer<{ href: string; key: string }>(address, { method: 'PUT', json: bodyOf(values) });
    if (asked.ok) {
      window.location.assign(hrefOf?.(asked.answer) ?? asked.answer.href);
      return new Promise(() => undefined);
    }
    const { error } = asked;
    const problems = error?.problems ?? [];
    const placed = problems.flatMap((problem) => {
      const field = fieldOf(problem.path);
      return field ? [{ ...problem, field }] : [];
    });
    for (const { field, message } of placed) form.setError(field as never, { message });
    setWord({
      text:
        problems.length > 0
          ? sayScreen('count.not-saved', { count: problems.length })
          : (error?.message ?? NOT_REACHED),
      current: error?.code === 'conflict' ? error.current : undefined,
      others: problems.filter(({ path }) => !fieldOf(path)),
    });
  };
  const submit = form.handleSubmit(keep, (errors) => {
    setWord({ text: sayScreen('count.not-saved', { count: countErrors(errors) }), others: [] });
  });
  return { submit, word, setWord };
}

function countErrors(errors: object): number {
  return Object.values(errors).reduce<number>((sum, entry: unknown) => {
    if (typeof entry !== 'object' || entry === null) return sum;
    const isOne = 'message' in entry && typeof entry.message === 'string';
    return sum + (isOne ? 1 : countErrors(entry));
  }, 0);
}

/** The first field that is marked; none is where something else kept it from being saved. */
function bringFirstIntoView(): void {
  const first =
    document.querySelector<HTMLElement>('[aria-invalid="true"]') ?? document.querySelector('.field-problem');
  const isCalm = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
  first?.scrollIntoView({ block: 'center', behavior: isCalm ? 'auto' : 'smooth' });
  if (first instanceof HTMLElement) first.focus({ preventScroll: true });
}
