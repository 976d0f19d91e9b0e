import { err, ok, type Outcome } from '../outcome.ts';
import { type Content, type ContentNode, parseContent, printNode, type Slot } from './content.ts';
import { evaluateExpression, type ExpressionProblem, type Scope } from './expression.ts';

/** A piece of a rendered line. `dial` pieces can be turned where they stand; `computed` ones follow. */
export type TextPiece =
  | { kind: 'text'; text: string }
  | { kind: 'dial'; name: string; text: string }
  | { kind: 'computed'; expression: string; text: string }
  | { kind: 'thing'; need: string; text: string }
  | { kind: 'love'; text: string }
  | { kind: 'child'; text: string };

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
  /** What the child loves; absent: the words that the line has for a home that did not say. */
  readonly loves?: string | undefined;
  /** What the child is called; absent: the same. */
  readonly child?: string | undefined;
}

/**
 * Renders one line as it is stored, see `parseContent`. Empty text gives no pieces.
 * @example renderTemplate('Put {n} {n:box|boxes} out', scope) // text "Put ", dial "4", text " ", computed "boxes", …
 */
export function renderTemplate(source: string, scope: TemplateScope): Outcome<TextPiece[], TemplateProblem> {
  return renderContent(parseContent(source), scope);
}

/** Renders the content of a line; the first piece that does not come out says why. No content: no pieces. */
export function renderContent(content: Content, scope: TemplateScope): Outcome<TextPiece[], TemplateProblem> {
  const pieces: TextPiece[] = [];
  let column = 1;
  for (const node of content) {
    const piece: Outcome<TextPiece, TemplateProblem> =
      node.kind === 'text' ? ok({ kind: 'text', text: node.text }) : renderSlot(node, column, scope);
    if (!piece.ok) return piece;
    pieces.push(piece.value);
    column += printNode(node).length;
  }
  return ok(pieces);
}

/** The plain words of rendered pieces. */
export function formatPieces(pieces: readonly TextPiece[]): string {
  return pieces.map((piece) => piece.text).join('');
}

function renderSlot(slot: Slot, column: number, scope: TemplateScope): Outcome<TextPiece, TemplateProblem> {
  switch (slot.kind) {
    case 'unclosed':
      return err({ code: 'unclosed-brace', column });
    case 'thing':
      return renderThing(slot, column, scope);
    case 'loves':
      return ok({ kind: 'love', text: scope.loves || slot.otherwise });
    case 'child':
      return ok({ kind: 'child', text: scope.child || slot.otherwise });
    default:
      return renderNumber(slot, column, scope);
  }
}

function renderThing(
  { need, form }: Extract<ContentNode, { kind: 'thing' }>,
  column: number,
  scope: TemplateScope,
): Outcome<TextPiece, TemplateProblem> {
  if (!Object.hasOwn(scope.things, need)) return err({ code: 'unknown-need', need, column });
  const thing = scope.things[need]!;
  const piece = (text: string) => ok({ kind: 'thing' as const, need, text });
  if (form === 'many') return piece(thing.many);
  if (form === 'one') return piece(thing.one);
  if (form === 'count') return piece(`${thing.qty} ${thing.qty === 1 ? thing.one : thing.many}`);
  const number = evaluateExpression(form.by, scope.values);
  if (!number.ok) return err({ code: 'braces', column, problem: number.problem });
  return piece(number.value === 1 ? thing.one : thing.many);
}

function renderNumber(
  slot: Extract<ContentNode, { kind: 'dial' | 'sum' | 'by-number' }>,
  column: number,
  { values }: TemplateScope,
): Outcome<TextPiece, TemplateProblem> {
  const expression = slot.kind === 'dial' ? slot.name : slot.expression;
  const choice = slot.kind === 'dial' && Object.hasOwn(values, expression) ? values[expression] : undefined;
  if (typeof choice === 'string') return ok({ kind: 'dial', name: expression, text: choice });
  const evaluation = evaluateExpression(expression, values);
  if (!evaluation.ok) return err({ code: 'braces', column, problem: evaluation.problem });
  if (slot.kind === 'dial') return ok({ kind: 'dial', name: expression, text: formatNumber(evaluation.value) });
  const text = slot.kind === 'sum' ? formatNumber(evaluation.value) : evaluation.value === 1 ? slot.one : slot.many;
  return ok({ kind: 'computed', expression, text });
}

/** Whole numbers as they are, others to two decimals at most. */
function formatNumber(value: number): string {
  return String(Math.round(value * 100) / 100);
}
