import type { TouchedSession } from '../../core/terms/coverageView.ts';
import { heldSessions, weekRows } from '../../core/terms/weekRows.ts';
import type { TermPage } from './terms.ts';

/** Which skills each session touches: those held before the term, and those of the term that are held. */
export function touchedSessions({ term, weekend, shelf, earlier }: TermPage): TouchedSession[] {
  const skillsOf = new Map(shelf.activities.map(({ id, skills }) => [id, skills]));
  const ofTerm = heldSessions(weekRows(term, weekend).rows).map(({ session, on }) => ({
    on,
    skills: [...new Set(session.activities.flatMap(({ key }) => skillsOf.get(key) ?? []))],
  }));
  return [...earlier, ...ofTerm];
}
