import { createHash, createHmac, randomBytes, timingSafeEqual } from 'node:crypto';

/** A secret of the installation, from FOOTSTOOL_SECRET (at least 32 characters); bin/start makes one on first start. */
function installationSecret(): string {
  const secret = process.env.FOOTSTOOL_SECRET ?? '';
  if (secret.length < 32) throw new Error('FOOTSTOOL_SECRET must hold at least 32 characters; bin/start sets it');
  return secret;
}

/** A fresh unguessable token: 32 random bytes. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** How a token is stored: the link or sign-in cannot be made from what the database holds. */
export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/**
 * The token in a home's link: derived from the installation's secret and the link's id, so that its QR code can be
 * shown again although only its hash is stored. 43 characters, 256 bits.
 */
export function guideToken(linkId: string): string {
  return createHmac('sha256', installationSecret()).update(`guide:${linkId}`).digest('base64url');
}

/** The token in the secret address of a calendar feed, derived like a home's. */
export function feedToken(feedId: string): string {
  return createHmac('sha256', installationSecret()).update(`feed:${feedId}`).digest('base64url');
}

/** The token in a colleague's link to join or to choose a new password, derived like a home's. */
export function personToken(linkId: string): string {
  return createHmac('sha256', installationSecret()).update(`person:${linkId}`).digest('base64url');
}

/** The code that makes the first owner of an installation: the same in every process, shown in the log while there is nobody. */
export function firstOwnerCode(): string {
  const digest = createHmac('sha256', installationSecret())
    .update('first owner')
    .digest('hex')
    .slice(0, 20)
    .toUpperCase();
  return digest.replace(/(.{5})(?=.)/g, '$1-');
}

/** Whether a code is that one, however it is spaced; takes as long for any code. */
export function isFirstOwnerCode(code: string): boolean {
  const plain = (text: string) => createHash('sha256').update(text.replace(/[\s-]/g, '').toUpperCase()).digest();
  return timingSafeEqual(plain(code), plain(firstOwnerCode()));
}
