import { describeError } from '../../messages/errors.ts';
import { isDatabaseAway } from '../db/connection.ts';
import { log } from '../log.ts';
import { EdgeError } from './errors.ts';

/** An answer of an endpoint as JSON. */
export function jsonAnswer(value: unknown, status = 200): Response {
  return new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8' },
  });
}

/** Runs an endpoint; whatever goes wrong becomes a JSON answer with the right status and a sentence. */
export async function answering(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (thrown) {
    const error = toEdgeError(thrown);
    const { problems, current, retryAfterSeconds } = error.details;
    const answer = jsonAnswer(
      { code: error.code, message: describeError(error.code, error.details), problems, current },
      error.status,
    );
    if (retryAfterSeconds) answer.headers.set('retry-after', String(retryAfterSeconds));
    return answer;
  }
}

/** Any thrown thing as an edge error; what we did not expect is logged. */
export function toEdgeError(thrown: unknown): EdgeError {
  if (thrown instanceof EdgeError) return thrown;
  if (isDatabaseAway(thrown)) {
    log.warn({ err: thrown }, 'the database is away');
    return new EdgeError('database-away', { cause: thrown });
  }
  log.error({ err: thrown }, 'unexpected');
  return new EdgeError('internal', { cause: thrown });
}

const LARGEST_BODY = 12 * 1024 * 1024;

/** The body of a request as JSON, within a size. */
export async function readJson(request: Request, largest = LARGEST_BODY): Promise<unknown> {
  const text = await readText(request, largest);
  try {
    return JSON.parse(text) as unknown;
  } catch (cause) {
    throw new EdgeError('wrong-form', {
      cause,
      problems: [{ path: '$', message: `is not JSON: ${(cause as Error).message}` }],
    });
  }
}

/** The body of a request as text, within a size, whatever its headers promise. */
export async function readText(request: Request, largest: number): Promise<string> {
  const declared = Number(request.headers.get('content-length') ?? 0);
  if (declared > largest) throw new EdgeError('too-large');
  const reader = request.body?.getReader();
  if (!reader) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > largest) {
      await reader.cancel();
      throw new EdgeError('too-large');
    }
    chunks.push(value);
  }
  return new TextDecoder().decode(Buffer.concat(chunks));
}

/** The fields of a form post. */
export async function readForm(request: Request): Promise<URLSearchParams> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('application/x-www-form-urlencoded')) throw new EdgeError('wrong-form');
  return new URLSearchParams(await readText(request, 256 * 1024));
}
