import type { Editor } from '@tiptap/core';
import { type EditorState, TextSelection, type Transaction } from '@tiptap/pm/state';
import { docOfLines } from './lineNodes.ts';

/** Marks what was taken over from the session, and is nothing that somebody wrote. */
export const FROM_SESSION = 'fromSession';

/** Makes the text what the session says, changing only what differs. */
export function follow(editor: Editor, stored: Parameters<typeof docOfLines>[1]): void {
  const { state, view } = editor;
  const next = docOfLines(state.schema, stored);
  const from = state.doc.content.findDiffStart(next.content);
  if (from === null) return;
  let { a: end, b: nextEnd } = state.doc.content.findDiffEnd(next.content)!;
  const overlap = from - Math.min(end, nextEnd);
  if (overlap > 0) {
    end += overlap;
    nextEnd += overlap;
  }
  const transaction = state.tr.replace(from, end, next.slice(from, nextEnd)).setMeta(FROM_SESSION, true);
  view.dispatch(withCaretKept(transaction, caretOf(state)));
}

/** Where the caret is: in which line, how far from its start. */
function caretOf({ selection: { $head } }: EditorState): { id: unknown; offset: number } {
  return { id: $head.node(1).attrs.id, offset: $head.parentOffset };
}

/** Keeps the caret in its line, wherever that went. */
function withCaretKept(transaction: Transaction, { id, offset }: ReturnType<typeof caretOf>): Transaction {
  transaction.doc.forEach((line, at) => {
    if (line.attrs.id === id)
      transaction.setSelection(TextSelection.create(transaction.doc, at + 1 + Math.min(offset, line.content.size)));
  });
  return transaction;
}

/** Which lines there are, of which kinds, in which order. */
export function shapeOf(doc: Editor['state']['doc']): string {
  const shape: string[] = [];
  doc.forEach(({ attrs }) => shape.push(`${attrs.id} ${attrs.kind}`));
  return shape.join();
}

/** Lines that nothing was written in go when the text is left, so that no home sees an empty one. */
export function dropEmptyLines(editor: Editor): void {
  const { state, view } = editor;
  const transaction = state.tr;
  const empty: { at: number; size: number }[] = [];
  state.doc.forEach((line, at) => {
    if (line.textContent.trim() === '' && line.childCount === (line.firstChild?.isText ? 1 : 0))
      empty.push({ at, size: line.nodeSize });
  });
  if (empty.length === state.doc.childCount) empty.shift();
  for (const { at, size } of empty.reverse()) transaction.delete(at, at + size);
  if (transaction.docChanged) view.dispatch(transaction);
}
