import { err, ok, type Outcome } from '../outcome.ts';
import { evaluateExpression, type ExpressionProblem, type Scope } from './expression.ts';

/** A piece of a rendered line. `dial` pieces can be turned where they stand; `computed` ones follow. */
export type TextPiece =
  | { kind: 'text'; text: string }
  | { kind: 'dial'; name: string; text: string }
  | { kind: 'computed'; expression: string; text: string }
  | { kind: 'thing'; need: string; text: string }
  | { kind: 'love'; text: string };

/** Why a line cannot be rendered. `column` counts from 1 within the line. */
export type TemplateProblem =
  | { code: 'unclosed-brace'; column: number }
  | { code: 'unknown-need'; need: string; column: number }
  | { code: 'braces'; column: number; problem: ExpressionProblem };

/** A thing as a line may name it: one and many of it, and how many of it are used. */
interface NamedThing {
  readonly one: string;
  readonly many: string;
  /** A whole number from 0. */
  readonly qty: number;
}

/** What a line may refer to. `things` gives, for each need, the names of what this home uses. */
export interface TemplateScope {
  readonly values: Scope;
  readonly things: Readonly<Record<string, NamedThing>>;
  /** What the child loves, for `{loves|a digger}`; absent: the words behind the bar are used. */
  readonly loves?: string | undefined;
}

/**
 * Renders one line. In braces stand: a dial `{n}`, a sum `{=n*4}`, words by number `{n:plate|plates}`
 * (or `{=n*4:lid|lids}`), the thing a home uses for a need (many `{@lids}`, one `{@lids|one}`, by a number
 * `{@lids|n-1}`, or with how many are used `{@lids|count}`), and an interest slot `{loves|a digger}`. A doubled brace `{{` is a brace. Empty text gives no pieces.
 * @example renderTemplate('Put {n} {n:box|boxes} out', scope) // text "Put ", dial "4", text " ", computed "boxes", …
 */
export function renderTemplate(source: string, scope: TemplateScope): Outcome<TextPiece[], TemplateProblem> {
  const pieces: TextPiece[] = [];
  let plain = '';
  let at = 0;
  while (at < source.length) {
    const character = source[at]!;
    if (character !== '{' || source[at + 1] === '{') {
      plain += character;
      at += character === '{' ? 2 : 1;
      continue;
    }
    const end = source.indexOf('}', at);
    if (end < 0) return err({ code: 'unclosed-brace', column: at + 1 });
    const piece = renderSlot(source.slice(at + 1, end), at + 1, scope);
    if (!piece.ok) return piece;
    if (plain) pieces.push({ kind: 'text', text: plain });
    plain = '';
    pieces.push(piece.value);
    at = end + 1;
  }
  if (plain) pieces.push({ kind: 'text', text: plain });
  return ok(pieces);
}

/** The plain words of rendered pieces. */
export function formatPieces(pieces: readonly TextPiece[]): string {
  return pieces.map((piece) => piece.text).join('');
}

function renderSlot(slot: string, column: number, scope: TemplateScope): Outcome<TextPiece, TemplateProblem> {
  if (slot.startsWith('@')) return renderThing(slot.slice(1), column, scope);
  if (slot.startsWith('loves|')) return ok({ kind: 'love', text: scope.loves || slot.slice('loves|'.length) });
  const colon = slot.indexOf(':');
  const expression = colon < 0 ? slot : slot.slice(0, colon);
  const words = colon < 0 ? undefined : slot.slice(colon + 1);
  return renderValue(expression.trim(), words, column, scope);
}

function renderThing(slot: string, column: number, scope: TemplateScope): Outcome<TextPiece, TemplateProblem> {
  const bar = slot.indexOf('|');
  const need = (bar < 0 ? slot : slot.slice(0, bar)).trim();
  const form = bar < 0 ? 'many' : slot.slice(bar + 1).trim();
  if (!Object.hasOwn(scope.things, need)) return err({ code: 'unknown-need', need, column });
  const thing = scope.things[need]!;
  const piece = (text: string) => ok({ kind: 'thing' as const, need, text });
  if (form === 'many') return piece(thing.many);
  if (form === 'one') return piece(thing.one);
  if (form === 'count') return piece(`${thing.qty} ${thing.qty === 1 ? thing.one : thing.many}`);
  const number = evaluateExpression(form, scope.values);
  if (!number.ok) return err({ code: 'braces', column, problem: number.problem });
  return piece(number.value === 1 ? thing.one : thing.many);
}

function renderValue(
  expression: string,
  words: string | undefined,
  column: number,
  scope: TemplateScope,
): Outcome<TextPiece, TemplateProblem> {
  const isComputed = expression.startsWith('=');
  const source = isComputed ? expression.slice(1).trim() : expression;
  if (
    !isComputed &&
    words === undefined &&
    typeof scope.values[source] === 'string' &&
    Object.hasOwn(scope.values, source)
  ) {
    return ok({ kind: 'dial', name: source, text: String(scope.values[source]) });
  }
  const evaluation = evaluateExpression(source, scope.values);
  if (!evaluation.ok) return err({ code: 'braces', column, problem: evaluation.problem });
  if (words !== undefined) {
    return ok({ kind: 'computed', expression: source, text: chooseByNumber(words, evaluation.value) });
  }
  const text = formatNumber(evaluation.value);
  return ok(isComputed ? { kind: 'computed', expression: source, text } : { kind: 'dial', name: source, text });
}

/** The word for one, or for any other number: `plate|plates`. A single word serves for both. */
function chooseByNumber(words: string, count: number): string {
  const [one = '', many = one] = words.split('|');
  return count === 1 ? one : many;
}

/** Whole numbers as they are, others to two decimals at most. */
function formatNumber(value: number): string {
  return String(Math.round(value * 100) / 100);
}

/** Text as a template that gives it back unchanged: braces are doubled. */
export function escapeBraces(text: string): string {
  return text.replaceAll('{', '{{');
}
