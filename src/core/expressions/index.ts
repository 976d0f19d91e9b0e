/** Sums over dials, and the templates of lines that hold them. */

export { evaluateQuantity, type ExpressionProblem, roundUp, type Scope } from './expression.ts';
export type { Quantity } from './quantity.ts';
export {
  escapeBraces,
  formatPieces,
  renderTemplate,
  type TemplateProblem,
  type TemplateScope,
  type TextPiece,
} from './template.ts';
