import type { Editor } from '@tiptap/core';
import { type RefObject, useEffect, useState } from 'react';
import { lineAt, type LineAt } from './lineAt.ts';
import type { ScriptLinesProps } from './scriptProps.ts';

/** The line that the caret is in, while the text or the bar has the focus. */
export function useLine(
  { editor, part, things }: ScriptLinesProps & { readonly editor: Editor },
  bar: RefObject<HTMLDivElement | null>,
): LineAt | null {
  const [line, setLine] = useState<LineAt | null>(null);
  useEffect(() => {
    const look = () => {
      const isHere = editor.isFocused || bar.current?.contains(document.activeElement);
      const now = isHere ? lineAt(editor, part.segment, things) : null;
      setLine((before) => (JSON.stringify(before) === JSON.stringify(now) ? before : now));
    };
    let frame = 0;
    const soon = () => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(look);
    };
    soon();
    const events = ['selectionUpdate', 'transaction', 'focus', 'blur'] as const;
    for (const event of events) editor.on(event, soon);
    document.addEventListener('focusin', soon);
    return () => {
      cancelAnimationFrame(frame);
      for (const event of events) editor.off(event, soon);
      document.removeEventListener('focusin', soon);
    };
  }, [editor, part.segment, things, bar]);
  return line;
}

/** Keeps the bar above the keys that a phone shows over the page. */
export function useAboveKeys(bar: RefObject<HTMLDivElement | null>, isOpen: boolean): void {
  useEffect(() => {
    const { visualViewport: seen } = window;
    if (!seen || !isOpen) return undefined;
    const place = () => {
      const covered = Math.max(0, window.innerHeight - seen.height - seen.offsetTop);
      bar.current?.style.setProperty('--covered', `${covered}px`);
      bar.current?.classList.toggle('is-above-keys', covered > 0);
    };
    place();
    seen.addEventListener('resize', place);
    seen.addEventListener('scroll', place);
    return () => {
      seen.removeEventListener('resize', place);
      seen.removeEventListener('scroll', place);
    };
  }, [bar, isOpen]);
}
