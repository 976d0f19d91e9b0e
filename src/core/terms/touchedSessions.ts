import type { TouchedSession } from './coverageView.ts';
import type { TermRules } from './term.ts';
import { heldSessions, type WeekRow } from './weekRows.ts';

/** A session of the term with the skills that it touches, each once, and its week. */
export interface TouchedInTerm extends TouchedSession {
  readonly row: WeekRow;
}

/** Which skills each session that is held touches. An activity that is no longer known touches none. */
export function touchedSessions(
  rows: readonly WeekRow[],
  activities: readonly { readonly id: string; readonly skills: readonly string[] }[],
): TouchedInTerm[] {
  const skillsOf = new Map(activities.map(({ id, skills }) => [id, skills]));
  return heldSessions(rows).map(({ session, on, row }) => ({
    on,
    row,
    skills: [...new Set(session.activities.flatMap(({ key }) => skillsOf.get(key) ?? []))],
  }));
}

/** How many skills a term aims for, and how many of these no session touches. */
export function countAims(
  targets: TermRules['targets'],
  sessions: readonly TouchedSession[],
): { wanted: number; unplaced: number } {
  const wanted = Object.keys(targets).filter((skill) => targets[skill]! > 0);
  const placed = new Set(sessions.flatMap(({ skills }) => skills));
  return { wanted: wanted.length, unplaced: wanted.filter((skill) => !placed.has(skill)).length };
}
