import { createContext, useContext, useId, useRef } from 'react';
import type { Edit } from '../../core/session/index.ts';
import { newId } from '../autosave/newId.ts';

/** The name of whoever writes here, which stands under their notes. */
export const WriterContext = createContext('');

interface NoteFormProps {
  readonly part: string;
  /** Absent: the note is on the whole part. */
  readonly line?: string | undefined;
  readonly onEdit: (edit: Edit) => void;
  readonly onClose: () => void;
}

/** A note for colleagues on a line or a part. No home sees it. */
export function NoteForm({ part, line, onEdit, onClose }: NoteFormProps) {
  const by = useContext(WriterContext);
  const id = useId();
  const field = useRef<HTMLTextAreaElement>(null);
  const keep = () => {
    const text = field.current!.value.trim();
    if (text) onEdit({ do: 'remark', remark: { id: newId(), part, line, text, by, at: new Date().toISOString() } });
    onClose();
  };
  return (
    <div className="grid gap-1 py-2 text-sm max-w-xl">
      <label htmlFor={id}>A note for whoever writes here. No home sees it.</label>
      <textarea ref={field} id={id} className="textarea textarea-sm w-full" rows={2} maxLength={500} autoFocus />
      <span className="flex gap-4">
        <button type="button" className="btn btn-sm btn-primary" onClick={keep}>
          Keep the note
        </button>
        <button type="button" className="link min-h-7" onClick={onClose}>
          never mind
        </button>
      </span>
    </div>
  );
}
