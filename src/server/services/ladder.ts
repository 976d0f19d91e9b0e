import { type NextStep, proposeNext } from '../../core/ladders/index.ts';
import { readSessions } from '../db/repositories/sessions.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';

/** What to offer next, with activities of this programme's shelf that were not used lately. Two queries. */
export async function readNextStep(
  person: Person,
  noticed: { skill: string; isThere: boolean },
): Promise<NextStep | null> {
  const [shelf, sessions] = await Promise.all([
    readShelf(person.programmeId, ['activity']),
    readSessions(person.programmeId),
  ]);
  const lastUsed = new Map<string, string>();
  for (const { session } of sessions)
    for (const { from } of session.segments)
      if (from && session.on > (lastUsed.get(from) ?? '')) lastUsed.set(from, session.on);
  return proposeNext(
    noticed,
    shelf.activities
      .filter(({ size }) => size === 'home')
      .map(({ key, title, skills }) => ({ key, title, skills, lastUsed: lastUsed.get(key) })),
  );
}
