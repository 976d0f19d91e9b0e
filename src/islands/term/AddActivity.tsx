import { searchOptions } from '../../core/search/index.ts';
import MiniSearch from 'minisearch';
import { useMemo, useState } from 'react';
import type { TermEdit, TermSession, WeekRow } from '../../core/terms/index.ts';
import { skillWords } from '../../messages/skills.ts';
import type { TermProps } from './termTypes.ts';

interface AddActivityProps {
  readonly session: TermSession;
  readonly shelf: TermProps['shelf'];
  readonly row: WeekRow;
  readonly isLight: boolean;
  readonly onEdit: (edit: TermEdit) => void;
}

const MOST_SHOWN = 8;

/** Finds an activity by a word, a skill or a theme, and pins it into the session; the week's theme comes first. */
export function AddActivity({ session, shelf, row, isLight, onEdit }: AddActivityProps) {
  const [words, setWords] = useState('');
  const index = useMemo(() => {
    const search = new MiniSearch<{ id: string; title: string; about: string }>(
      searchOptions(['title', 'about'], { title: 4 }),
    );
    search.addAll(
      shelf.activities.map(({ id, title, skills, themes }) => ({
        id,
        title,
        about: [...skills.map(skillWords), ...themes].join(' '),
      })),
    );
    return search;
  }, [shelf]);
  const byId = new Map(shelf.activities.map((activity) => [activity.id, activity]));
  const found = (
    words.trim()
      ? index.search(words).map(({ id }) => byId.get(id as string)!)
      : shelf.activities.filter(({ themes }) => themes.includes(row.week.theme))
  )
    .filter(({ id }) => !session.activities.some(({ key }) => key === id))
    .slice(0, MOST_SHOWN);
  return (
    <div className="[&_input]:w-[min(22rem,_100%)] [&_ul]:columns-[2_18rem] [&_ul]:pt-[0.3rem]">
      <input
        className="input input-sm"
        type="search"
        aria-label="Find an activity for this session"
        placeholder="an activity, a skill, a theme"
        value={words}
        maxLength={100}
        onChange={({ target }) => setWords(target.value)}
      />
      <ul>
        {found.map(({ id, title, skills, minutes, effort }) => (
          <li key={id}>
            <button
              type="button"
              className="link link-primary"
              onClick={() => onEdit({ do: 'add-activity', session: session.id, key: id })}
            >
              {title}
            </button>{' '}
            <span className="text-soft text-sm">
              {minutes} min · {skills.map(skillWords).join(', ')}
              {isLight && effort >= 3 && ' · much work in a light week'}
            </span>
          </li>
        ))}
      </ul>
      {words.trim() !== '' && found.length === 0 && <p className="text-soft text-sm">Nothing by these words.</p>}
    </div>
  );
}
