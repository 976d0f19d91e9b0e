import { evaluateMinutes, reportSpread, spreadOf } from '../time/index.ts';
import type { ActivityBody } from '../session/index.ts';

const MUCH_SETUP_MINUTES = 4;
const SOME_SETUP_MINUTES = 2;

/** What an activity asks of the adult, 1 to 3, from its likely set-up in minutes and its mess (0 to 3). */
export function effortOf(activity: Pick<ActivityBody, 'minutes' | 'dials'> & { readonly mess: number }): number {
  const setup = likelyMinutes(activity).setup;
  if (activity.mess >= 2 || setup >= MUCH_SETUP_MINUTES) return 3;
  return activity.mess >= 1 || setup >= SOME_SETUP_MINUTES ? 2 : 1;
}

/** Likely minutes with the dials as they stand: to set up, and together with the adult. */
export function likelyMinutes(activity: Pick<ActivityBody, 'minutes' | 'dials'>): { setup: number; together: number } {
  const { setup, together } = evaluateMinutes(activity);
  return { setup: reportSpread(spreadOf(setup)).mean, together: reportSpread(spreadOf(together)).mean };
}
