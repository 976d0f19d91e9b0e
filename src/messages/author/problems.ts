import type { FileProblem } from '../../contracts/fileContents.ts';
import type { ExpressionProblem, TemplateProblem } from '../../core/expressions/index.ts';
import type { EditProblem, ScriptFault } from '../../core/session/index.ts';
import type { PlanProblem, TermProblem } from '../../core/terms/index.ts';

type ProblemCode = (
  | ExpressionProblem
  | TemplateProblem
  | ScriptFault
  | Exclude<EditProblem, { code: 'maker-refuses' }>
  | Exclude<FileProblem, { code: 'script' }>
  | TermProblem
  | PlanProblem
)['code'];

/**
 * What cannot be done or is wrong, by its code: what it is, what is kept, what to do. Those of sums, lines and scripts are parts of
 * a sentence that names the place. `.plain`: where what it would name is not there. A code without its words does not compile.
 */
export const problems = {
  unreadable: 'can’t be read as a number or a sum: have a look at “{at}”',
  'unreadable.plain': 'can’t be read as a number or a sum yet',
  'not-allowed': '“{at}” can’t be in a sum',
  'unknown-name': '“{at}” isn’t one of its numbers; there are {known}',
  'unknown-name.plain': '“{at}” isn’t one of its numbers',
  'not-a-number': '“{at}” isn’t a number',
  'unknown-function': '“{at}” is nothing we can reckon with',
  'wrong-arguments': '“{at}” takes {takes}',
  'division-by-zero': '“{at}” divides by zero',
  negative: '“{at}” comes to {value}, and a quantity cannot be below 0',
  'not-finite': '“{at}” has no end',
  'unclosed-brace': 'a number in it isn’t finished',
  'unknown-need': '“{need}” isn’t among the things of this part',
  braces: '{problem}',
  'dial-range': 'the lowest value of “{dial}” is above its highest',
  'dial-value': '{problem}',
  'dial-unknown': '“{dial}” isn’t one of its numbers',
  'name-twice': '“{name}” is there twice',
  expression: '{problem} (at {when})',
  'expression.plain': '{problem}',
  template: '{problem} (at {when})',
  'template.plain': '{problem}',
  'need-unknown': '“{need}” is not one of its needs',
  'level-empty': 'needs dials, lines or a sentence',
  'swap-for-itself': '“{item}” is named as a swap for itself',
  'no-such-part': 'That part is not in the session any more.',
  'dial-out-of-range': '{segment}: “{dial}” goes from {min} to {max}, so {value} was not taken.',
  'dial-not-whole': '{segment}: “{dial}” takes a whole number, so “{value}” was not taken.',
  'no-such-choice': '{segment}: “{dial}” offers {choices}, so “{value}” was not taken.',
  twice: '“{name}” is already at {first}',
  'not-known': '“{item}” is neither on the shelf nor among the things of this file',
  had: '“{item}” is among the things it has',
  'ends-before-start':
    'The term would end on {endsOn}, before it starts on {startsOn}. Nothing was changed; choose a later end.',
  'too-long': 'That is {weeks} weeks, and a term holds at most {most}. Nothing was changed; frame it in two terms.',
  'day-backwards': '“{title}” would end before it starts. It was not taken; the rest stands as it was.',
  'day-outside': '“{title}” lies outside the term. It was not taken; the rest stands as it was.',
  'closures-overlap':
    '“{title}” and “{other}” both close some of the same days. It was not taken; change one of the two.',
  'nothing-fits': 'No plan keeps every rule. {loosen} The term is as it was.',
  'out-of-time':
    'No plan turned up in the time we take. Try again with fewer activities or a shorter stretch of the term. The term is as it was.',
} as const satisfies Readonly<Record<ProblemCode, string> & Record<string, string>>;
