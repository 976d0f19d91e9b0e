import type { ErrorAnswer } from '../../contracts/errors.ts';

/** What came of asking: an answer, what the server says is wrong, or nothing that could be read (`error` is null). */
export type Asked<Answer> =
  { readonly ok: true; readonly answer: Answer } | { readonly ok: false; readonly error: ErrorAnswer | null };

interface Asking {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  /** Sent as JSON. */
  readonly json?: object;
  /** Sent as it is, with the kind of file it is. */
  readonly file?: { readonly body: BodyInit; readonly kind: string };
  /** Ends the question from outside. */
  readonly signal?: AbortSignal;
}

/** A server that has said nothing for so long is not waited for. */
const MS_FOR_ANSWER = 20_000;

/**
 * Asks the server, for a limited time. No answer in time, one that was cut off, and one that is not what an endpoint says
 * (the sign-in page of a network in between, for one) all count as no answer.
 */
export async function askServer<Answer>(address: string, asking: Asking = {}): Promise<Asked<Answer>> {
  const { method = asking.json || asking.file ? 'POST' : 'GET', json, file, signal } = asking;
  const limit = new AbortController();
  const timer = setTimeout(() => limit.abort(), MS_FOR_ANSWER);
  const end = () => limit.abort();
  signal?.addEventListener('abort', end);
  try {
    const response = await fetch(address, {
      method,
      signal: limit.signal,
      ...(json && { headers: { 'content-type': 'application/json' }, body: JSON.stringify(json) }),
      ...(file && { headers: { 'content-type': file.kind }, body: file.body }),
    });
    const said: unknown = await response.json();
    if (response.ok) return { ok: true, answer: said as Answer };
    return { ok: false, error: isErrorAnswer(said) ? said : null };
  } catch {
    return { ok: false, error: null };
  } finally {
    clearTimeout(timer);
    signal?.removeEventListener('abort', end);
  }
}

function isErrorAnswer(said: unknown): said is ErrorAnswer {
  const { code, message } = (said ?? {}) as Partial<ErrorAnswer>;
  return typeof code === 'string' && typeof message === 'string';
}
