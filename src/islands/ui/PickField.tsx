import { useId, useState } from 'react';
import { Controller, get, useFormContext } from 'react-hook-form';
import { described, Labelled } from './Labelled.tsx';

/** Something that is picked by its name. */
export interface Pickable {
  readonly key: string;
  readonly name: string;
}

interface PickFieldProps {
  readonly name: string;
  readonly label: string;
  readonly choices: readonly Pickable[];
  readonly isMust?: boolean;
  readonly hint?: string;
  /** The list of names, drawn once for all fields that share it. */
  readonly listId: string;
}

/** One thing, written by name; the list completes it, and the form keeps its key. */
export function PickField({ name, label, choices, isMust, hint, listId }: PickFieldProps) {
  const id = useId();
  const { control, formState } = useFormContext();
  const problem = (get(formState.errors, name) as { message?: string } | undefined)?.message;
  return (
    <Labelled {...{ id, label, isMust, hint, problem }}>
      <Controller
        name={name}
        control={control}
        render={({ field }) => (
          <NamedInput
            {...{ id, choices, listId, problem, hint }}
            value={String(field.value ?? '')}
            onPick={field.onChange}
            onLeave={field.onBlur}
            inputRef={field.ref}
          />
        )}
      />
    </Labelled>
  );
}

interface NamedInputProps {
  readonly id: string;
  readonly value: string;
  readonly choices: readonly Pickable[];
  readonly listId: string;
  readonly problem: string | undefined;
  readonly hint: string | undefined;
  readonly onPick: (key: string) => void;
  readonly onLeave: () => void;
  readonly inputRef: (input: HTMLInputElement | null) => void;
}

/** What is written is a name; what is kept is the key that goes with it, or the words as they are while none does. */
function NamedInput({ id, value, choices, listId, problem, hint, onPick, onLeave, inputRef }: NamedInputProps) {
  const known = choices.find(({ key }) => key === value)?.name ?? value;
  const [written, setWritten] = useState(known);
  const keyOf = (words: string) =>
    choices.find(({ name }) => name.toLowerCase() === words.trim().toLowerCase())?.key ?? words.trim();
  const shown = keyOf(written) === value ? written : known;
  return (
    <input
      id={id}
      ref={inputRef}
      className="input"
      list={listId}
      autoComplete="off"
      value={shown}
      onChange={({ target }) => {
        setWritten(target.value);
        onPick(keyOf(target.value));
      }}
      onBlur={onLeave}
      {...described({ id, hint, problem })}
    />
  );
}

/** The names that fields of a form complete from. */
export function PickList({ id, choices }: { readonly id: string; readonly choices: readonly Pickable[] }) {
  return (
    <datalist id={id}>
      {choices.map(({ key, name }) => (
        <option key={key} value={name} />
      ))}
    </datalist>
  );
}
