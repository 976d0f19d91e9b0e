import { type KeyboardEvent, useId, useState } from 'react';
import { keyFromTitle } from '../../contracts/keyFromTitle.ts';
import { asKnown } from '../../core/materials/index.ts';
import { askServer } from '../ui/askServer.ts';
import { useNewThing } from './newThings.ts';

interface ThingToAddProps {
  readonly choices: readonly { readonly key: string; readonly one: string; readonly many: string }[];
  readonly onAdd: (key: string) => void;
  readonly onProblem: (problem: string) => void;
}

/** A thing by its name, one or many; one that nobody has heard of is put on the shelf on the spot. */
export function ThingToAdd({ choices, onAdd, onProblem }: ThingToAddProps) {
  const [written, setWritten] = useState('');
  const [unknown, setUnknown] = useState('');
  const listId = useId();
  const add = () => {
    const wanted = written.trim().toLowerCase();
    if (wanted === '') return;
    const thing = choices.find(({ one, many }) => many.toLowerCase() === wanted || one.toLowerCase() === wanted);
    onProblem('');
    if (!thing) {
      setUnknown(written.trim());
      return;
    }
    setWritten('');
    onAdd(thing.key);
  };
  return (
    <>
      <p className="flex flex-wrap gap-2 mt-2">
        <input
          className="input input-sm"
          aria-label="Thing to add"
          list={listId}
          autoComplete="off"
          placeholder="a thing by its name"
          value={written}
          maxLength={120}
          onChange={({ target }) => {
            setWritten(target.value);
            setUnknown('');
          }}
          onKeyDown={(event) => addOnEnter(event, add)}
        />
        <button type="button" onClick={add}>
          add this thing
        </button>
      </p>
      {unknown && (
        <NewThing
          key={unknown}
          name={unknown}
          alike={choices.filter((choice) => isAlike(choice, unknown)).slice(0, MOST_ALIKE)}
          onProblem={onProblem}
          onThere={(key) => {
            setUnknown('');
            setWritten('');
            onAdd(key);
          }}
        />
      )}
      <datalist id={listId}>
        {choices.map(({ key, many }) => (
          <option key={key} value={many} />
        ))}
      </datalist>
    </>
  );
}

function addOnEnter(event: KeyboardEvent, add: () => void): void {
  if (event.key !== 'Enter') return;
  // What has the keys next is not pressed by the same key.
  event.preventDefault();
  add();
}

/** So many things of like names are offered. */
const MOST_ALIKE = 4;

/** Whether a thing's name holds what was written, or the other way round. */
function isAlike({ one, many }: { readonly one: string; readonly many: string }, written: string): boolean {
  const stem = written.toLowerCase().replace(/s$/, '');
  return stem.length > 2 && [one, many].some((name) => name.toLowerCase().includes(stem));
}

interface NewThingProps {
  readonly name: string;
  /** Things of the shelf that may be meant. */
  readonly alike: readonly { readonly key: string; readonly many: string }[];
  readonly onThere: (key: string) => void;
  readonly onProblem: (problem: string) => void;
}

/** Puts a new thing on the shelf by its two names; what it is like is asked before anything with it goes out. */
function NewThing({ name, alike, onThere, onProblem }: NewThingProps) {
  const isMany = /[^s]s$/i.test(name);
  const [one, setOne] = useState(isMany ? name.slice(0, -1) : name);
  const [many, setMany] = useState(isMany ? name : `${name}s`);
  const addThing = useNewThing();
  const put = async () => {
    const key = keyFromTitle(many);
    const entry = { key, one: one.trim(), many: many.trim(), traits: [], allergens: [], usualQty: 1, common: 0.5 };
    const asked = await askServer('/api/shelf/entries/thing/new', { method: 'PUT', json: { entry } });
    if (!asked.ok) {
      const [problem] = asked.error?.problems ?? [];
      onProblem(
        problem ? `That name ${problem.message}.` : 'The shelf can’t be reached just now. Try again in a moment.',
      );
      return;
    }
    addThing(asKnown(entry));
    onThere(key);
  };
  return (
    <div role="group" aria-label={`Put ${name} on the shelf`} className="mt-2 grid gap-2">
      {alike.length > 0 && (
        <p className="flex flex-wrap gap-3">
          Do you mean
          {alike.map(({ key, many: known }) => (
            <button key={key} type="button" onClick={() => onThere(key)}>
              {known}
            </button>
          ))}
        </p>
      )}
      <p>“{name}” isn’t on your shelf yet. What do you call it?</p>
      <p className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          One
          <input
            className="input input-sm w-36"
            value={one}
            maxLength={120}
            onChange={({ target }) => setOne(target.value)}
          />
        </label>
        <label className="flex items-center gap-2">
          Several
          <input
            className="input input-sm w-36"
            value={many}
            maxLength={120}
            onChange={({ target }) => setMany(target.value)}
          />
        </label>
        <button type="button" autoFocus onClick={() => void put()}>
          put it on the shelf
        </button>
      </p>
    </div>
  );
}
