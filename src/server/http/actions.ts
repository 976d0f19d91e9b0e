import type { APIContext } from 'astro';
import type { Schema } from 'yup';
import { checkForm } from '../../contracts/problems.ts';
import { BYTES, readForm } from './answers.ts';
import { EdgeError } from './errors.ts';
import { formAnswer, type FormAnswer } from './forms.ts';

/** Does what a form asks for and gives the address that it leads to. */
type Act = (form: URLSearchParams) => Promise<string>;

/** What a form asks for where what is wrong with it is shown at its fields. */
export interface CheckedAction {
  readonly fields: readonly string[];
  readonly act: Act;
}

/** What came of a form that was not taken: which one it was, and what was written in it. */
export interface RefusedAction extends FormAnswer {
  readonly did: string;
  readonly written: Readonly<Record<string, string>>;
}

/** An action on what a form holds, checked. */
export function checked<Form>(
  schema: Schema<Form> & { readonly fields: object },
  act: (form: Form) => Promise<string>,
): CheckedAction {
  return {
    fields: Object.keys(schema.fields),
    act: (sent) => {
      const form = checkForm(schema, Object.fromEntries(sent));
      if (!form.ok) throw new EdgeError('wrong-input', { problems: form.problem });
      return act(form.value);
    },
  };
}

/**
 * Does what was sent to a page, by the form's field `do` (empty where it has none); what no action is named for is refused.
 * Gives the way on, or why the form was not taken, with the status set; null where nothing was sent.
 */
export async function takeAction(
  { request, redirect, response }: Pick<APIContext, 'request' | 'redirect'> & { readonly response: ResponseInit },
  actions: Readonly<Record<string, Act | CheckedAction>>,
): Promise<Response | RefusedAction | null> {
  if (request.method !== 'POST') return null;
  const form = await readForm(request, BYTES.entry);
  const did = form.get('do') ?? '';
  const action = Object.hasOwn(actions, did) ? actions[did] : undefined;
  if (!action) throw new EdgeError('wrong-form');
  if (typeof action === 'function') return redirect(await action(form), 303);
  try {
    return redirect(await action.act(form), 303);
  } catch (thrown) {
    const answer = formAnswer(thrown, action.fields);
    response.status = answer.status;
    return { ...answer, did, written: Object.fromEntries(form) };
  }
}
