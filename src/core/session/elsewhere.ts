import {
  type ContentNode,
  parseContent,
  printContent,
  renderContent,
  type TemplateScope,
} from '../expressions/index.ts';
import type { Segment } from './session.ts';

/**
 * The stored words of a line as they may stand in another part: what that part knows by the same name goes along, a number
 * or a thing that it does not know becomes the words it stood for. What did not work out is left away.
 */
export function textElsewhere(text: string, scope: TemplateScope, target: Pick<Segment, 'dials' | 'needs'>): string {
  const dials = new Set(target.dials.map(({ name }) => name));
  const needs = new Set(target.needs.map(({ id }) => id));
  const isKnown = (node: ContentNode): boolean => {
    switch (node.kind) {
      case 'dial':
        return dials.has(node.name);
      case 'sum':
      case 'by-number':
        return namesIn(node.expression).every((name) => dials.has(name));
      case 'thing':
        return (
          needs.has(node.need) &&
          (typeof node.form === 'string' || namesIn(node.form.by).every((name) => dials.has(name)))
        );
      default:
        return node.kind !== 'unclosed';
    }
  };
  return printContent(
    parseContent(text).map((node): ContentNode => {
      if (isKnown(node)) return node;
      const rendered = renderContent([node], scope);
      return { kind: 'text', text: rendered.ok ? (rendered.value[0]?.text ?? '') : '' };
    }),
  );
}

const FUNCTIONS = new Set(['min', 'max', 'ceil', 'floor', 'round', 'sum']);

function namesIn(expression: string): string[] {
  return (expression.match(/[A-Za-z_]\w*/g) ?? []).filter((name) => !FUNCTIONS.has(name));
}
