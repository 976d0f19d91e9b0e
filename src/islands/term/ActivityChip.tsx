import type { KeyboardEvent } from 'react';
import type { PlanReason } from '../../core/terms/index.ts';
import { describePlanReason } from '../../messages/term.ts';

interface ActivityChipProps {
  readonly activityKey: string;
  readonly title: string;
  readonly isPinned: boolean;
  readonly reasons: readonly PlanReason[];
  readonly mayWrite: boolean;
  readonly onPin: () => void;
  readonly onRemove: () => void;
}

/** An activity in a planned session: a whole border when it is pinned, a dashed one while it is only proposed. */
export function ActivityChip({ activityKey, title, isPinned, reasons, mayWrite, onPin, onRemove }: ActivityChipProps) {
  const why = reasons.filter(({ code }) => code !== 'pinned').map(describePlanReason);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'p' || event.key === 'P') onPin();
    else if (event.key === 'Delete' || event.key === 'Backspace') onRemove();
    else return;
    event.preventDefault();
  };
  return (
    <span className={`chip ${isPinned ? 'chip-pinned' : 'chip-proposed'}`}>
      <a href={`/shelf/activity/${activityKey}`} className="col-span-full text-ink no-underline hover:underline">
        {title}
      </a>
      <span className="text-[0.78rem] text-soft">{why[0] ?? (isPinned ? 'pinned by you' : 'proposed')}</span>
      {mayWrite && (
        <span className="flex gap-2 text-[0.78rem] font-heading [&_button]:text-teal [&_button]:cursor-pointer [&_button]:min-h-6 [&_button]:min-w-6 [&_button:hover]:underline">
          <button
            type="button"
            aria-pressed={isPinned}
            aria-label={`Pin ${title}`}
            title={isPinned ? 'stays when the rest is proposed again' : 'may be exchanged by the next proposal'}
            onClick={onPin}
            onKeyDown={onKeyDown}
          >
            {isPinned ? 'pinned' : 'pin'}
          </button>
          <button type="button" aria-label={`take out ${title}`} onClick={onRemove}>
            out
          </button>
        </span>
      )}
    </span>
  );
}
