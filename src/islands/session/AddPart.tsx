import { askServer } from '../ui/askServer.ts';
import { useServerAnswer } from '../ui/useServerAnswer.ts';
import { takeFoundParts } from '../search/takesParts.ts';
import { type Edit, plainSegment, type Segment, type Session } from '../../core/session/index.ts';
import { searchOptions } from '../../core/search/index.ts';
import MiniSearch from 'minisearch';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Addable } from '../../contracts/bench.ts';
import { PastePage } from './pasting/PastePage.tsx';
import { newId } from '../autosave/newId.ts';

interface AddPartProps {
  readonly session: Session;
  readonly onEdit: (edit: Edit) => void;
}

/** A new part of an author's own is planned at so many minutes: least, likely, most. */
const OWN_MINUTES = [3, 5, 10] as const;

const KIND_WORDS = { book: 'book', song: 'song', activity: 'activity' } as const;

/** Puts something from the shelf into the session, or a part of one's own, before the goodbye. */
export function AddPart({ session, onEdit }: AddPartProps) {
  const [isOpen, setIsOpen] = useState(false);
  const [pastes, setPastes] = useState(false);
  const shelf = useAddables(isOpen);
  const opener = useRef<HTMLButtonElement>(null);
  const close = () => {
    setIsOpen(false);
    opener.current?.focus();
  };
  const closing = session.segments.findIndex(({ kind }) => kind === 'closing');
  const at = closing < 0 ? session.segments.length : closing;
  const putIn = (segment: Segment) => {
    const id = newId();
    onEdit({ do: 'add-segment', segment: { ...segment, id }, at });
    focusPart(id);
  };
  const refused = useFoundParts(putIn);
  const add = ({ segment }: Addable) => {
    putIn(segment);
    setIsOpen(false);
  };
  const addOwn = () => {
    // Its first line is open to be written in, and has the focus.
    const own = plainSegment(newId(), 'activity', 'Something to do', OWN_MINUTES);
    const line = { id: newId(), kind: 'do', text: '' } as const;
    onEdit({ do: 'add-segment', segment: { ...own, lines: [line] }, at });
  };
  return (
    <div className="pt-[0.6rem] pb-8 pr-6 pl-[7.6rem] max-[860px]:pl-20">
      <button
        ref={opener}
        type="button"
        className="btn btn-outline btn-sm"
        aria-expanded={isOpen}
        onClick={() => (isOpen ? close() : setIsOpen(true))}
      >
        Add from the shelf
      </button>{' '}
      <button type="button" className="btn btn-outline btn-sm" onClick={addOwn}>
        Add a part
      </button>{' '}
      <button
        type="button"
        className="btn btn-outline btn-sm"
        aria-expanded={pastes}
        onClick={() => setPastes(!pastes)}
      >
        Paste a page
      </button>
      {refused && <p role="alert">{refused}</p>}
      {pastes && <PastePage onDone={() => setPastes(false)} />}
      {isOpen && <ShelfPanel {...shelf} onAdd={add} onClose={close} />}
    </div>
  );
}

/** Puts in what is found in the field of the head while this session is open; gives why it could not be. */
function useFoundParts(putIn: (segment: Segment) => void): string {
  const [refused, setRefused] = useState('');
  const newest = useRef(putIn);
  newest.current = putIn;
  useEffect(
    () =>
      takeFoundParts(({ kind, key }) => {
        void askServer<Segment>(`/api/shelf/parts/${kind}/${encodeURIComponent(key)}`).then((asked) => {
          setRefused(asked.ok ? '' : 'It couldn’t be put in: the shelf cannot be reached. Try again in a moment.');
          if (asked.ok) newest.current(asked.answer);
        });
      }),
    [],
  );
  return refused;
}

/** Brings a part that was just added in view, for whoever goes on with the keyboard too. */
function focusPart(id: string): void {
  requestAnimationFrame(() => document.getElementById(`title-${id}`)?.focus());
}

interface ShelfPanelProps extends ReturnType<typeof useAddables> {
  readonly onAdd: (addable: Addable) => void;
  readonly onClose: () => void;
}

/** The shelf to search; what is pressed is added. */
function ShelfPanel({ addables, isThere, problem, onAdd, onClose }: ShelfPanelProps) {
  const [words, setWords] = useState('');
  const search = useMemo(() => {
    const index = new MiniSearch<{ id: number; title: string; about: string }>(
      searchOptions(['title', 'about'], { title: 4 }),
    );
    index.addAll(addables.map(({ title, about }, id) => ({ id, title, about })));
    return index;
  }, [addables]);
  const found = words.trim() === '' ? addables : search.search(words).map(({ id }) => addables[id as number]!);
  return (
    <div className="add-panel mt-2.5 max-w-176" onKeyDown={(event) => event.key === 'Escape' && onClose()}>
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
            <button type="button" onClick={() => onAdd(addable)}>
              <strong>{addable.title}</strong> <span className="text-xs text-soft">{KIND_WORDS[addable.kind]}</span>
              <span className="block text-sm text-soft">{addable.about}</span>
            </button>
          </li>
        ))}
      </ul>
      {problem && <p role="alert">{problem}</p>}
      {!problem && found.length === 0 && (
        <p className="text-soft">
          {!isThere ? (
            'Looking on the shelf …'
          ) : addables.length > 0 ? (
            'Nothing on the shelf by these words.'
          ) : (
            <>
              Your shelf is empty. <a href="/shelf/starter">Take something from our collection</a>, or write a part of
              your own.
            </>
          )}
        </p>
      )}
    </div>
  );
}

/** Where everything of the shelf that can be added is told. */
export const ADDABLES = '/api/shelf/addables';

/** The shelf, asked for once it is first looked into; again after it could not be reached. */
function useAddables(isWanted: boolean): { addables: readonly Addable[]; isThere: boolean; problem: string } {
  const { answer, failure } = useServerAnswer<readonly Addable[]>(ADDABLES, { isWanted });
  const problem = failure
    ? `The shelf cannot be reached. ${failure.message ?? 'Nothing came back in time.'} Close this and open it again.`
    : '';
  return { addables: answer ?? NONE, isThere: answer !== undefined, problem };
}

const NONE: readonly Addable[] = [];
