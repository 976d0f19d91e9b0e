import { findOwner, findUser } from '../server/db/repositories/people.ts';
import { findProgrammeBy } from '../server/db/repositories/programmes.ts';
import { readFile } from 'node:fs/promises';
import { allergenWord } from '../messages/allergens.ts';
import { closeDatabase } from '../server/db/connection.ts';
import { EdgeError } from '../server/http/errors.ts';
import { exportFile } from '../server/services/exportShelf.ts';
import { importFile } from '../server/services/importShelf.ts';
import type { Person } from '../server/services/person.ts';

/** `footstool import PROGRAMME FILE`: takes a file in, or says by line what is wrong and takes nothing. */
export async function runImport([slug, path]: readonly string[]): Promise<number> {
  if (!slug || !path) return say('footstool import PROGRAMME FILE');
  return withOwner(slug, async (owner) => {
    const report = await importFile(owner, JSON.parse(await readFile(path, 'utf8')));
    process.stdout.write(`${report.added} added, ${report.replaced} replaced\n`);
    for (const { home, allergen } of report.keptAllergies)
      process.stdout.write(`${home}: the file does not name ${allergenWord(allergen)}; it was kept\n`);
  });
}

/** `footstool export PROGRAMME [--homes]`: writes the shelf, and the homes if asked, to standard output. */
export async function runExport([slug, option]: readonly string[]): Promise<number> {
  if (!slug) return say('footstool export PROGRAMME [--homes]');
  return withOwner(slug, async (owner) => {
    process.stdout.write(`${JSON.stringify(await exportFile(owner, { homes: option === '--homes' }), null, 2)}\n`);
  });
}

async function withOwner(slug: string, work: (owner: Person) => Promise<void>): Promise<number> {
  try {
    const programme = await findProgrammeBy({ slug });
    const userId = programme && (await findOwner(programme.id));
    const user = userId && (await findUser(userId));
    if (!programme || !user) return say(`there is no programme "${slug}" with an owner`);
    await work({
      userId: user.id,
      name: user.name,
      email: user.email,
      programmeId: programme.id,
      programme: programme.name,
      role: 'owner',
      settings: programme.settings,
      settingsRevision: programme.revision,
    });
    return 0;
  } catch (error) {
    if (!(error instanceof EdgeError)) throw error;
    for (const { path, message } of error.details.problems ?? []) process.stderr.write(`${path}: ${message}\n`);
    return say('nothing was imported');
  } finally {
    await closeDatabase();
  }
}

function say(text: string): number {
  process.stderr.write(`${text}\n`);
  return 2;
}
