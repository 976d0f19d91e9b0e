import { hash, verify } from '@node-rs/argon2';
import { QueryTypes } from 'sequelize';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { readSettings } from '../../contracts/programme.ts';
import { MembershipRow, SignInRow, UserRow } from '../db/models.ts';
import { tables } from '../db/tables.ts';
import { EdgeError } from '../http/errors.ts';
import { hashToken, newToken } from '../http/secrets.ts';
import type { Person } from './person.ts';

const DAYS_SIGNED_IN = 14;
const MS_PER_DAY = 86_400_000;

/** Five wrong tries for an address from one place, then a minute's wait. */
const wrongTries = new RateLimiterMemory({ points: 5, duration: 300, blockDuration: 60 });

/** Compared against when nobody has the address, so that both answers take as long. */
let nobodysHash: Promise<string> | undefined;

/** The stored form of a password: argon2id. */
export function hashPassword(password: string): Promise<string> {
  return hash(password);
}

/** Checks an address and password; gives a token for the cookie. Says never which of the two was wrong. */
export async function signIn(email: string, password: string, from: string): Promise<string> {
  const address = email.trim().toLowerCase();
  const place = `${from}/${address}`;
  const tries = await wrongTries.get(place);
  if (tries && tries.consumedPoints >= 5) throw tooManyTries(tries);
  tables();
  const user = await UserRow.findOne({ where: { email: address } });
  const stored = user?.passwordHash ?? (await (nobodysHash ??= hashPassword(newToken())));
  const isRight = await verify(stored, password);
  if (!user || !isRight) {
    const used = await wrongTries.consume(place).catch((refused: RateLimiterRes) => refused);
    if (used.consumedPoints >= 5) await wrongTries.block(place, 60);
    throw new EdgeError('wrong-sign-in');
  }
  await wrongTries.delete(place);
  const membership = await MembershipRow.findOne({ where: { userId: user.id }, order: [['programmeId', 'ASC']] });
  if (!membership) throw new EdgeError('wrong-sign-in');
  const token = newToken();
  await SignInRow.create({
    tokenHash: hashToken(token),
    userId: user.id,
    programmeId: membership.programmeId,
    expiresAt: new Date(Date.now() + DAYS_SIGNED_IN * MS_PER_DAY),
  });
  return token;
}

/** Ends a sign-in. */
export async function signOut(token: string): Promise<void> {
  tables();
  await SignInRow.destroy({ where: { tokenHash: hashToken(token) } });
}

interface SignedInRow {
  userId: string;
  name: string;
  email: string;
  programmeId: string;
  programme: string;
  role: Person['role'];
  settings: unknown;
}

/** Who a cookie's token belongs to, in one query; null when it has ended or never was. */
export async function personOf(token: string): Promise<Person | null> {
  const rows = await tables().query<SignedInRow>(
    `SELECT users.id AS "userId", users.name, users.email, programmes.id AS "programmeId", programmes.name AS programme,
            memberships.role, programmes.settings
       FROM sign_ins
       JOIN users ON users.id = sign_ins.user_id
       JOIN programmes ON programmes.id = sign_ins.programme_id
       JOIN memberships ON memberships.user_id = users.id AND memberships.programme_id = programmes.id
      WHERE sign_ins.token_hash = :hash AND sign_ins.expires_at > :now`,
    { replacements: { hash: hashToken(token), now: new Date() }, type: QueryTypes.SELECT },
  );
  const row = rows[0];
  return row ? { ...row, settings: readSettings(row.settings) } : null;
}

function tooManyTries(tries: RateLimiterRes): EdgeError {
  return new EdgeError('too-many-tries', { retryAfterSeconds: Math.max(1, Math.ceil(tries.msBeforeNext / 1000)) });
}
