/**
 * The one clock of the server. FOOTSTOOL_NOW (an ISO moment) stands in for it in demonstrations and tests.
 * FOOTSTOOL_TIME_ZONE names the programme's time zone; without it the machine's own is used.
 */
export function now(): Date {
  const fixed = process.env.FOOTSTOOL_NOW;
  return fixed ? new Date(fixed) : new Date();
}

/** Today in the programme's time zone, YYYY-MM-DD. */
export function today(): string {
  return new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone: timeZone() }).format(now());
}

/** The programme's time zone. */
export function timeZone(): string {
  return process.env.FOOTSTOOL_TIME_ZONE || Intl.DateTimeFormat().resolvedOptions().timeZone;
}
