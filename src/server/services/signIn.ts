import { findUserByEmail, firstProgrammeOf, type User } from '../db/repositories/people.ts';
import { removeLinksBefore } from '../db/repositories/personLinks.ts';
import {
  addSignIn,
  findSignedIn,
  findSignInTimes,
  isPlaceKnown,
  rememberPlace,
  removeEnded,
  removeSignIn,
  removeSignInsOf,
} from '../db/repositories/signIns.ts';
import { hash, verify } from '@node-rs/argon2';
import { readSettings } from '../../contracts/programme.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken, newToken } from '../http/secrets.ts';
import type { Person } from './person.ts';
import { countTry, forgiveTry } from './tries.ts';

const DAYS_SIGNED_IN = { own: 14, shared: 1 } as const;

/** Whose computer somebody signs in at. */
export type Desk = keyof typeof DAYS_SIGNED_IN;
const DAYS_PLACE_KNOWN = 90;
const MS_PER_DAY = 86_400_000;

/** Compared against when nobody has the address, so that both answers take as long. */
let nobodysHash: Promise<string> | undefined;

/** The stored form of a password: argon2id. */
export function hashPassword(password: string): Promise<string> {
  return hash(password);
}

/** Whether a password is the one of a stored form; takes as long when there is none. */
export async function isPassword(password: string, stored: string | undefined): Promise<boolean> {
  const against = stored ?? (await (nobodysHash ??= hashPassword(newToken())));
  return (await verify(against, password)) && stored !== undefined;
}

/**
 * Checks an address and password; gives a token for the cookie. Says never which of the two was wrong. Tries are
 * counted before the password is looked at: by account and place, by place, and by account where the place is new to
 * it, so that strangers elsewhere cannot lock somebody out of a place they work from.
 */
export async function signIn(email: string, password: string, from: string, desk: Desk = 'own'): Promise<string> {
  const address = email.trim().toLowerCase();
  const user = await checkPassword(address, password, from);
  const programmeId = await firstProgrammeOf(user.id);
  if (!programmeId) throw new EdgeError('wrong-sign-in');
  return startSignIn(user.id, programmeId, from, desk);
}

/** The user whose password that is; every try counts. */
export async function checkPassword(address: string, password: string, from: string): Promise<User> {
  const pair = `${address}|${from}`.slice(0, 240);
  await countTry('pair', pair);
  await countTry('place', from);
  const user = await findUserByEmail(address);
  const isKnown = user !== null && (await isKnownPlace(user.id, from));
  if (!isKnown) await countTry('account', address.slice(0, 240));
  if (!(await isPassword(password, user?.passwordHash)) || !user) throw new EdgeError('wrong-sign-in');
  await forgiveTry('pair', pair, true);
  await forgiveTry('place', from);
  if (!isKnown) await forgiveTry('account', address.slice(0, 240));
  return user;
}

/** A fresh sign-in to a programme; gives the token for the cookie. At a desk that others use it ends after a day. */
export async function startSignIn(
  userId: string,
  programmeId: string,
  from: string,
  desk: Desk = 'own',
): Promise<string> {
  const token = newToken();
  const at = new Date();
  await addSignIn({
    tokenHash: hashToken(token),
    userId,
    programmeId,
    expiresAt: new Date(at.getTime() + DAYS_SIGNED_IN[desk] * MS_PER_DAY),
    signedInAt: at,
  });
  await rememberPlace(userId, placeHash(userId, from), at);
  return token;
}

/** Whose computer a sign-in was made at. One query. */
export async function deskOf(token: string): Promise<Desk> {
  const times = await findSignInTimes(hashToken(token));
  const days = times ? (times.expiresAt.getTime() - times.signedInAt.getTime()) / MS_PER_DAY : 0;
  return days > DAYS_SIGNED_IN.shared ? 'own' : 'shared';
}

async function isKnownPlace(userId: string, from: string): Promise<boolean> {
  return isPlaceKnown(userId, placeHash(userId, from), new Date(Date.now() - DAYS_PLACE_KNOWN * MS_PER_DAY));
}

/** Places are stored so that nobody reads from them where somebody works. */
function placeHash(userId: string, from: string): string {
  return hashToken(`${userId}|${from}`);
}

/** Ends a sign-in. */
export async function signOut(token: string): Promise<void> {
  await removeSignIn(hashToken(token));
}

/** Ends all sign-ins of somebody, save one if it is named by its token. Gives how many. */
export async function signOutEverywhere(userId: string, saveToken?: string): Promise<number> {
  return removeSignInsOf(userId, saveToken && hashToken(saveToken));
}

/** Deletes sign-ins, tries and links that have ended. */
export async function removeExpired(): Promise<void> {
  const at = new Date();
  const placesBefore = new Date(at.getTime() - DAYS_PLACE_KNOWN * MS_PER_DAY);
  await removeEnded({ at, placesBefore });
  await removeLinksBefore(placesBefore);
}

/** Who a cookie's token belongs to, in one query; null when it has ended or never was. */
export async function personOf(token: string): Promise<Person | null> {
  const row = await findSignedIn(hashToken(token), new Date());
  return row ? { ...row, settings: readSettings(row.settings) } : null;
}
