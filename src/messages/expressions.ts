import type { ExpressionProblem } from '../core/expressions/index.ts';
import { problemMessage } from '../core/message.ts';
import { sayMessage } from './screenWords.ts';

/** Why an expression has no value, as part of a sentence that names the place. */
export function describeExpressionProblem(problem: ExpressionProblem): string {
  return sayMessage(problemMessage(problem));
}
