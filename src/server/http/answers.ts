import { describeError } from '../../messages/errors.ts';
import { isDatabaseAway, isDatabaseBusy } from '../db/connection.ts';
import { depthOfJson, findOutOfBounds, ofText, USUAL_BOUNDS } from '../../contracts/bounds.ts';
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

/** Whether the database is not there at the moment, as against a fault of ours. */
export const isAway = (thrown: unknown): boolean => isDatabaseAway(thrown);

/** Any thrown thing as an edge error; what we did not expect is logged. */
export function toEdgeError(thrown: unknown): EdgeError {
  if (thrown instanceof EdgeError) return thrown;
  if (isDatabaseBusy(thrown)) {
    log.warn({ err: thrown }, 'a statement was given up');
    return new EdgeError('busy', { cause: thrown });
  }
  if (isDatabaseAway(thrown)) {
    log.warn({ err: thrown }, 'the database is away');
    return new EdgeError('database-away', { cause: thrown });
  }
  log.error({ err: thrown }, 'unexpected');
  return new EdgeError('internal', { cause: thrown });
}

/** Limits of bytes for what an endpoint takes, by what it is. */
export const BYTES = {
  /** A few words and numbers. */
  small: 16 * 1024,
  /** One entry of the shelf, a home, a form. */
  entry: 256 * 1024,
  /** A session, a term, a part of a list. */
  whole: 2 * 1024 * 1024,
  /** A file of the open format. */
  file: 8 * 1024 * 1024,
} as const;

/** The body of a request as JSON, within a size and within bounds; what cannot be kept is refused before it is looked at. */
export async function readJson(request: Request, largest: number): Promise<unknown> {
  const text = await readText(request, largest);
  const wrong = (path: string, message: string, cause?: unknown) =>
    new EdgeError('wrong-form', { cause, problems: [{ path, message }] });
  if (depthOfJson(text) > USUAL_BOUNDS.depth) throw wrong('$', `must not lie deeper than ${USUAL_BOUNDS.depth} levels`);
  let value: unknown;
  try {
    value = JSON.parse(text) as unknown;
  } catch (cause) {
    throw wrong('$', `is not JSON: ${(cause as Error).message.slice(0, 200)}`, cause);
  }
  const outside = findOutOfBounds(value);
  if (outside) throw wrong(outside.path, outside.message);
  return value;
}

/** The body of a request as a JSON object. */
export async function readJsonObject(request: Request, largest: number): Promise<Record<string, unknown>> {
  const value = await readJson(request, largest);
  if (typeof value === 'object' && value !== null && !Array.isArray(value)) return value as Record<string, unknown>;
  throw new EdgeError('wrong-form', { problems: [{ path: '$', message: 'must be a JSON object' }] });
}

/** The body of a request as bytes, within a size, whatever its headers promise. */
export async function readBytes(request: Request, largest: number): Promise<Uint8Array> {
  const declared = Number(request.headers.get('content-length') ?? 0);
  if (declared > largest) throw new EdgeError('too-large');
  const reader = request.body?.getReader();
  if (!reader) return new Uint8Array();
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
  return Buffer.concat(chunks);
}

/** The body of a request as text. */
async function readText(request: Request, largest: number): Promise<string> {
  return new TextDecoder().decode(await readBytes(request, largest));
}

/** The fields of a form post. */
export async function readForm(request: Request, largest: number = BYTES.entry): Promise<URLSearchParams> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('application/x-www-form-urlencoded')) throw new EdgeError('wrong-kind');
  const fields = new URLSearchParams(await readText(request, largest));
  let count = 0;
  for (const [name, value] of fields) {
    const problem =
      (count += 1) > MOST_FIELDS ? `must have at most ${MOST_FIELDS} fields` : (ofText(name) ?? ofText(value));
    if (problem)
      throw new EdgeError('wrong-form', {
        problems: [{ path: name.slice(0, 40).replaceAll('\0', ''), message: problem }],
      });
  }
  return fields;
}

/** The text of a file that a form sends as “file”, within a size; empty when it sends none. */
export async function readUpload(request: Request, largest: number): Promise<string> {
  const file = (await readFileForm(request, largest)).get('file');
  return file instanceof File ? file.text() : '';
}

/** The fields of a form that sends a file, within a size. */
export async function readFileForm(request: Request, largest: number): Promise<FormData> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('multipart/form-data')) throw new EdgeError('wrong-kind');
  const bytes = await readBytes(request, largest);
  return new Response(new Uint8Array(bytes), { headers: { 'content-type': type } })
    .formData()
    .catch((cause: unknown) => {
      throw new EdgeError('wrong-form', { cause });
    });
}

const MOST_FIELDS = 2000;
