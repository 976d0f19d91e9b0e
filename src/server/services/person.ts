import type { ProgrammeSettings } from '../../contracts/programme.ts';
import { EdgeError } from '../http/errors.ts';

/** Who is asking: a signed-in member of one programme. */
export interface Person {
  readonly userId: string;
  readonly name: string;
  readonly email: string;
  readonly programmeId: string;
  readonly programme: string;
  readonly role: 'owner' | 'author' | 'reader';
  readonly settings: ProgrammeSettings;
  /** The revision of the settings. */
  readonly settingsRevision: number;
}

/** Owners and authors may write; readers may not. */
export function requireAuthor(person: Pick<Person, 'role'>): void {
  if (person.role === 'reader') throw new EdgeError('not-allowed');
}
