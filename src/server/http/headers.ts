/** Security headers for every answer. Pages bring their own script hashes, see docs/decisions. */
export function secureHeaders(headers: Headers, { isGuide, isSecure }: { isGuide: boolean; isSecure: boolean }): void {
  headers.set('x-content-type-options', 'nosniff');
  headers.set('x-frame-options', 'DENY');
  headers.set('referrer-policy', 'same-origin');
  headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=(), interest-cohort=()');
  headers.set('cross-origin-opener-policy', 'same-origin');
  if (isSecure) headers.set('strict-transport-security', 'max-age=31536000');
  if (isGuide) headers.set('x-robots-tag', 'noindex, nofollow');
  if (!headers.has('cache-control') && (headers.get('content-type') ?? '').startsWith('text/html')) {
    headers.set('cache-control', 'private, no-cache');
  }
}
