import type { Edit, Remark, Segment } from '../../core/session/index.ts';

interface RemarksProps {
  readonly segment: Segment;
  readonly remarks: readonly Remark[];
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
}

/** What was noted on a part while it was rehearsed, until somebody has dealt with it. No home sees it. */
export function Remarks({ segment, remarks, mayWrite, onEdit }: RemarksProps) {
  if (remarks.length === 0) return null;
  const words = (line: string | undefined) => segment.lines.find(({ id }) => id === line)?.text.slice(0, 60);
  return (
    <ul aria-label={`Notes on ${segment.title}`} className="basis-full grid gap-1 py-1 text-sm">
      {remarks.map(({ id, line, text, by }) => (
        <li key={id} className="border-l-3 border-marigold pl-2">
          {words(line) && <span className="block text-soft">“{words(line)}”</span>}
          {text} <span className="text-soft">{by}</span>{' '}
          {mayWrite && (
            <button
              type="button"
              className="link link-primary min-h-6 pointer-coarse:min-h-11"
              onClick={() => onEdit({ do: 'close-remark', remark: id })}
            >
              done
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
