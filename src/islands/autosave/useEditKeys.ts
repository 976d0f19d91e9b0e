import { useEffect } from 'react';

interface EditKeys {
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly onHelp: () => void;
  /** Goes on to sending, from wherever one is. */
  readonly onSend?: (() => void) | undefined;
}

/** Undo, redo and help by keys, wherever no text is being written. */
export function useEditKeys({ onUndo, onRedo, onHelp, onSend }: EditKeys): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (onSend && event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
        event.preventDefault();
        onSend();
        return;
      }
      const isInText = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      const isWritten = event.target instanceof HTMLElement && event.target.isContentEditable;
      if (isInText) return;
      const isCommand = event.ctrlKey || event.metaKey;
      if (isCommand && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        if (event.shiftKey) onRedo();
        else onUndo();
      } else if (event.key === '?' && !isWritten) onHelp();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [onUndo, onRedo, onHelp, onSend]);
}
