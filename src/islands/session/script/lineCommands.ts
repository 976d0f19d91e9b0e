import type { Editor } from '@tiptap/core';
import { type Edit, type LineKind, type Segment, templateScope, textElsewhere } from '../../../core/session/index.ts';
import { backToText, caretAt } from './caret.ts';
import type { PutIn } from './lineAt.ts';
import { linesOfDoc, piecesOf } from './lineNodes.ts';
import type { ScriptLinesProps } from './scriptProps.ts';

/** The line that the caret is in as it goes to another part; what that part knows goes along, the rest becomes words. */
export function carried(
  editor: Editor,
  { segment, lines }: ScriptLinesProps['part'],
  { to, things }: { to: Segment; things: ScriptLinesProps['things'] },
): Edit {
  const { id } = caretLine(editor);
  const written = linesOfDoc(
    editor.state.doc,
    lines.map((composed) => composed.line),
  );
  const line = written.find((candidate) => candidate.id === id);
  const there = (text: string) => textElsewhere(text, templateScope(segment, things), to);
  return {
    do: 'carry-line',
    segment: segment.id,
    line: id,
    to: to.id,
    text: there(line?.text ?? ''),
    answer: line?.answer && there(line.answer),
  };
}

/** The line that the caret is in at this moment: its id and its place, counted from 0. */
export function caretLine({ state }: Editor): { id: string; index: number } {
  const { $head } = state.selection;
  return { id: String($head.node(1).attrs.id), index: $head.index(0) };
}

/** Gives a line another kind; the caret stays where it is. */
export function chooseKind(editor: Editor, id: string, kind: LineKind): void {
  editor.state.doc.forEach((line, at) => {
    if (line.attrs.id === id) editor.view.dispatch(editor.state.tr.setNodeAttribute(at, 'kind', kind));
  });
  backToText(editor);
}

/** Puts a block where the caret is, in place of so many letters before it. */
export function putIn(editor: Editor, { source }: PutIn, length: number): void {
  const { state, view } = editor;
  const { from, to } = state.selection;
  view.dispatch(state.tr.replaceWith(from - length, to, piecesOf(state.schema, source)).scrollIntoView());
  backToText(editor);
}

/** Begins the answer that is expected, at the end of the line. */
export function beginAnswer(editor: Editor): void {
  const { $head } = editor.state.selection;
  const end = $head.end();
  editor.view.dispatch(editor.state.tr.insert(end, editor.schema.nodes.answer!.create()));
  caretAt(editor, end + 1);
}

/** The line once more, below. */
export function duplicate(editor: Editor): void {
  const { $head } = editor.state.selection;
  editor.view.dispatch(editor.state.tr.insert($head.after(1), $head.parent.copy($head.parent.content)));
  backToText(editor);
}

/** Takes the line out; of the only line its words. */
export function takeOut(editor: Editor): void {
  const { $head } = editor.state.selection;
  const { state, view } = editor;
  const transaction =
    state.doc.childCount > 1
      ? state.tr.delete($head.before(1), $head.after(1))
      : state.tr.delete($head.start(1), $head.end(1));
  view.dispatch(transaction);
  backToText(editor);
}

/** What a block is, in words. */
export function wordsOfBlock(source: string, putIns: readonly PutIn[]): string {
  return putIns.find((putIn) => putIn.source === source)?.words ?? 'a number that follows';
}
