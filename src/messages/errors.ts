import type { ErrorCode, ErrorDetails } from '../contracts/errors.ts';
import { sayScreen } from './screenWords.ts';

/** What happened, what is kept and what to do, for each way a request may fail. */
export function describeError(code: ErrorCode, details: ErrorDetails, isPage = false): string {
  switch (code) {
    case 'wrong-form':
    case 'wrong-input':
    case 'took-too-long':
      return sayScreen(`error.${code}`, { what: firstProblem(details) });
    case 'too-many-tries':
      return sayScreen('error.too-many-tries', { wait: waitWords(details.retryAfterSeconds ?? 60) });
    case 'database-away':
      return sayScreen(isPage ? 'error.database-away-page' : 'error.database-away');
    default:
      return sayScreen(`error.${code}`);
  }
}

function firstProblem({ problems }: ErrorDetails): string {
  const problem = problems?.[0];
  return problem ? `: ${problem.path} ${problem.message}` : '';
}

function waitWords(seconds: number): string {
  return seconds < 90
    ? sayScreen('wait.seconds', { seconds })
    : sayScreen('wait.minutes', { minutes: Math.ceil(seconds / 60) });
}
