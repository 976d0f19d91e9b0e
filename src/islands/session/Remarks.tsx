import { useState } from 'react';
import type { Edit, Remark, Segment } from '../../core/session/index.ts';
import { NoteForm } from './NoteForm.tsx';

interface RemarksProps {
  readonly segment: Segment;
  readonly remarks: readonly Remark[];
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
}

const PRESS = 'link link-primary min-h-6 pointer-coarse:min-h-11';

/** What colleagues noted on a part and its lines, while writing or rehearsing, until somebody has dealt with it. No home sees it. */
export function Remarks({ segment, remarks, mayWrite, onEdit }: RemarksProps) {
  const [answered, setAnswered] = useState<Remark | null>(null);
  if (remarks.length === 0) return null;
  const words = (line: string | undefined) => segment.lines.find(({ id }) => id === line)?.text.slice(0, 60);
  return (
    <ul aria-label={`Notes on ${segment.title}`} className="basis-full grid gap-1 py-1 text-sm">
      {remarks.map((remark) => {
        const { id, line, text, by } = remark;
        return (
          <li key={id} className="border-l-3 border-marigold pl-2">
            {words(line) && <span className="block text-soft">“{words(line)}”</span>}
            {text} <span className="text-soft">{by}</span>{' '}
            {mayWrite && (
              <>
                <button type="button" className={PRESS} onClick={() => setAnswered(remark)}>
                  answer
                </button>{' '}
                <button type="button" className={PRESS} onClick={() => onEdit({ do: 'close-remark', remark: id })}>
                  done
                </button>
              </>
            )}
            {answered?.id === id && (
              <NoteForm part={segment.id} line={line} onEdit={onEdit} onClose={() => setAnswered(null)} />
            )}
          </li>
        );
      })}
    </ul>
  );
}
