import { type Finding, mayBeAccepted } from '../../core/checks/index.ts';
import type { Edit } from '../../core/session/index.ts';
import { describeFinding } from '../../messages/findings.ts';

interface FindingNoteProps {
  readonly finding: Finding;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
}

/** What a check has to say, beside what it is about, with the remedy that can be pressed. */
export function FindingNote({ finding, mayWrite, onEdit }: FindingNoteProps) {
  const { title, text, remedy } = describeFinding(finding);
  return (
    <div className={`finding finding-${finding.weight}`}>
      <strong>{title}</strong> <span>{text}</span>
      {mayWrite && finding.weight !== 'note' && (
        <div className="mt-[0.3rem] flex flex-wrap gap-y-[0.3rem] gap-x-[0.8rem] items-baseline">
          {remedy && finding.remedy && (
            <button
              type="button"
              className="border border-ink rounded py-[0.15rem] px-[0.6rem] font-heading font-semibold cursor-pointer hover:bg-teal-ground"
              onClick={() => onEdit(finding.remedy!)}
            >
              {remedy}
            </button>
          )}
          {mayBeAccepted(finding) && (
            <button
              type="button"
              className="text-teal underline underline-offset-[3px] cursor-pointer"
              onClick={() => onEdit({ do: 'accept', finding: finding.id })}
            >
              Keep it as it is
            </button>
          )}
        </div>
      )}
    </div>
  );
}
