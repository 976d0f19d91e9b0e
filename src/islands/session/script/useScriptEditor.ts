import type { Editor } from '@tiptap/core';
import { type RefObject, useCallback, useContext, useLayoutEffect, useReducer, useRef, useState } from 'react';
import { newId } from '../../autosave/newId.ts';
import { PasteContext } from '../pasting/pasteContext.ts';
import { caretAt } from './caret.ts';
import { dropEmptyLines, follow, FROM_SESSION, shapeOf } from './followSession.ts';
import { areSameLines, linesOfDoc } from './lineNodes.ts';
import { makeEditor } from './makeEditor.ts';
import { Places } from './places.ts';
import type { ScriptLinesProps, StartOfWriting } from './scriptProps.ts';
import { WritersContext } from './writers.ts';

/** What was typed becomes an edit after so long a pause. */
const PAUSE_MS = 300;

/** A value for what outlives a drawing: always the newest. */
function useLatest<Value>(value: Value): { readonly current: Value } {
  const latest = useRef(value);
  latest.current = value;
  return latest;
}

/** An editor for the lines of a part, which follows the session and tells it what is written. */
export function useScriptEditor(
  props: ScriptLinesProps,
  { host, ...start }: StartOfWriting & { host: RefObject<HTMLDivElement | null> },
) {
  const [places] = useState(() => new Places());
  const [editor, setEditor] = useState<Editor | null>(null);
  const latest = useLatest(props);
  const writing = useRef<{ isDirty: boolean; timer?: ReturnType<typeof setTimeout> }>({ isDirty: false });
  const current = useRef<Editor | null>(null);
  const writers = useContext(WritersContext);
  const pasting = useLatest(useContext(PasteContext));

  const settled = useCallback(() => writers.typing(places, false), [writers, places]);
  const [, lookAgain] = useReducer((count: number) => count + 1, 0);
  const flush = useCallback(() => {
    clearTimeout(writing.current.timer);
    if (!writing.current.isDirty || !current.current) return;
    writing.current.isDirty = false;
    const { part, onWritten } = latest.current;
    const stored = part.lines.map(({ line }) => line);
    const lines = linesOfDoc(current.current.state.doc, stored);
    if (areSameLines(lines, stored)) return settled();
    onWritten({ do: 'write-lines', segment: part.segment.id, lines });
    // Looked at again even when the session comes out as it was: what was written may be undone in the same breath.
    lookAgain();
  }, [settled, latest]);

  useLayoutEffect(() => {
    const made = makeEditor({ host: host.current!, places, latest, pasting });
    current.current = made;
    places.caretTo = (at) => made.commands.setTextSelection(at);
    made.on('transaction', ({ transaction, editor: { state } }) => {
      if (!transaction.docChanged || transaction.getMeta(FROM_SESSION)) return;
      writing.current.isDirty = true;
      writers.typing(places, true);
      const hasOtherLines = shapeOf(transaction.before) !== shapeOf(state.doc);
      clearTimeout(writing.current.timer);
      if (hasOtherLines) flush();
      else writing.current.timer = setTimeout(flush, PAUSE_MS);
    });
    made.on('focus', () => void Promise.resolve().then(() => showCaret(made)));
    made.on('blur', ({ event }) => {
      if (event.relatedTarget instanceof Element && event.relatedTarget.closest('.line-bar')) return;
      dropEmptyLines(made);
      flush();
    });
    const forget = writers.add(places, flush);
    setEditor(made);
    return () => {
      flush();
      forget();
      current.current = null;
      made.destroy();
    };
  }, [flush, host, places, writers, latest, pasting]);

  useFollowing(editor, { part: props.part, isDirty: () => writing.current.isDirty, settled });
  useStart(editor, start);
  // Its name is that of its part.
  const { title } = props.part.segment;
  useLayoutEffect(() => editor?.view.setProps({}), [editor, title]);
  return { editor, places, flush };
}

/** Puts in what was typed before the editor was there, and the caret where it is wanted; who has gone on is not fetched back. */
function useStart(editor: Editor | null, { startsAt, typed }: StartOfWriting): void {
  useLayoutEffect(() => {
    if (!editor) return;
    const { words, caret, hasFocus } = typed.current ?? { words: '', caret: 0, hasFocus: true };
    typed.current = null;
    typeAgain(editor, words);
    const { from } = editor.state.selection;
    if (startsAt && hasFocus) caretAt(editor, words ? from - (words.length - caret) : startsAt);
  }, [editor, startsAt, typed]);
}

/** As if it were typed once more, letter by letter: a kind that is named is taken, and Enter begins a line. */
function typeAgain({ view }: Editor, words: string): void {
  const enter = new KeyboardEvent('keydown', { key: 'Enter' });
  for (const letter of words) {
    const { from, to } = view.state.selection;
    const insert = () => view.state.tr.insertText(letter, from, to);
    if (letter === '\n') view.someProp('handleKeyDown', (handle) => handle(view, enter));
    else if (!view.someProp('handleTextInput', (handle) => handle(view, from, to, letter, insert)))
      view.dispatch(insert());
  }
}

/** Where the page lost its caret, as when the text that it stood in was written anew, it gets one with the focus. */
function showCaret({ isDestroyed, view }: Editor): void {
  if (isDestroyed || !view.hasFocus()) return;
  if (!view.dom.contains(document.getSelection()?.anchorNode ?? null)) view.focus();
}

interface Followed {
  readonly part: ScriptLinesProps['part'];
  /** Whether the text holds words that the session has not heard of. */
  readonly isDirty: () => boolean;
  /** The text is what the session says. */
  readonly settled: () => void;
}

/** What the session says otherwise than the text is taken over, and the caret stays where it was. */
function useFollowing(editor: Editor | null, { part, isDirty, settled }: Followed): void {
  useLayoutEffect(() => {
    if (!editor || isDirty()) return;
    const stored = part.lines.map(({ line }) => line);
    if (!areSameLines(linesOfDoc(editor.state.doc, stored), stored))
      follow(editor, stored.length > 0 ? stored : [{ id: newId(), kind: 'do', text: '' }]);
    settled();
  });
}
