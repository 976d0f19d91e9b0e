import { type KeyboardEvent, useEffect, useId, useRef, useState } from 'react';
import type { Findable, Found } from '../../core/search/index.ts';
import { useServerAnswer } from '../ui/useServerAnswer.ts';
import { partTaker } from './takesParts.ts';

const KIND_WORDS: Readonly<Record<Found['kind'], string>> = {
  session: 'session',
  activity: 'activity',
  book: 'book',
  song: 'song',
  thing: 'thing',
  maker: 'sheets and sums',
  home: 'home',
  line: 'your line',
  page: 'page',
};

/** The field in the head of every room. Without script it asks the page of what was found. */
export function FindAnything({ words: first = '' }: { words?: string }) {
  const [words, setWords] = useState(first);
  const [isOpen, setIsOpen] = useState(false);
  const [active, setActive] = useState(-1);
  const field = useRef<HTMLInputElement>(null);
  const listId = useId();
  const { find, isAway } = useFindables(isOpen);
  const found = isOpen ? find(words) : [];
  useEffect(() => focusedBySlash(field), []);
  const close = () => setIsOpen(false);
  const typeIn = (typed: string) => {
    setWords(typed);
    setIsOpen(true);
    setActive(-1);
  };
  const choose = (entry: Found) => {
    if (!putIn(entry)) return location.assign(entry.href);
    setWords('');
    close();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') close();
    const next = nextActive(event.key, active, found.length);
    if (next !== active) setActive(next);
    else if (event.key === 'Enter' && found[active]) choose(found[active]);
    else return;
    event.preventDefault();
  };
  return (
    <form
      role="search"
      action="/search"
      className="relative"
      onBlur={({ currentTarget, relatedTarget }) => !currentTarget.contains(relatedTarget) && setIsOpen(false)}
    >
      <input
        ref={field}
        type="search"
        name="q"
        className="input input-sm w-44 max-lg:w-40 max-sm:w-30"
        aria-label="Find anything"
        placeholder="Find …"
        autoComplete="off"
        maxLength={200}
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls={listId}
        aria-activedescendant={active >= 0 ? `${listId}-${active}` : undefined}
        value={words}
        onFocus={() => setIsOpen(true)}
        onChange={({ target }) => typeIn(target.value)}
        onKeyDown={onKeyDown}
      />
      <FoundList {...{ found, active, listId }} onChoose={choose} />
      {isOpen && words.trim() !== '' && isAway && <NotThere />}
    </form>
  );
}

function NotThere() {
  return (
    <p role="alert" className="absolute right-0 z-50 mt-1 w-72 bg-sheet border border-ink rounded p-2 text-sm">
      The list didn’t come. Press Enter to look on a page instead.
    </p>
  );
}

/** Puts an entry of the shelf in where a page takes parts; whether it did. */
function putIn({ kind, key }: Found): boolean {
  const take = partTaker();
  if (!take || (kind !== 'activity' && kind !== 'book' && kind !== 'song')) return false;
  take({ kind, key });
  return true;
}

/** Which of so many is chosen after an arrow: round and round; other keys leave it as it is. */
function nextActive(key: string, active: number, count: number): number {
  if (count === 0 || (key !== 'ArrowDown' && key !== 'ArrowUp')) return active;
  if (key === 'ArrowDown') return (active + 1) % count;
  return active <= 0 ? count - 1 : active - 1;
}

interface FoundListProps {
  readonly found: readonly Found[];
  readonly active: number;
  readonly listId: string;
  readonly onChoose: (entry: Found) => void;
}

/** What was found, to be chosen with the arrows or pressed. */
function FoundList({ found, active, listId, onChoose }: FoundListProps) {
  return (
    <ul
      id={listId}
      role="listbox"
      aria-label="Found"
      hidden={found.length === 0}
      className="absolute right-0 z-50 mt-1 w-96 max-w-[92vw] max-h-[70vh] overflow-auto bg-sheet border border-ink rounded shadow-lg font-body font-normal"
    >
      {found.map((entry, at) => (
        <li
          key={`${entry.kind}/${entry.key}`}
          id={`${listId}-${at}`}
          role="option"
          aria-selected={at === active}
          className="px-3 py-1.5 min-h-11 cursor-pointer border-b border-line last:border-b-0 aria-selected:bg-teal-ground hover:bg-teal-ground"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onChoose(entry)}
        >
          <span className="flex gap-2 items-baseline">
            <strong className="truncate">{entry.title}</strong>
            <span className="ml-auto text-xs text-soft whitespace-nowrap">{KIND_WORDS[entry.kind]}</span>
          </span>
          <span className="block truncate text-sm text-soft">{entry.about}</span>
        </li>
      ))}
    </ul>
  );
}

/** “/” goes to the field, unless somebody is writing. */
function focusedBySlash(field: { readonly current: HTMLInputElement | null }): () => void {
  const onKey = (event: globalThis.KeyboardEvent) => {
    const at = event.target as HTMLElement;
    const isWriting = at.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(at.tagName);
    if (event.key !== '/' || isWriting || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    field.current?.focus();
  };
  document.addEventListener('keydown', onKey);
  return () => document.removeEventListener('keydown', onKey);
}

/** What can be found, asked for when the field is first entered; the search is loaded with it. */
function useFindables(isWanted: boolean): { find: (words: string) => Found[]; isAway: boolean } {
  const { answer, failure } = useServerAnswer<Findable[]>('/api/search', { isWanted });
  const [find, setFind] = useState<{ in: (words: string) => Found[] } | null>(null);
  useEffect(() => {
    if (!answer) return;
    void import('../../core/search/index.ts').then(({ findableIndex, findIn }) => {
      const index = findableIndex(answer);
      setFind({ in: (words) => findIn(index, words) });
    });
  }, [answer]);
  return { find: find?.in ?? (() => []), isAway: failure !== null };
}
