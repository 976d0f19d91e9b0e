import { findProgrammeContents, readFilesOf, removeProgrammeWhole } from '../db/repositories/programmes.ts';
import { inTransaction } from '../db/transaction.ts';
import { EdgeError } from '../http/errors.ts';
import { mail } from '../post/mail.ts';
import { printer } from '../print/printer.ts';
import type { Person } from './person.ts';

/** What goes when a programme is deleted; only an owner may ask. One query. */
export async function readWhatGoes(person: Person): Promise<{ homes: number; sessions: number; guides: number }> {
  if (person.role !== 'owner') throw new EdgeError('not-allowed');
  return findProgrammeContents(person.programmeId);
}

/**
 * Deletes a programme with everything in it, files of the printer and letters of the mail stand-in too, and everybody who
 * works in no other. Only an owner may, who writes its name out. Backups from before hold it until they are cleared away.
 */
export async function removeProgramme(person: Person, writtenName: string): Promise<void> {
  if (person.role !== 'owner') throw new EdgeError('not-allowed');
  if (writtenName.trim() !== person.programme)
    throw new EdgeError('wrong-input', { problems: [{ path: 'name', message: 'is not the name of this programme' }] });
  const { prints, letters } = await readFilesOf(person.programmeId);
  await inTransaction((transaction) => removeProgrammeWhole(person.programmeId, transaction));
  for (const id of prints) await printer().remove(id);
  for (const id of letters) await mail().remove(id);
}
