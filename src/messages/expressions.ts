import type { ExpressionProblem, TemplateProblem } from '../core/expressions/index.ts';

/** Why an expression has no value, as part of a sentence that names the place. */
export function describeExpressionProblem(problem: ExpressionProblem): string {
  switch (problem.code) {
    case 'unreadable':
      return `cannot be read from character ${problem.position}${problem.at ? `, at “${problem.at}”` : ''}`;
    case 'not-allowed':
      return `“${problem.at}” is not allowed here: use + - * /, parentheses, dial names, sum, min, max, ceil, floor, round`;
    case 'unknown-name':
      return `“${problem.at}” is not a dial here${problem.known.length > 0 ? ` (there are: ${problem.known.join(', ')})` : ''}`;
    case 'not-a-number':
      return `“${problem.at}” is not a number`;
    case 'unknown-function':
      return `“${problem.at}” is not a function: there are sum, min, max, ceil, floor and round`;
    case 'wrong-arguments':
      return `“${problem.at}” takes ${problem.takes}`;
    case 'division-by-zero':
      return `“${problem.at}” divides by zero`;
    case 'negative':
      return `“${problem.at}” comes to ${problem.value}, and a quantity cannot be below 0`;
    case 'not-finite':
      return `“${problem.at}” has no end`;
  }
}

/** Why a line cannot be written out. */
export function describeTemplateProblem(problem: TemplateProblem): string {
  switch (problem.code) {
    case 'unclosed-brace':
      return `the brace at character ${problem.column} is never closed`;
    case 'unknown-need':
      return `“@${problem.need}” at character ${problem.column} is not among the things this part needs`;
    case 'expression':
      return `${describeExpressionProblem(problem.problem)} (in the braces at character ${problem.column})`;
  }
}

/** A sum as it is written by hand: × for times, ÷ for divided by. */
export function formatSum(source: string): string {
  return source
    .replace(/ceil\(([^()/]+)\/\s*(\d+)\s*\)/g, (_, all: string, each: string) => `${all.trim()}, ${each} from each`)
    .replace(
      /\s*([*/+-])\s*/g,
      (_, sign: string) => ` ${({ '*': '×', '/': '÷', '-': '−' } as Record<string, string>)[sign] ?? sign} `,
    )
    .replaceAll('( ', '(');
}
