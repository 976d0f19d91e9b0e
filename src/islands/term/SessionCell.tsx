import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { useState } from 'react';
import type { PlannedSession, PlanReason, TermEdit, WeekRow } from '../../core/terms/index.ts';
import { ActivityChip } from './ActivityChip.tsx';
import { AddActivity } from './AddActivity.tsx';
import { SessionFacts } from './SessionFacts.tsx';
import type { TermProps } from './termTypes.ts';

interface SessionCellProps {
  readonly planned: PlannedSession;
  readonly row: WeekRow;
  readonly name: string;
  readonly shelf: TermProps['shelf'];
  readonly reasons: Readonly<Record<string, readonly PlanReason[]>>;
  readonly termId: string;
  readonly order: readonly string[];
  readonly today: string;
  readonly isLight: boolean;
  readonly isKept: boolean;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: TermEdit) => void;
}

/** A session in its week: its book, its activities with why they stand there, and what can be done with it. */
export function SessionCell(props: SessionCellProps) {
  const { planned, row, name, shelf, mayWrite, onEdit } = props;
  const { session, isOff, mayMove } = planned;
  const { setNodeRef, setActivatorNodeRef, listeners, attributes, transform, transition, isDragging } = useSortable({
    id: session.id,
  });
  const [isOpen, setIsOpen] = useState(false);
  const book = shelf.books.find(({ key }) => key === session.book);
  return (
    <div
      ref={setNodeRef}
      className={`planned ${isDragging ? 'planned-dragged' : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      role="group"
      aria-label={name}
    >
      <div className="flex flex-wrap items-start gap-x-2 gap-y-1.5">
        <span className={`planned-book ${book ? '' : 'planned-open'}`}>
          {book ? book.title : isOff ? 'nothing is held' : 'choose a book'}
        </span>
        <Activities {...props} />
        {mayMove && <span className="text-xs text-mulberry">the day may move</span>}
        {mayWrite && (
          <span className="ml-auto flex gap-3 text-xs font-heading pt-1">
            <button
              type="button"
              ref={setActivatorNodeRef}
              className="link link-primary cursor-grab touch-none"
              {...attributes}
              {...listeners}
              aria-label={`Move ${name}`}
              aria-roledescription="session that can be moved"
            >
              move
            </button>
            <button
              type="button"
              className="link link-primary"
              aria-expanded={isOpen}
              onClick={() => setIsOpen(!isOpen)}
              aria-label={`Change ${name}`}
            >
              {isOpen ? 'close' : 'change'}
            </button>
          </span>
        )}
      </div>
      {isOpen && (
        <div className="border-t border-dotted border-t-line mt-[0.4rem] pt-[0.3rem] text-sm">
          <MoveByButtons {...props} />
          <SessionFacts {...{ session, shelf, row, onEdit }} termId={props.termId} isKept={props.isKept} />
          <AddActivity {...{ session, shelf, row }} isLight={props.isLight} onEdit={onEdit} />
        </div>
      )}
    </div>
  );
}

/** The activities with why they stand there, and how much of the session's time they take. */
function Activities({ planned: { session }, shelf, reasons, mayWrite, onEdit }: SessionCellProps) {
  const known = (key: string) => shelf.activities.find((activity) => activity.id === key);
  const minutes = session.activities.reduce((sum, { key }) => sum + (known(key)?.minutes ?? 0), 0);
  const isOver = minutes > session.minutes + 1e-9;
  return (
    <>
      {session.activities.map(({ key, isPinned }) => (
        <ActivityChip
          key={key}
          activityKey={key}
          title={known(key)?.title ?? key}
          isPinned={isPinned}
          reasons={reasons[key] ?? []}
          mayWrite={mayWrite}
          onPin={() => onEdit({ do: 'pin', session: session.id, key, isPinned: !isPinned })}
          onRemove={() => onEdit({ do: 'remove-activity', session: session.id, key })}
        />
      ))}
      {minutes > 0 && (
        <span className={`text-xs pt-1 ${isOver ? 'text-mulberry font-bold' : 'text-marigold-ink'}`}>
          {Math.round(minutes)} of {session.minutes} min
        </span>
      )}
    </>
  );
}

/** A session's place changed without dragging. */
function MoveByButtons({ planned: { session }, name, order, onEdit }: SessionCellProps) {
  const at = order.indexOf(session.id);
  const ways = [
    { to: at - 1, way: 'earlier' },
    { to: at + 1, way: 'later' },
  ];
  return (
    <span className="flex gap-4">
      {ways.map(({ to, way }) => (
        <button
          key={way}
          type="button"
          className="link link-primary"
          disabled={order[to] === undefined}
          onClick={() => onEdit({ do: 'move-session', from: session.id, to: order[to]! })}
          aria-label={`Move ${name} ${way}`}
        >
          one place {way}
        </button>
      ))}
    </span>
  );
}
