import type { ErrorCode, ErrorDetails } from '../../contracts/errors.ts';

/** The status each code answers with. */
const STATUS_BY_CODE: Readonly<Record<ErrorCode, number>> = {
  'wrong-form': 400,
  'wrong-address': 400,
  'wrong-method': 405,
  'wrong-kind': 415,
  'not-signed-in': 401,
  'wrong-sign-in': 401,
  'not-allowed': 403,
  'wrong-origin': 403,
  'not-found': 404,
  conflict: 409,
  'too-large': 413,
  'wrong-input': 422,
  'too-many-tries': 429,
  'took-too-long': 422,
  internal: 500,
  busy: 503,
  'database-away': 503,
};

/** The one error that crosses the edge: a code, the facts that explain it, and the cause, which is logged and never shown. */
export class EdgeError extends Error {
  readonly details: ErrorDetails;

  constructor(
    readonly code: ErrorCode,
    { cause, ...details }: ErrorDetails & { readonly cause?: unknown } = {},
  ) {
    super(code, { cause });
    this.name = 'EdgeError';
    this.details = details;
  }

  get status(): number {
    return STATUS_BY_CODE[this.code];
  }
}
