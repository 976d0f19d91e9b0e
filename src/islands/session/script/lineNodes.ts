import type { Node as DocNode, Schema } from '@tiptap/pm/model';
import { parseContent, escapeBraces, printNode } from '../../../core/expressions/index.ts';
import { LINE_KINDS, type LineKind, type WrittenLine } from '../../../core/session/index.ts';

/**
 * Lines of a script as nodes of the editor. A line holds text, blocks (a number that turns, a sum, a thing …, each with how
 * it is stored) and at most one mark that the answer begins after.
 */
export function docOfLines(schema: Schema, lines: readonly WrittenLine[]): DocNode {
  return schema.topNodeType.create(
    null,
    lines.map((line) => schema.nodes.line!.create({ id: line.id, kind: line.kind }, contentOf(schema, line))),
  );
}

function contentOf(schema: Schema, { text, answer }: WrittenLine): DocNode[] {
  return answer
    ? [...piecesOf(schema, text), schema.nodes.answer!.create(), ...piecesOf(schema, answer)]
    : piecesOf(schema, text);
}

/** A stored string as text and blocks. */
export function piecesOf(schema: Schema, source: string): DocNode[] {
  return parseContent(source).map((node) =>
    node.kind === 'text' ? schema.text(node.text) : schema.nodes.chip!.create({ source: printNode(node) }),
  );
}

/** What stands in the editor, as lines. Blanks at the ends of what was written go; what stands as it was stored stays so. */
export function linesOfDoc(doc: DocNode, stored: readonly WrittenLine[]): WrittenLine[] {
  const known = new Map(stored.map((line) => [line.id, line]));
  const lines: WrittenLine[] = [];
  doc.forEach((node) => lines.push(lineOfNode(node, known.get(String(node.attrs.id)))));
  return lines;
}

function lineOfNode(node: DocNode, stored: WrittenLine | undefined): WrittenLine {
  const fields = { text: '', answer: '' };
  let field: keyof typeof fields = 'text';
  node.forEach((child) => {
    if (child.type.name === 'answer') field = 'answer';
    else fields[field] += child.isText ? escapeBraces(child.text!) : String(child.attrs.source);
  });
  const { id, kind } = node.attrs as { id: string; kind: LineKind };
  const kept = (name: keyof typeof fields) =>
    fields[name] === (stored?.[name] ?? '') ? fields[name] : fields[name].trim();
  const answer = kept('answer');
  return { id, kind, text: kept('text'), ...(answer && { answer }) };
}

/** Whether lines say the same in the same order. */
export function areSameLines(some: readonly WrittenLine[], others: readonly WrittenLine[]): boolean {
  return (
    some.length === others.length &&
    some.every(({ id, kind, text, answer }, index) => {
      const other = others[index]!;
      return id === other.id && kind === other.kind && text === other.text && (answer ?? '') === (other.answer ?? '');
    })
  );
}

/** The kind that a line's first word names: “ask: …”; null where it names none. */
export function kindNamed(before: string): LineKind | null {
  const word = /^\s*(\p{L}+):$/u.exec(before)?.[1]?.toLowerCase();
  return LINE_KINDS.find((kind) => kind === word) ?? null;
}
