import type { FieldProblem } from './fieldProblem.ts';

/** Every way a request may fail. */
export type ErrorCode =
  | 'wrong-form'
  | 'wrong-address'
  | 'wrong-method'
  | 'wrong-kind'
  | 'not-signed-in'
  | 'wrong-sign-in'
  | 'not-allowed'
  | 'wrong-origin'
  | 'not-found'
  | 'conflict'
  | 'too-large'
  | 'wrong-input'
  | 'too-many-tries'
  | 'internal'
  | 'took-too-long'
  | 'busy'
  | 'database-away';

/** The facts that explain a failure. */
export interface ErrorDetails {
  readonly problems?: readonly FieldProblem[] | undefined;
  readonly retryAfterSeconds?: number | undefined;
  /** What is kept now, where somebody else changed it meanwhile. */
  readonly current?: unknown;
}

/** The body of every failed answer. */
export interface ErrorAnswer extends ErrorDetails {
  readonly code: ErrorCode;
  readonly message: string;
}
