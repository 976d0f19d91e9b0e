import type { ThingsByKey } from '../../core/materials/thing.ts';
import type { Aside } from '../../core/checks/asides.ts';
import type { Edit } from '../../core/session/edit.ts';
import { describeAside } from '../../messages/asides.ts';

interface AsideNoteProps {
  readonly aside: Aside;
  readonly things: ThingsByKey;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
}

/** What a check has to say, beside what it is about, with the remedy that can be pressed. */
export function AsideNote({ aside, things, mayWrite, onEdit }: AsideNoteProps) {
  const { title, text, remedy } = describeAside(aside, things);
  return (
    <div className={`aside aside-${aside.weight}`}>
      <strong>{title}</strong> <span>{text}</span>
      {mayWrite && aside.weight !== 'note' && (
        <div className="aside-tools">
          {remedy && aside.remedy && (
            <button type="button" className="remedy" onClick={() => onEdit(aside.remedy!)}>
              {remedy}
            </button>
          )}
          {aside.weight === 'heed' && (
            <button type="button" className="on-purpose" onClick={() => onEdit({ do: 'accept', aside: aside.id })}>
              on purpose
            </button>
          )}
        </div>
      )}
    </div>
  );
}
