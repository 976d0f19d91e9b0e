import { hostname as systemName, networkInterfaces } from 'node:os';
import { EdgeError } from './errors.ts';

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

/** Whether an address leads nowhere but to the machine it is opened on, so that no phone gets there. */
export function isOnlyHere(address: string): boolean {
  const { hostname } = new URL(address);
  return /^(localhost|.*\.localhost|127(\.\d+){3}|0\.0\.0\.0|\[::1?\])$/.test(hostname);
}

/** Whether the address that homes and colleagues use is set. */
export function isAddressSet(): boolean {
  return Boolean(process.env.FOOTSTOOL_ADDRESS?.trim());
}

/**
 * The address for letters that carry somebody's key: the one that is set, or the one that was asked when that is this
 * machine's own by number or name. A host that anybody could write into a request is refused.
 */
export function safeAddress(request: Request): string {
  if (isAddressSet()) return publicAddress(request);
  const { hostname } = new URL(publicAddress(request));
  const own = Object.values(networkInterfaces()).flatMap((entries) => (entries ?? []).map(({ address }) => address));
  const isOwn = ['localhost', systemName().toLowerCase(), ...own].includes(hostname.replace(/^\[|\]$/g, ''));
  if (!isOwn)
    throw new EdgeError('wrong-input', {
      problems: [
        {
          path: 'The letter',
          message: 'needs to know where Footstool stands: FOOTSTOOL_ADDRESS has to be set at the start',
        },
      ],
    });
  return publicAddress(request);
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
