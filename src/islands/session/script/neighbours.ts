import type { Editor } from '@tiptap/core';
import { caretAt } from './caret.ts';

type OfEditor = HTMLElement & { readonly editor?: Editor };

/** Goes from the text of one part into that of the part before or after it; false where there is none. */
export function leaveTowards(from: HTMLElement, towards: 'before' | 'after'): boolean {
  const all = [...document.querySelectorAll<OfEditor>('.script-lines')];
  const next = all[all.indexOf(from) + (towards === 'before' ? -1 : 1)];
  if (!next) return false;
  // Text that cannot be written in yet is asked to be.
  if (!next.editor) {
    next.click();
    return true;
  }
  return caretAt(next.editor, towards === 'before' ? 'end' : 'start');
}
