/**
 * The address that homes can reach, without a slash at its end: FOOTSTOOL_ADDRESS when it is set, since a phone is
 * another device than the author's; otherwise the one the author's browser asked.
 */
export function publicAddress(request: Request): string {
  const set = process.env.FOOTSTOOL_ADDRESS?.replace(/\/+$/, '');
  if (set) return set;
  const asked = new URL(request.url);
  return `${asked.protocol}//${request.headers.get('host') ?? asked.host}`;
}

/**
 * Whether a writing request comes from our own pages: the Origin a browser sends names the host that was asked, or
 * the set address. A request without an Origin and without cookies is not from a browser's page.
 */
export function comesFromOurPages(request: Request): boolean {
  const origin = request.headers.get('origin');
  if (origin === null) return !request.headers.has('cookie') && request.headers.get('sec-fetch-site') === null;
  const allowed = [request.headers.get('host') ?? '', hostOf(process.env.FOOTSTOOL_ADDRESS)];
  return allowed.filter(Boolean).includes(hostOf(origin));
}

function hostOf(address: string | undefined): string {
  try {
    return address ? new URL(address).host : '';
  } catch {
    return '';
  }
}
