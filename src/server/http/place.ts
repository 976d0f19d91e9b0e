import type { IncomingMessage } from 'node:http';

const FORWARDED = ['x-forwarded-for', 'x-forwarded-proto', 'x-forwarded-host', 'x-forwarded-port', 'forwarded'];

/**
 * Leaves in a request only what is known of where it comes from: the address of the connection, or what the named proxy
 * says of the one before it. Headers that anybody can write are taken away.
 */
export function trustedPlace(request: IncomingMessage, proxy: string | undefined): void {
  const connected = plainAddress(request.socket.remoteAddress ?? '');
  const isProxy = proxy !== undefined && proxy !== '' && connected === plainAddress(proxy);
  const said = isProxy ? lastOf(request.headers['x-forwarded-for']) : undefined;
  const isSecure = isProxy && request.headers['x-forwarded-proto'] === 'https';
  request.headers['x-footstool-behind'] = request.headers['x-forwarded-for'] && !isProxy ? 'unknown' : '';
  for (const name of FORWARDED) delete request.headers[name];
  request.headers['x-forwarded-for'] = said ?? connected;
  request.headers['x-footstool-secure'] = isSecure ? '1' : '';
}

/** The nearest hop that the proxy itself wrote down. */
function lastOf(header: string | string[] | undefined): string | undefined {
  const last = [header ?? []].flat().join(',').split(',').at(-1)?.trim();
  return last || undefined;
}

/** An address of the older kind, however the socket writes it. */
function plainAddress(address: string): string {
  return address.replace(/^::ffff:/i, '');
}

/** Whether a request comes from this machine itself, with nothing before it that we do not know. */
export function isFromHere(request: Request, address: string): boolean {
  return /^(127\.|::1$)/.test(address) && request.headers.get('x-footstool-behind') !== 'unknown';
}

/** Whether the browser's connection is encrypted: to us, or to the proxy that is named. */
export function isEncrypted(request: Request): boolean {
  return new URL(request.url).protocol === 'https:' || request.headers.get('x-footstool-secure') === '1';
}
