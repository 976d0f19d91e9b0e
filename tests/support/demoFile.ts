import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What the demo holds of a section, such as `things`: the starter collection's and Quillbrook's own. */
export function demoEntries<Entry>(section: string): Entry[] {
  return ['starter', 'demo'].flatMap((folder) => {
    const file = join(import.meta.dirname, '../..', folder, `${section}.json`);
    return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, Entry[]>)[section]! : [];
  });
}

/** The same as a file in the open format. */
export function demoFile(section: string): Record<string, unknown[]> {
  return { format: 'footstool', version: 1, [section]: demoEntries(section) } as unknown as Record<string, unknown[]>;
}
