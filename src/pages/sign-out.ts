import type { APIRoute } from 'astro';
import { SIGN_IN_COOKIE } from '../server/http/signInCookie.ts';
import { signOut } from '../server/services/signIn.ts';

export const POST: APIRoute = async ({ cookies, redirect }) => {
  const token = cookies.get(SIGN_IN_COOKIE)?.value;
  if (token) await signOut(token);
  cookies.delete(SIGN_IN_COOKIE, { path: '/' });
  return redirect('/sign-in', 303);
};
