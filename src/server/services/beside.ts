import type { FieldProblem } from '../../contracts/fieldProblem.ts';
import type { Outcome } from '../../core/outcome.ts';
import { prepareRecording, type PreparedRecording } from '../audio/prepareRecording.ts';
import { checkFile, type KnownThing } from './checkFile.ts';

/** Long calculations that run beside requests, in a thread with limits on time and memory. */
export interface Beside {
  /** Everything wrong with a file, its shape first, beside the things that are on the shelf already; none for a sound one. */
  checkFile(content: unknown, known: readonly KnownThing[]): Promise<FieldProblem[]>;
  /** A recording of a sound as it is kept, or what is wrong with the file, to be said after its name. */
  prepareRecording(file: Uint8Array): Promise<Outcome<PreparedRecording, string>>;
}

/** The same here and now, for commands that serve nobody else. */
export const HERE: Beside = {
  checkFile: (content, known) => Promise.resolve(checkFile(content, known)),
  prepareRecording: (file) => Promise.resolve(prepareRecording(file)),
};

/** One of these calculations by its name, with what it is given. */
export type BesideTask = {
  [Name in keyof Beside]: { readonly name: Name; readonly given: Parameters<Beside[Name]> };
}[keyof Beside];

/** Does a task here and now. */
export function doTask({ name, given }: BesideTask): Promise<unknown> {
  return (HERE[name] as (...given: unknown[]) => Promise<unknown>)(...given);
}
