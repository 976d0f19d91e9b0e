/** Minutes as they are told: whole ones, and one at least where there are any. None: 0. */
export function wholeMinutes(minutes: number): number {
  return minutes > 0 ? Math.max(1, Math.round(minutes)) : 0;
}
