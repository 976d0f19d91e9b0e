import type { FieldProblem } from '../contracts/fieldProblem.ts';
import type { FileProblem } from '../contracts/fileContents.ts';
import { describeScriptFault } from './edits.ts';

/** What is wrong in a file, said where it stands. */
export function describeFileProblem(problem: FileProblem): FieldProblem {
  return { path: problem.path, message: sentenceOf(problem) };
}

function sentenceOf(problem: FileProblem): string {
  switch (problem.code) {
    case 'script':
      return describeScriptFault(problem.fault);
    case 'twice':
      return `“${problem.name}” is already at ${problem.first}`;
    case 'not-known':
      return `“${problem.item}” is neither on the shelf nor among the things of this file`;
    case 'had':
      return `“${problem.item}” is among the things it has`;
  }
}
