import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, renameSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Folders that one run of the tests makes once and copies: an empty database, one with the demo's shelf. Where they lie
 * is told by the runner and gone after the run; without it, each test makes its own.
 */
const TEMPLATES = process.env.FOOTSTOOL_TEST_TEMPLATES;

export const keepsTemplates = TEMPLATES !== undefined;

/** Copies a template into a folder that exists; false when there is none (yet). */
export function copyTemplate(name: string, folder: string): boolean {
  const template = TEMPLATES && join(TEMPLATES, name);
  if (!template || !existsSync(template)) return false;
  copy(template, folder);
  return true;
}

/** Keeps a folder as a template, unless another process does it at the same time or did. Nothing may write in it. */
export function keepTemplate(name: string, folder: string): void {
  if (!TEMPLATES) return;
  const beside = join(TEMPLATES, `${name}-${process.pid}`);
  mkdirSync(beside);
  copy(folder, beside);
  try {
    renameSync(beside, join(TEMPLATES, name));
  } catch (error) {
    if (!existsSync(join(TEMPLATES, name))) throw error;
  }
}

/** With the owners of the files: a database's are not ours. */
function copy(from: string, to: string): void {
  execFileSync('cp', ['-a', `${from}/.`, to]);
}
