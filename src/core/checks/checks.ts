import type { Check } from './check.ts';
import { homeChecks } from './homeChecks.ts';
import { needChecks } from './needChecks.ts';
import { scriptChecks } from './scriptChecks.ts';
import { sitChecks } from './sitChecks.ts';

/** Every check by its name, in the order in which they speak of a part. */
export const CHECKS = { ...scriptChecks, ...needChecks, ...homeChecks, ...sitChecks } as const satisfies Readonly<
  Record<string, Check>
>;
