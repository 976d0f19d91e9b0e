import { changeUser, findUser, findUserByEmail } from '../db/repositories/people.ts';
import { dropResets } from '../db/repositories/personLinks.ts';
import { inTransaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';
import { findLink, takeLink, writeLink } from './personLinks.ts';
import { hashPassword, isPassword, signOutEverywhere } from './signIn.ts';
import { countTry, hasTriesLeft } from './tries.ts';

const HOURS_TO_RESET = 1;

/**
 * Sends a link to choose a new password, if somebody has the address; says never whether. An address that was written to
 * often gets no further letter and no refusal: whoever asks in another's name shuts nobody out, since the letters before
 * still open.
 */
export async function askForReset(email: string, from: string, address: string): Promise<void> {
  await countTry('letterPlace', from);
  if (!(await hasTriesLeft('letter', email.slice(0, 240)))) return;
  const user = await findUserByEmail(email);
  if (!user) return;
  await inTransaction((transaction) =>
    writeLink(
      { kind: 'reset', email, name: user.name, role: null, programmeId: null, createdBy: null, userId: user.id },
      { programme: '', name: user.name, by: '', address },
      { hours: HOURS_TO_RESET, transaction },
    ),
  );
}

/** Whether a link to choose a new password still works. */
export async function isResetOpen(token: string): Promise<boolean> {
  return (await findLink(token, 'reset')) !== null;
}

/** Takes a new password by a link; every sign-in and every other such link of that person ends. */
export async function resetPassword(token: string, password: string): Promise<void> {
  const link = await findLink(token, 'reset');
  if (!link) throw new EdgeError('not-found');
  const passwordHash = await hashPassword(password);
  await inTransaction(async (transaction) => {
    await takeLink(link, transaction);
    await changeUser(link.userId!, { passwordHash }, transaction);
    await dropResets(link.userId!, transaction);
  });
  await signOutEverywhere(link.userId!);
}

/** Changes one's own password; all other sign-ins end, and links to choose another one. */
export async function changePassword(
  person: Person,
  { current, password }: { current: string; password: string },
  { token, from }: { token: string; from: string },
): Promise<void> {
  await countTry('pair', `${person.email}|${from}`.slice(0, 240));
  const user = await findUser(person.userId);
  if (!user || !(await isPassword(current, user.passwordHash)))
    throw new EdgeError('wrong-input', { problems: [{ path: 'current', message: 'is not your password' }] });
  const passwordHash = await hashPassword(password);
  await inTransaction(async (transaction) => {
    await changeUser(user.id, { passwordHash }, transaction);
    await dropResets(user.id, transaction);
  });
  await signOutEverywhere(person.userId, token);
}
