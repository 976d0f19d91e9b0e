import type { ErrorCode } from '../../contracts/errors.ts';

/** What happened, what is kept and what to do, for each way a request may fail. */
export const errors = {
  'error.wrong-form': 'That could not be read{what}. Nothing was changed.',
  'error.wrong-address': 'That address has characters in it that no page of ours has. Check it, or start from today.',
  'error.wrong-method': 'That address does not take this kind of request. Nothing was changed.',
  'error.wrong-kind': 'That was sent in a form that is not read here. Nothing was changed.',
  'error.not-signed-in':
    'You are signed out. What you wrote is still in this window; sign in in another one and keep it again.',
  'error.wrong-sign-in': 'That address and password do not go together. Check both and try again.',
  'error.not-allowed':
    'Your part in this programme is to read, so this was not changed. Ask an owner if you should be able to.',
  'error.wrong-origin':
    'This came from another address than the one Footstool is served at, so nothing was changed. Reload the page and try again.',
  'error.not-found': 'There is nothing here by that address, or it is not part of your programme.',
  'error.conflict': 'Somebody kept a newer version of this, perhaps you in another window. Yours is still here.',
  'error.too-large': 'That is too large to take. Nothing was changed; send it in smaller parts.',
  'error.wrong-input': 'Something does not fit{what}. Nothing was changed.',
  'error.too-many-tries': 'Too many tries. Wait {wait} and try again; nothing is lost.',
  'error.took-too-long': 'That took longer than it may{what}, so it was stopped. Nothing was changed.',
  'error.busy': 'Too much of this is being worked on at the moment. Nothing was changed; try again in a minute.',
  'error.database-away':
    'Footstool cannot reach its records at the moment. What you wrote is still in this window and is kept as soon as they are back.',
  'error.database-away-page':
    'Footstool cannot reach its records at the moment. What was kept before is safe; what you just sent was not kept. Go back in your browser, where it still stands, and send it again in a minute.',
  'error.internal':
    'Something went wrong on our side, and it has been noted. What was kept before is still there. Try again.',
  'wait.seconds': '{seconds, plural, one {# second} other {# seconds}}',
  'wait.minutes': '{minutes, plural, one {# minute} other {# minutes}}',
} as const satisfies Readonly<Record<`error.${ErrorCode}`, string> & Record<string, string>>;
