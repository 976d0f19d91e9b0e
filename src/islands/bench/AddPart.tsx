import MiniSearch from 'minisearch';
import { useMemo, useRef, useState } from 'react';
import type { Edit } from '../../core/script/edit.ts';
import type { Session } from '../../core/script/session.ts';
import type { Addable } from './benchTypes.ts';
import { newId } from './newId.ts';

interface AddPartProps {
  readonly addables: readonly Addable[];
  readonly session: Session;
  readonly onEdit: (edit: Edit) => void;
}

const KIND_WORDS = { book: 'book', song: 'song', activity: 'activity' } as const;

/** Puts something from the shelf into the session, before the goodbye. */
export function AddPart({ addables, session, onEdit }: AddPartProps) {
  const [isOpen, setIsOpen] = useState(false);
  const [words, setWords] = useState('');
  const opener = useRef<HTMLButtonElement>(null);
  const search = useMemo(() => {
    const index = new MiniSearch<{ id: number; title: string; about: string }>({
      fields: ['title', 'about'],
      searchOptions: { prefix: true, fuzzy: 0.2, boost: { title: 2 } },
    });
    index.addAll(addables.map(({ title, about }, id) => ({ id, title, about })));
    return index;
  }, [addables]);
  const found = words.trim() === '' ? addables : search.search(words).map(({ id }) => addables[id as number]!);
  const close = () => {
    setIsOpen(false);
    setWords('');
    opener.current?.focus();
  };
  const add = ({ segment }: Addable) => {
    const closing = session.segments.findIndex(({ kind }) => kind === 'closing');
    onEdit({
      do: 'add-segment',
      segment: { ...segment, id: newId() },
      at: closing < 0 ? session.segments.length : closing,
    });
    close();
  };
  return (
    <div className="add-part">
      <button
        ref={opener}
        type="button"
        className="btn btn-quiet btn-sm"
        aria-expanded={isOpen}
        onClick={() => (isOpen ? close() : setIsOpen(true))}
      >
        Add from the shelf
      </button>
      {isOpen && (
        <div className="add-panel" onKeyDown={(event) => event.key === 'Escape' && close()}>
          <input
            autoFocus
            className="input"
            type="search"
            aria-label="Search the shelf"
            placeholder="a word, a skill, a theme"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <ul>
            {found.map((addable) => (
              <li key={`${addable.kind}/${addable.segment.from}`}>
                <button type="button" onClick={() => add(addable)}>
                  <strong>{addable.title}</strong> <span className="word-tag">{KIND_WORDS[addable.kind]}</span>
                  <span className="about">{addable.about}</span>
                </button>
              </li>
            ))}
          </ul>
          {found.length === 0 && <p className="quiet">Nothing on the shelf by these words.</p>}
        </div>
      )}
    </div>
  );
}
