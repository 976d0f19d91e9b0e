import { readHomes } from '../db/repositories/homes.ts';
import { readShelf } from '../db/repositories/shelf.ts';
import type { Person } from './person.ts';

/** A programme's shelf and homes as one file of our open format; what it gives, the import takes. */
export async function exportFile(person: Person, include: { homes: boolean }): Promise<Record<string, unknown>> {
  const [shelf, retired] = await Promise.all([
    readShelf(person.programmeId),
    readShelf(person.programmeId, ['thing'], { isRetired: true }),
  ]);
  const homes = include.homes ? await readHomes(person.programmeId) : [];
  return {
    format: 'footstool',
    version: 1,
    ...shelf,
    // Homes and scripts may still name removed the shelf.
    things: [...shelf.things, ...retired.things.map((thing) => ({ ...thing, retired: true }))],
    homes: homes.map(({ nickname, contact, language, allergens, children, stock, hasNot }) => ({
      nickname,
      contact,
      language,
      allergens,
      children: children.map((child) => ({ ...child, loves: child.loves ?? '' })),
      things: stock,
      ...(hasNot && { hasNot: [...hasNot] }),
    })),
  };
}
