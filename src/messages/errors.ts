import type { ErrorCode, ErrorDetails } from '../contracts/errors.ts';

/** What happened, what is kept and what to do, for each way a request may fail. */
export function describeError(code: ErrorCode, details: ErrorDetails, isPage = false): string {
  switch (code) {
    case 'wrong-form':
      return `That could not be read${firstProblem(details)}. Nothing was changed.`;
    case 'wrong-address':
      return 'That address has characters in it that no page of ours has. Check it, or start from today.';
    case 'wrong-method':
      return 'That address does not take this kind of request. Nothing was changed.';
    case 'wrong-kind':
      return 'That was sent in a form that is not read here. Nothing was changed.';
    case 'not-signed-in':
      return 'You are signed out. What you wrote is still in this window; sign in in another one and keep it again.';
    case 'wrong-sign-in':
      return 'That address and password do not go together. Check both and try again.';
    case 'not-allowed':
      return 'Your part in this programme is to read, so this was not changed. Ask an owner if you should be able to.';
    case 'wrong-origin':
      return 'This came from another address than the one Footstool is served at, so nothing was changed. Reload the page and try again.';
    case 'not-found':
      return 'There is nothing here by that address, or it is not part of your programme.';
    case 'conflict':
      return 'Somebody kept a newer version of this, perhaps you in another window. Yours is still here.';
    case 'too-large':
      return 'That is too large to take. Nothing was changed; send it in smaller parts.';
    case 'wrong-input':
      return `Something does not fit${firstProblem(details)}. Nothing was changed.`;
    case 'too-many-tries':
      return `Too many tries. Wait ${waitWords(details.retryAfterSeconds ?? 60)} and try again; nothing is lost.`;
    case 'took-too-long':
      return `That took longer than it may${firstProblem(details)}, so it was stopped. Nothing was changed.`;
    case 'busy':
      return 'Too much of this is being worked on at the moment. Nothing was changed; try again in a minute.';
    case 'database-away':
      if (isPage)
        return 'Footstool cannot reach its records at the moment. What was kept before is safe; what you just sent was not kept. Go back in your browser, where it still stands, and send it again in a minute.';
      return 'Footstool cannot reach its records at the moment. What you wrote is still in this window and is kept as soon as they are back.';
    case 'internal':
      return 'Something went wrong on our side, and it has been noted. What was kept before is still there. Try again.';
  }
}

function firstProblem({ problems }: ErrorDetails): string {
  const problem = problems?.[0];
  return problem ? `: ${problem.path} ${problem.message}` : '';
}

function waitWords(seconds: number): string {
  return seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`;
}
