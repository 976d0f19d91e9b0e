import { useState } from 'react';
import { type Finding, mayBeAccepted, textFoundIn } from '../../core/checks/index.ts';
import type { Edit, Segment } from '../../core/session/index.ts';
import { describeFinding } from '../../messages/findings.ts';

interface FindingNoteProps {
  readonly finding: Finding;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: Edit) => void;
  /** The part it is about. */
  readonly segment: Segment;
}

/** What a check has to say, beside what it is about, with the remedy that can be pressed. */
export function FindingNote({ finding, mayWrite, onEdit, segment }: FindingNoteProps) {
  const { title, text, remedy } = describeFinding(finding);
  const [isKeeping, setKeeping] = useState(false);
  const mayKeep = mayBeAccepted(finding);
  return (
    <div className={`finding finding-${finding.weight}`}>
      <strong>{title}</strong> <span>{text}</span>
      {mayWrite && (mayKeep || finding.remedy) && (
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
          {mayKeep && !isKeeping && (
            <button
              type="button"
              className="min-h-6 min-w-6 pointer-coarse:min-h-11 text-teal underline underline-offset-[3px] cursor-pointer"
              onClick={() => setKeeping(true)}
            >
              Keep it like this
            </button>
          )}
          {isKeeping && (
            <WhyKept
              onKeep={(because) =>
                onEdit({
                  do: 'accept',
                  finding: finding.id,
                  text: textFoundIn(segment, finding),
                  because: because || undefined,
                })
              }
              onLeave={() => setKeeping(false)}
            />
          )}
        </div>
      )}
    </div>
  );
}

/** Asks why something is kept; the reason may be left out. */
function WhyKept({ onKeep, onLeave }: { onKeep: (because: string) => void; onLeave: () => void }) {
  const [because, setBecause] = useState('');
  return (
    <form
      className="flex flex-wrap items-baseline gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(because.trim());
      }}
      onKeyDown={({ key }) => key === 'Escape' && onLeave()}
    >
      <label className="grid text-sm">
        Why? (if you like)
        <input
          className="input input-sm w-44"
          value={because}
          maxLength={300}
          autoFocus
          onChange={({ target }) => setBecause(target.value)}
        />
      </label>
      <button type="submit" className="btn btn-sm">
        Keep it
      </button>
    </form>
  );
}
