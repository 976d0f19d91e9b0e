import type { AstroCookies } from 'astro';

export const SIGN_IN_COOKIE = 'footstool_sign_in';
const DAYS = 14;

/** Puts the sign-in token where scripts cannot read it. */
export function setSignInCookie(cookies: AstroCookies, token: string, url: URL): void {
  cookies.set(SIGN_IN_COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: url.protocol === 'https:',
    path: '/',
    maxAge: DAYS * 86_400,
  });
}
