/** Sums over dials, and the content of lines that holds them. */

export { type ContentNode, escapeBraces, parseContent, printContent, printNode } from './content.ts';
export { evaluateQuantity, type ExpressionProblem, roundUp, type Scope } from './expression.ts';
export type { Quantity } from './quantity.ts';
export {
  formatPieces,
  renderContent,
  renderTemplate,
  type TemplateProblem,
  type TemplateScope,
  type TextPiece,
} from './template.ts';
