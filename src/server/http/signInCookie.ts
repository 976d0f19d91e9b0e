import type { AstroCookies } from 'astro';
import { isEncrypted } from './place.ts';

export const SIGN_IN_COOKIE = 'footstool_sign_in';
const DAYS = 14;

/** Puts the sign-in token where scripts cannot read it. */
export function setSignInCookie(cookies: AstroCookies, token: string, request: Request): void {
  cookies.set(SIGN_IN_COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: isEncrypted(request),
    path: '/',
    maxAge: DAYS * 86_400,
  });
}
