import type { EditProblem, MakerProblem, ScriptFault } from '../core/session/index.ts';
import { describeExpressionProblem, describeTemplateProblem } from './expressions.ts';

const stillLoading = () => 'this part is still being fetched. Nothing was changed; try again in a moment.';

/** Why an edit was refused, as a sentence. The words of makers are fetched only where they are needed, so they are handed in. */
export function describeEditProblem(
  problem: EditProblem,
  describeMakerProblem: (problem: MakerProblem) => string = stillLoading,
): string {
  switch (problem.code) {
    case 'maker-refuses':
      return `${problem.segment}: ${describeMakerProblem(problem.problem)}`;
    case 'no-such-part':
      return 'That part is not in the session any more.';
    case 'dial-out-of-range':
      return `${problem.segment}: “${problem.dial}” goes from ${problem.min} to ${problem.max}, so ${problem.value} was not taken.`;
    case 'dial-not-whole':
      return `${problem.segment}: “${problem.dial}” takes a whole number, so “${problem.value}” was not taken.`;
    case 'no-such-choice':
      return `${problem.segment}: “${problem.dial}” offers ${problem.choices.join(', ')}, so “${problem.value}” was not taken.`;
  }
}

/** What is wrong at a place of a script, as part of a sentence. */
export function describeScriptFault(fault: ScriptFault): string {
  switch (fault.code) {
    case 'dial-range':
      return `the lowest value of “${fault.dial}” is above its highest`;
    case 'dial-value':
      return describeEditProblem(fault.problem);
    case 'dial-unknown':
      return `“${fault.dial}” is not a dial of this activity`;
    case 'name-twice':
      return `“${fault.name}” is there twice`;
    case 'expression':
      return describeExpressionProblem(fault.problem) + whenWords(fault.when);
    case 'template':
      return describeTemplateProblem(fault.problem) + whenWords(fault.when);
    case 'need-unknown':
      return `“${fault.need}” is not one of its needs`;
    case 'level-empty':
      return 'needs dials, lines or a sentence';
    case 'swap-for-itself':
      return `“${fault.item}” is named as a swap for itself`;
  }
}

function whenWords(when: string): string {
  return when ? ` (at ${when})` : '';
}
