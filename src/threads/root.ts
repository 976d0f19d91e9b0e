import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** Whether this runs from the build, and not from the source. */
export const isBuilt = !import.meta.url.endsWith('.ts');

/** The folder of this installation, wherever in it this module ended up. */
export const ROOT = above(import.meta.dirname);

function above(folder: string): string {
  if (existsSync(join(folder, 'package.json')) && existsSync(join(folder, 'bin'))) return folder;
  const parent = dirname(folder);
  if (parent === folder) throw new Error(`no installation of Footstool around ${import.meta.dirname}`);
  return above(parent);
}
