import { PANEL } from './panelLook.ts';
import { useState, type FormEvent } from 'react';
import { DAY_KINDS, type DayKind, type Term, type TermDay, type TermEdit } from '../../core/terms/index.ts';
import { isCalendarDate } from '../../core/calendar/index.ts';
import { shortDay } from '../../messages/dates.ts';
import { DAY_KIND_WORDS } from '../../messages/term.ts';
import { newId } from '../autosave/newId.ts';

interface DaysPanelProps {
  readonly term: Term;
  readonly mayWrite: boolean;
  readonly onEdit: (edit: TermEdit) => void;
}

/** Closed and special days: special days, closures, travel, busy times; a day that moves is a range until it is fixed. */
export function DaysPanel({ term, mayWrite, onEdit }: DaysPanelProps) {
  const open = term.days.filter(({ isFixed }) => !isFixed).length;
  return (
    <details className={PANEL}>
      <summary>
        Closed and special days <span className="text-soft">{term.days.length}</span>
        {open > 0 && <span className="text-xs text-mulberry"> {open} not fixed yet</span>}
      </summary>
      <ul>
        {term.days.map((day) => (
          <li key={day.id}>
            <strong>{day.title}</strong> {DAY_KIND_WORDS[day.kind]}, {rangeWords(day)}{' '}
            {mayWrite && (
              <>
                {!day.isFixed && <FixDay day={day} onEdit={onEdit} />}
                <button
                  type="button"
                  className="link link-primary"
                  onClick={() => onEdit({ do: 'remove-day', id: day.id })}
                  aria-label={`take out ${day.title}`}
                >
                  take out
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      {mayWrite && <NewDay term={term} onEdit={onEdit} />}
    </details>
  );
}

function FixDay({ day, onEdit }: { day: TermDay; onEdit: (edit: TermEdit) => void }) {
  return (
    <label>
      it is on{' '}
      <input
        className="input input-sm"
        type="date"
        min={day.from}
        max={day.to}
        onChange={({ target }) =>
          target.value >= day.from &&
          target.value <= day.to &&
          onEdit({ do: 'put-day', day: { ...day, from: target.value, to: target.value, isFixed: true } })
        }
      />{' '}
    </label>
  );
}

function NewDay({ term, onEdit }: Pick<DaysPanelProps, 'term' | 'onEdit'>) {
  const [problem, setProblem] = useState('');
  const add = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const fields = new FormData(event.currentTarget);
    const text = (name: string) => String(fields.get(name) ?? '').trim();
    const from = text('from');
    const to = text('to') || from;
    if (!text('title')) return setProblem('Give it a name, so that it can be told from the others.');
    if (!isCalendarDate(from) || !isCalendarDate(to)) return setProblem('Choose a day that exists.');
    setProblem('');
    onEdit({
      do: 'put-day',
      day: {
        id: newId(),
        title: text('title'),
        kind: text('kind') as DayKind,
        from,
        to,
        isFixed: text('moves') !== 'yes',
      },
    });
  };
  return (
    <form onSubmit={add} className="flex flex-wrap items-baseline gap-y-2 gap-x-[1.1rem] py-[0.4rem] px-0" noValidate>
      <label>
        what <input className="input input-sm" name="title" maxLength={120} />
      </label>
      <label>
        kind{' '}
        <select className="select select-sm" name="kind" defaultValue="special">
          {DAY_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {DAY_KIND_WORDS[kind]}
            </option>
          ))}
        </select>
      </label>
      <label>
        from <input className="input input-sm" type="date" name="from" min={term.startsOn} max={term.endsOn} />
      </label>
      <label>
        to <input className="input input-sm" type="date" name="to" min={term.startsOn} max={term.endsOn} />
      </label>
      <label>
        <input className="checkbox checkbox-sm" type="checkbox" name="moves" value="yes" /> a day between them, not
        fixed yet
      </label>
      <button className="btn btn-outline btn-sm">Add it</button>
      {problem && <span role="alert">{problem}</span>}
    </form>
  );
}

function rangeWords({ from, to, isFixed }: TermDay): string {
  if (!isFixed) return `between ${shortDay(from)} and ${shortDay(to)}, not fixed yet`;
  return from === to ? shortDay(from) : `${shortDay(from)} to ${shortDay(to)}`;
}
