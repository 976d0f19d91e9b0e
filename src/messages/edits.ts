import { type Problem, problemMessage } from '../core/message.ts';
import type { EditProblem, MakerProblem, ScriptFault } from '../core/session/index.ts';
import { sayMessage } from './screenWords.ts';

const stillLoading = () => 'this part is still being fetched. Nothing was changed; try again in a moment.';

/** Why an edit was refused, as a sentence. The words of makers are fetched only where they are needed, so they are handed in. */
export function describeEditProblem(
  problem: EditProblem,
  describeMakerProblem: (problem: MakerProblem) => string = stillLoading,
): string {
  if (problem.code === 'maker-refuses') return `${problem.segment}: ${describeMakerProblem(problem.problem)}`;
  return sayMessage(problemMessage(problem));
}

/** What is wrong at a place of a script, as part of a sentence. */
export function describeScriptFault(fault: ScriptFault): string {
  const faulty: Problem = fault;
  return sayMessage(problemMessage(faulty));
}
