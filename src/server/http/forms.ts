import type { Schema } from 'yup';
import type { FieldProblem } from '../../contracts/fieldProblem.ts';
import { checkForm } from '../../contracts/problems.ts';
import { describeError } from '../../messages/errors.ts';
import { toEdgeError } from './answers.ts';
import { EdgeError } from './errors.ts';

/** What a page shows of a form that was not taken. */
export interface FormAnswer {
  readonly status: number;
  readonly problems: readonly FieldProblem[];
  /** Said above the form where no field is at fault. */
  readonly text: string | undefined;
  readonly retryAfterSeconds: number | undefined;
}

/** Reads from what was thrown what to say at the form; what no form can mend goes on to the page of problems. */
export function formAnswer(thrown: unknown, fields: readonly string[]): FormAnswer {
  const error = toEdgeError(thrown);
  const { problems = [], retryAfterSeconds } = error.details;
  const isAtFields = error.code === 'wrong-input' && problems.every(({ path }) => fields.includes(path));
  if (!['wrong-input', 'wrong-sign-in', 'too-many-tries', 'conflict', 'database-away'].includes(error.code))
    throw error;
  return {
    status: error.status,
    problems: isAtFields ? problems : [],
    text: isAtFields ? undefined : describeError(error.code, error.details),
    retryAfterSeconds,
  };
}

/** Checks a form and does what it asks: null when it was done, otherwise what the page shows of why it was not. */
export async function takeForm<Form>(
  schema: Schema<Form> & { readonly fields: object },
  fields: Record<string, unknown>,
  act: (form: Form) => Promise<unknown>,
): Promise<FormAnswer | null> {
  const form = checkForm(schema, fields);
  try {
    if (!form.ok) throw new EdgeError('wrong-input', { problems: form.problem });
    await act(form.value);
    return null;
  } catch (thrown) {
    return formAnswer(thrown, Object.keys(schema.fields));
  }
}
