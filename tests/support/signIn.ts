/** Signs somebody in by the form; gives the cookie as a browser would send it. */
export async function signInByPost(
  address: string,
  { email, password }: { readonly email: string; readonly password: string },
): Promise<string> {
  const answer = await fetch(`${address}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    headers: { origin: address },
    body: new URLSearchParams({ email, password }),
  });
  const cookie = answer.headers.get('set-cookie')?.split(';')[0];
  if (answer.status !== 303 || !cookie) throw new Error(`${email} could not sign in: ${answer.status}`);
  return cookie;
}
