import { Op, QueryTypes } from 'sequelize';
import { SignInRow } from '../models.ts';
import { KnownPlaceRow } from '../tickModels.ts';
import { tables } from '../tables.ts';
import type { Role } from './people.ts';

/** Who a sign-in belongs to, and the programme it is for. */
export interface SignedIn {
  readonly userId: string;
  readonly name: string;
  readonly email: string;
  readonly programmeId: string;
  readonly programme: string;
  readonly role: Role;
  readonly settings: unknown;
  readonly settingsRevision: number;
}

/** Whose sign-in has this token's hash and has not ended; null otherwise. One query. */
export async function findSignedIn(tokenHash: string, at: Date): Promise<SignedIn | null> {
  const rows = await tables().query<SignedIn>(
    `SELECT users.id AS "userId", users.name, users.email, programmes.id AS "programmeId", programmes.name AS programme,
            memberships.role, programmes.settings, programmes.revision AS "settingsRevision"
       FROM sign_ins
       JOIN users ON users.id = sign_ins.user_id
       JOIN programmes ON programmes.id = sign_ins.programme_id
       JOIN memberships ON memberships.user_id = users.id AND memberships.programme_id = programmes.id
      WHERE sign_ins.token_hash = :tokenHash AND sign_ins.expires_at > :at`,
    { replacements: { tokenHash, at }, type: QueryTypes.SELECT },
  );
  return rows[0] ?? null;
}

/** Adds a sign-in. */
export async function addSignIn(signIn: {
  readonly tokenHash: string;
  readonly userId: string;
  readonly programmeId: string;
  readonly expiresAt: Date;
  readonly signedInAt: Date;
}): Promise<void> {
  tables();
  await SignInRow.create(signIn);
}

/** When a sign-in began and when it ends; null when it is none. One query. */
export async function findSignInTimes(tokenHash: string): Promise<{ signedInAt: Date; expiresAt: Date } | null> {
  tables();
  return SignInRow.findOne({ where: { tokenHash }, attributes: ['signedInAt', 'expiresAt'] });
}

/** Ends a sign-in. */
export async function removeSignIn(tokenHash: string): Promise<void> {
  tables();
  await SignInRow.destroy({ where: { tokenHash } });
}

/** Ends all sign-ins of somebody, save one; gives how many. */
export function removeSignInsOf(userId: string, savedHash?: string): Promise<number> {
  tables();
  return SignInRow.destroy({ where: { userId, ...(savedHash && { tokenHash: { [Op.ne]: savedHash } }) } });
}

/** Remembers that somebody signed in from a place. */
export async function rememberPlace(userId: string, placeHash: string, lastAt: Date): Promise<void> {
  await KnownPlaceRow.upsert({ userId, placeHash, lastAt });
}

/** Whether somebody signed in from a place since a moment. One query. */
export async function isPlaceKnown(userId: string, placeHash: string, since: Date): Promise<boolean> {
  return (await KnownPlaceRow.count({ where: { userId, placeHash, lastAt: { [Op.gt]: since } } })) > 0;
}

/** Deletes sign-ins that have ended, places not seen since a moment, and tries that count no more. */
export async function removeEnded({ at, placesBefore }: { at: Date; placesBefore: Date }): Promise<void> {
  tables();
  await SignInRow.destroy({ where: { expiresAt: { [Op.lt]: at } } });
  await KnownPlaceRow.destroy({ where: { lastAt: { [Op.lt]: placesBefore } } });
  await tables().query('DELETE FROM tries WHERE expire < :now', { replacements: { now: at.getTime() } });
}
