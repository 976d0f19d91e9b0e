import type { FieldProblem } from '../../contracts/fieldProblem.ts';
import { checkContents, withSections, type FileSections } from '../../contracts/fileContents.ts';
import { checkShape, MOST_PROBLEMS } from '../../contracts/problems.ts';
import { describeFileProblem } from '../../messages/fileProblems.ts';
import { shelfFile, type ThingEntry } from '../../contracts/shelfFile.ts';

export type KnownThing = Pick<ThingEntry, 'key' | 'places'>;

/** Everything wrong with a file, its shape first, beside the things that are on the shelf already; none for a sound one. */
export function checkFile(content: unknown, known: readonly KnownThing[]): FieldProblem[] {
  const shape = checkShape(shelfFile, content);
  if (!shape.ok) return shape.problem;
  return checkContents(withSections(shape.value as Partial<FileSections>), known)
    .slice(0, MOST_PROBLEMS)
    .map(describeFileProblem);
}
