/** Sums over dials, and the content of lines that holds them. */

export {
  type Content,
  type ContentNode,
  escapeBraces,
  parseContent,
  printContent,
  printNode,
  type Slot,
} from './content.ts';
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
