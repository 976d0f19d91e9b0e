interface Answered {
  readonly isGuide: boolean;
  readonly isSecure: boolean;
  /** Lets this page use the microphone, once somebody says yes to it. */
  readonly mayRecord?: boolean;
  /** Lets the chart of this answer bring its own style sheet. */
  readonly styleNonce: string;
}

/** Security headers for every answer. Pages bring their own script hashes, see docs/decisions. */
export function secureHeaders(headers: Headers, { isGuide, isSecure, styleNonce, mayRecord = false }: Answered): void {
  headers.set('x-content-type-options', 'nosniff');
  headers.set('x-frame-options', 'DENY');
  headers.set('referrer-policy', 'same-origin');
  const microphone = mayRecord ? '(self)' : '()';
  headers.set('permissions-policy', `camera=(), microphone=${microphone}, geolocation=(), interest-cohort=()`);
  headers.set('cross-origin-opener-policy', 'same-origin');
  // Positions on the tape and in charts are style attributes; style sheets and scripts stay bound to their hashes.
  const policy = headers.get('content-security-policy');
  if (policy && !isGuide) {
    const withNonce = policy
      .replace("style-src 'self'", `style-src 'self' 'nonce-${styleNonce}'`)
      .replace(/;?\s*$/, '');
    headers.set('content-security-policy', `${withNonce}; style-src-attr 'unsafe-inline'`);
  }
  if (isSecure) headers.set('strict-transport-security', 'max-age=31536000');
  if (isGuide) headers.set('x-robots-tag', 'noindex, nofollow');
  if (!headers.has('cache-control') && (headers.get('content-type') ?? '').startsWith('text/html')) {
    headers.set('cache-control', 'private, no-cache');
  }
}
