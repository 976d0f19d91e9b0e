import { readBegun } from '../db/repositories/firstSteps.ts';
import { addTick, readTicks } from '../db/repositories/ticks.ts';
import { requireAuthor, type Person } from './person.ts';

const FIRST_STEPS = ['families', 'things', 'session', 'guide', 'send'] as const;
type FirstStep = (typeof FIRST_STEPS)[number];

/** Kept with the ticks of tasks; no day lies so far ahead that it would be forgotten. */
const NEVER = '2199-12-31';
const LOOKED = `first-steps/guide@${NEVER}`;
const AWAY = `first-steps/away@${NEVER}`;

/**
 * What a new programme does first and what of it is done; null once something was sent, when somebody put the list away,
 * and for readers. Two queries, one where something was sent.
 */
export async function readFirstSteps(
  person: Person,
): Promise<readonly { readonly step: FirstStep; readonly isDone: boolean }[] | null> {
  if (person.role === 'reader') return null;
  const { homes, things, sessions, sendings } = await readBegun(person.programmeId);
  if (sendings) return null;
  const ticks = await readTicks(person.programmeId);
  if (ticks.has(AWAY)) return null;
  const done = { families: homes, things, session: sessions, guide: ticks.has(LOOKED), send: false };
  return FIRST_STEPS.map((step) => ({ step, isDone: done[step] }));
}

/** Puts the first steps away for the whole programme. */
export async function putFirstStepsAway(person: Person): Promise<void> {
  requireAuthor(person);
  await addTick(person.programmeId, { task: AWAY, dueOn: NEVER, tickedBy: person.userId });
}

/** Remembers that somebody looked at a guide. */
export async function markGuideSeen(person: Person): Promise<void> {
  if (person.role === 'reader') return;
  await addTick(person.programmeId, { task: LOOKED, dueOn: NEVER, tickedBy: person.userId });
}
