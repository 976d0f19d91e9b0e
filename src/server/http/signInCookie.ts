import type { AstroCookies } from 'astro';
import { isEncrypted } from './place.ts';

export const SIGN_IN_COOKIE = 'footstool_sign_in';
const DAYS = 14;

/** Puts the sign-in token where scripts cannot read it; at a desk that others use, until the browser is closed. */
export function setSignInCookie(
  cookies: AstroCookies,
  token: string,
  { request, isShared = false }: { request: Request; isShared?: boolean },
): void {
  cookies.set(SIGN_IN_COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: isEncrypted(request),
    path: '/',
    ...(!isShared && { maxAge: DAYS * 86_400 }),
  });
}
