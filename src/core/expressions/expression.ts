import jsep from 'jsep';
import { rememberLast } from '../remembering.ts';
import { err, ok, type Outcome } from '../outcome.ts';

/** The values an expression may name: dials and a few words such as `children`. */
export type Scope = Readonly<Record<string, number | string>>;

/** Why an expression has no value. `at` is the piece of the expression at fault, as it was written. */
export type ExpressionProblem =
  | { code: 'unreadable'; at: string; position: number }
  | { code: 'not-allowed'; at: string }
  | { code: 'unknown-name'; at: string; known: readonly string[] }
  | { code: 'not-a-number'; at: string }
  | { code: 'unknown-function'; at: string }
  | { code: 'wrong-arguments'; at: string; takes: string }
  | { code: 'division-by-zero'; at: string }
  | { code: 'negative'; at: string; value: number }
  | { code: 'not-finite'; at: string };

type Evaluation = Outcome<number, ExpressionProblem>;

const LONGEST_EXPRESSION = 2000;
const WHOLE_TOLERANCE = 1e-9;

const FUNCTIONS: Record<string, { takes: string; least: number; most: number; apply: (values: number[]) => number }> = {
  sum: { takes: 'two numbers', least: 2, most: 2, apply: ([from, to]) => sumByOnes(from!, to!) },
  min: { takes: 'one or more numbers', least: 1, most: 20, apply: (values) => Math.min(...values) },
  max: { takes: 'one or more numbers', least: 1, most: 20, apply: (values) => Math.max(...values) },
  ceil: { takes: 'one number', least: 1, most: 1, apply: ([value]) => roundUp(value!) },
  floor: { takes: 'one number', least: 1, most: 1, apply: ([value]) => -roundUp(-value!) },
  round: { takes: 'one number', least: 1, most: 1, apply: ([value]) => -roundUp(-(value! + 0.5)) },
};

/**
 * Evaluates an arithmetic expression over dials: `+ - * /`, parentheses, names, `sum(a,b)` (a + … + b by ones,
 * 0 when b < a) and `min max ceil floor round` (halves up). Decimals that miss a whole number by less than a
 * billionth count as that whole number, so `ceil(0.1*30)` is 3. Empty text is unreadable.
 * @example evaluateExpression('sum(1,n)', { n: 6 }) // { ok: true, value: 21 }
 */
export function evaluateExpression(source: string, scope: Scope): Evaluation {
  const parsed = parse(source);
  if (!parsed.ok) return parsed;
  const evaluation = evaluateNode(parsed.value, scope);
  if (evaluation.ok && !Number.isFinite(evaluation.value)) return err({ code: 'not-finite', at: source });
  return evaluation;
}

/** A quantity as authors give it: a number, or an expression over dials. Negative and endless results are refused. */
export function evaluateQuantity(quantity: number | string, scope: Scope): Evaluation {
  const evaluation = typeof quantity === 'number' ? ok(quantity) : evaluateExpression(quantity, scope);
  if (!evaluation.ok) return evaluation;
  const at = String(quantity);
  if (!Number.isFinite(evaluation.value)) return err({ code: 'not-finite', at });
  if (evaluation.value < -WHOLE_TOLERANCE) return err({ code: 'negative', at, value: evaluation.value });
  return ok(Math.max(0, evaluation.value));
}

/** Rounds up to a whole number, forgiving the last bits of binary fractions. Negative numbers round towards zero. */
export function roundUp(value: number): number {
  const nearest = Math.round(value);
  const tolerance = WHOLE_TOLERANCE * Math.max(1, Math.abs(value));
  const rounded = Math.abs(value - nearest) <= tolerance ? nearest : Math.ceil(value);
  return rounded === 0 ? 0 : rounded;
}

/** The sum of from, from+1, … up to and including `to` where it is reached; 0 when `to` is below `from`. */
function sumByOnes(from: number, to: number): number {
  if (to < from) return 0;
  const terms = -roundUp(-(to - from)) + 1;
  return terms * from + (terms * (terms - 1)) / 2;
}

/** Parsed expressions are kept: the bench evaluates the same few at every turn of a dial. */
const parse = rememberLast(2000, parseAfresh);

function parseAfresh(source: string): Outcome<jsep.Expression, ExpressionProblem> {
  if (source.trim() === '' || source.length > LONGEST_EXPRESSION) {
    return err({ code: 'unreadable', at: source.slice(0, 40), position: 1 });
  }
  try {
    return ok(jsep(source));
  } catch (error) {
    const index = (error as { index?: number }).index ?? 0;
    return err({ code: 'unreadable', at: source.slice(index, index + 12), position: index + 1 });
  }
}

function evaluateNode(node: jsep.Expression, scope: Scope): Evaluation {
  switch (node.type) {
    case 'Literal':
      return evaluateLiteral(node as jsep.Literal);
    case 'Identifier':
      return lookUp((node as jsep.Identifier).name, scope);
    case 'UnaryExpression':
      return evaluateUnary(node as jsep.UnaryExpression, scope);
    case 'BinaryExpression':
      return evaluateBinary(node as jsep.BinaryExpression, scope);
    case 'CallExpression':
      return evaluateCall(node as jsep.CallExpression, scope);
    default:
      return err({ code: 'not-allowed', at: write(node) });
  }
}

function evaluateLiteral(node: jsep.Literal): Evaluation {
  return typeof node.value === 'number' ? ok(node.value) : err({ code: 'not-a-number', at: node.raw });
}

function lookUp(name: string, scope: Scope): Evaluation {
  if (!Object.hasOwn(scope, name)) return err({ code: 'unknown-name', at: name, known: Object.keys(scope) });
  const value = scope[name];
  return typeof value === 'number' ? ok(value) : err({ code: 'not-a-number', at: name });
}

function evaluateUnary(node: jsep.UnaryExpression, scope: Scope): Evaluation {
  if (node.operator !== '-' && node.operator !== '+') return err({ code: 'not-allowed', at: node.operator });
  const inner = evaluateNode(node.argument, scope);
  if (!inner.ok || node.operator === '+') return inner;
  return ok(-inner.value);
}

function evaluateBinary(node: jsep.BinaryExpression, scope: Scope): Evaluation {
  const left = evaluateNode(node.left, scope);
  if (!left.ok) return left;
  const right = evaluateNode(node.right, scope);
  if (!right.ok) return right;
  switch (node.operator) {
    case '+':
      return ok(left.value + right.value);
    case '-':
      return ok(left.value - right.value);
    case '*':
      return ok(left.value * right.value);
    case '/':
      return Math.abs(right.value) < 1e-12
        ? err({ code: 'division-by-zero', at: write(node) })
        : ok(left.value / right.value);
    default:
      return err({ code: 'not-allowed', at: node.operator });
  }
}

function evaluateCall(node: jsep.CallExpression, scope: Scope): Evaluation {
  const name = write(node.callee);
  if (node.callee.type !== 'Identifier' || !Object.hasOwn(FUNCTIONS, name)) {
    return err({ code: 'unknown-function', at: name });
  }
  const { takes, least, most, apply } = FUNCTIONS[name]!;
  if (node.arguments.length < least || node.arguments.length > most) {
    return err({ code: 'wrong-arguments', at: write(node), takes });
  }
  const values: number[] = [];
  for (const argument of node.arguments) {
    const evaluation = evaluateNode(argument, scope);
    if (!evaluation.ok) return evaluation;
    values.push(evaluation.value);
  }
  return ok(apply(values));
}

/** Writes a parsed piece back as text, for messages that name the place. */
function write(node: jsep.Expression): string {
  switch (node.type) {
    case 'Literal':
      return (node as jsep.Literal).raw;
    case 'Identifier':
      return (node as jsep.Identifier).name;
    case 'UnaryExpression':
      return (node as jsep.UnaryExpression).operator + write((node as jsep.UnaryExpression).argument);
    case 'BinaryExpression': {
      const { left, operator, right } = node as jsep.BinaryExpression;
      return `${writeOperand(left)}${operator}${writeOperand(right)}`;
    }
    case 'CallExpression': {
      const { callee, arguments: inputs } = node as jsep.CallExpression;
      return `${write(callee)}(${inputs.map(write).join(',')})`;
    }
    default:
      return `a ${node.type.replace('Expression', '').toLowerCase()} part`;
  }
}

function writeOperand(node: jsep.Expression): string {
  return node.type === 'BinaryExpression' ? `(${write(node)})` : write(node);
}
