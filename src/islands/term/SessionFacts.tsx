import { askServer } from '../ui/askServer.ts';
import { useState } from 'react';
import type { TermEdit, TermSession, WeekRow } from '../../core/terms/index.ts';
import { WEEKDAY_WORDS } from '../../messages/dates.ts';
import type { TermProps } from './termTypes.ts';

interface SessionFactsProps {
  readonly session: TermSession;
  readonly shelf: TermProps['shelf'];
  readonly row: WeekRow;
  readonly termId: string;
  readonly isKept: boolean;
  readonly onEdit: (edit: TermEdit) => void;
}

type ChangeSession = (change: Extract<TermEdit, { do: 'set-session' }>['change']) => void;

/** When a planned session is, how long, with which book and song, and putting it on the bench. */
export function SessionFacts({ session, shelf, row, termId, isKept, onEdit }: SessionFactsProps) {
  const set: ChangeSession = (change) => onEdit({ do: 'set-session', session: session.id, change });
  return (
    <div className="flex flex-wrap items-baseline gap-y-2 gap-x-[1.1rem] py-[0.4rem] px-0 [&_label]:inline-flex [&_label]:gap-[0.35rem] [&_label]:items-baseline [&_select]:max-w-60 [&_input[type='number']]:w-16">
      <EntryChoice
        {...{ label: 'book', entries: shelf.books, value: session.book, theme: row.week.theme }}
        onChoose={(book) => set({ book })}
      />
      <EntryChoice
        {...{ label: 'song', entries: shelf.songs, value: session.song, theme: row.week.theme }}
        onChoose={(song) => set({ song })}
      />
      <WhenAndHowLong {...{ session, set }} />
      <ToTheBench {...{ session, termId, isKept }} />
      <button
        type="button"
        className="link link-primary"
        onClick={() => onEdit({ do: 'remove-session', session: session.id })}
      >
        take the session out
      </button>
    </div>
  );
}

interface EntryChoiceProps {
  readonly label: string;
  readonly entries: readonly {
    readonly key: string;
    readonly title: string;
    readonly themes: readonly string[];
    readonly isBorrowed?: boolean;
  }[];
  readonly value: string | null;
  readonly theme: string;
  readonly onChoose: (key: string | null) => void;
}

/** A book or song of the shelf, those on the week's theme first. */
function EntryChoice({ label, entries, value, theme, onChoose }: EntryChoiceProps) {
  const isOnTheme = ({ themes }: { readonly themes: readonly string[] }) => themes.includes(theme);
  const ordered = [...entries].sort((left, right) => Number(isOnTheme(right)) - Number(isOnTheme(left)));
  return (
    <label>
      {label}
      <select
        className="select select-sm"
        value={value ?? ''}
        onChange={({ target }) => onChoose(target.value || null)}
      >
        <option value="">none yet</option>
        {ordered.map((entry) => (
          <option key={entry.key} value={entry.key}>
            {entry.title}
            {isOnTheme(entry) ? ' (on the theme)' : ''}
            {entry.isBorrowed ? ', borrowed' : ''}
          </option>
        ))}
      </select>
    </label>
  );
}

function WhenAndHowLong({ session, set }: { session: TermSession; set: ChangeSession }) {
  return (
    <>
      <label>
        day
        <select
          className="select select-sm"
          value={session.weekday}
          onChange={({ target }) => set({ weekday: Number(target.value) })}
        >
          {WEEKDAY_WORDS.map((word, index) => (
            <option key={word} value={index + 1}>
              {word}
            </option>
          ))}
        </select>
      </label>
      <label>
        time
        <input
          className="input input-sm w-32"
          type="time"
          value={session.time}
          onChange={({ target }) => target.value && set({ time: target.value })}
        />
      </label>
      <label>
        minutes for activities
        <input
          className="input input-sm w-18"
          type="number"
          min={1}
          max={240}
          value={session.minutes}
          onChange={({ target: { valueAsNumber: minutes } }) => minutes >= 1 && minutes <= 240 && set({ minutes })}
        />
      </label>
    </>
  );
}

function ToTheBench({ session, termId, isKept }: Pick<SessionFactsProps, 'session' | 'termId' | 'isKept'>) {
  const [problem, setProblem] = useState('');
  if (session.benchId) return <a href={`/sessions/${session.benchId}`}>open the session</a>;
  const put = async () => {
    const asked = await askServer<{ href: string }>(`/api/terms/${termId}/sessions`, { json: { slot: session.id } });
    if (asked.ok) return window.location.assign(asked.answer.href);
    return setProblem(
      asked.error?.message ?? 'Footstool cannot be reached at the moment; the term is as it was. Try again.',
    );
  };
  return (
    <>
      <button type="button" className="btn btn-outline btn-sm" disabled={!isKept} onClick={() => void put()}>
        Start writing
      </button>
      {problem && <span role="alert">{problem}</span>}
    </>
  );
}
