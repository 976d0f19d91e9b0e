import type { OpenedGuide } from './guides.ts';

/** The guides opened last, so that a reply that cannot be kept at the moment can still be shown with what was written. */
const recalled = new Map<string, OpenedGuide>();
const MOST_RECALLED = 200;

/** Remembers a guide by its link. */
export function rememberGuide(token: string, guide: OpenedGuide): void {
  recalled.delete(token);
  recalled.set(token, guide);
  if (recalled.size > MOST_RECALLED) recalled.delete(recalled.keys().next().value!);
}

/** A guide that was opened lately; null when it was not. */
export function recallGuide(token: string): OpenedGuide | null {
  return recalled.get(token) ?? null;
}
