/**
 * The one clock of the server. FOOTSTOOL_NOW (an ISO moment) stands in for it in demonstrations and tests.
 */
export function now(): Date {
  const fixed = process.env.FOOTSTOOL_NOW;
  return fixed ? new Date(fixed) : new Date();
}

/** What says where a programme is: its settings. */
interface Placed {
  readonly timeZone: string;
}

/** Today in a programme's time zone, YYYY-MM-DD; in this installation's where no programme is asked about. */
export function today(programme?: Placed): string {
  return new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone: timeZone(programme) }).format(now());
}

/** A programme's time zone: the one it chose, otherwise FOOTSTOOL_TIME_ZONE, otherwise the machine's. */
export function timeZone(programme?: Placed): string {
  return programme?.timeZone || process.env.FOOTSTOOL_TIME_ZONE || Intl.DateTimeFormat().resolvedOptions().timeZone;
}
