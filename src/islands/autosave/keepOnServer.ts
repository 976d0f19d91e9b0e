import type { ErrorAnswer } from '../../contracts/errors.ts';
import { askServer } from '../ui/askServer.ts';

/** What somebody else kept meanwhile. */
export interface Newer<Value> {
  readonly revision: number;
  readonly keptAt: string;
  readonly keptBy: string;
  readonly value: Value;
  /** What we sent had been kept before, and only the answer was lost: theirs came after it. */
  readonly hasArrived: boolean;
}

/** What became of keeping something. */
export type Kept<Value> =
  | { readonly state: 'kept'; readonly at: string; readonly revision: number }
  | { readonly state: 'away'; readonly message: string }
  | { readonly state: 'refused'; readonly message: string }
  | { readonly state: 'newer'; readonly message: string; readonly newer: Newer<Value> };

const MOST_BYTES = 2 * 1024 * 1024;
/** Only what passes by itself is tried again by itself. */
const PASSING: readonly ErrorAnswer['code'][] = ['database-away', 'busy', 'too-many-tries'];

/** Sends something to be kept, by PUT; `name` is what its value is called in what is answered. */
export async function keepOnServer<Value>(
  { address, name }: { readonly address: string; readonly name: string },
  body: object,
): Promise<Kept<Value>> {
  if (JSON.stringify(body).length > MOST_BYTES)
    return {
      state: 'refused',
      message: 'This has become too large to keep. What you wrote is still in this window; take something out of it.',
    };
  const asked = await askServer<{ revision?: number; keptAt?: string }>(address, { method: 'PUT', json: body });
  const { revision, keptAt } = asked.ok ? asked.answer : {};
  if (revision !== undefined && keptAt !== undefined) return { state: 'kept', at: keptAt, revision };
  const error = asked.ok ? null : asked.error;
  if (!error)
    return {
      state: 'away',
      message:
        'Footstool cannot be reached at the moment. What you wrote is still in this window and is kept as soon as it is back.',
    };
  const { message } = error;
  if (error.code === 'conflict') {
    const current = error.current as Omit<Newer<Value>, 'value'> & Record<string, unknown>;
    return { state: 'newer', message, newer: { ...current, value: current[name] as Value } };
  }
  return PASSING.includes(error.code) ? { state: 'away', message } : { state: 'refused', message };
}
