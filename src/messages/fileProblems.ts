import type { FieldProblem } from '../contracts/fieldProblem.ts';
import type { FileProblem } from '../contracts/fileContents.ts';
import { problemMessage } from '../core/message.ts';
import { describeScriptFault } from './edits.ts';
import { sayMessage } from './screenWords.ts';

/** What is wrong in a file, said where it stands. */
export function describeFileProblem(problem: FileProblem): FieldProblem {
  return { path: problem.path, message: sentenceOf(problem) };
}

function sentenceOf(problem: FileProblem): string {
  return problem.code === 'script' ? describeScriptFault(problem.fault) : sayMessage(problemMessage(problem));
}
