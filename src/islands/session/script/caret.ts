import type { Editor } from '@tiptap/core';

/**
 * Gives the text the keys at once, with the caret where it was. The editor's own command waits for the next frame: what is
 * typed until then is lost, and who has gone elsewhere by then is fetched back.
 */
export function backToText({ view, commands }: Editor): void {
  view.focus();
  commands.scrollIntoView();
}

/** Puts the caret at a place of the text, and shows the page's own caret there too. */
export function caretAt(editor: Editor, at: number | 'start' | 'end'): true {
  const { commands, state } = editor;
  const last = state.doc.content.size - 1;
  commands.setTextSelection(at === 'start' ? 1 : at === 'end' ? last : at);
  backToText(editor);
  return true;
}
