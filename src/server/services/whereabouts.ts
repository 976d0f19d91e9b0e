import { checkShape } from '../../contracts/problems.ts';
import { whereabouts } from '../../contracts/whereabouts.ts';
import { tellWindows } from '../db/repositories/sessions.ts';
import { EdgeError } from '../http/errors.ts';
import type { Person } from './person.ts';

/** Tells the other windows of a session where somebody is in it. Nothing of it is kept. */
export async function tellWhereabouts(person: Person, sessionId: string, body: unknown): Promise<void> {
  const checked = checkShape(whereabouts, body, 'whereabouts');
  if (!checked.ok) throw new EdgeError('wrong-input', { problems: checked.problem });
  const { window, part, line, isNew, isLeaving } = checked.value;
  const told = { session: sessionId, name: person.name, person: person.userId, window, part, line, isNew, isLeaving };
  if (!(await tellWindows(person.programmeId, sessionId, told))) throw new EdgeError('not-found');
}
