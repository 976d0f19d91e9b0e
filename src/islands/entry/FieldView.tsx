import { useContext, useId } from 'react';
import { get, useFieldArray, useFormContext } from 'react-hook-form';
import { skillWords } from '../../messages/skills.ts';
import { described, Problem } from '../ui/Labelled.tsx';
import { PickField } from '../ui/PickField.tsx';
import { PickablesContext, THINGS_LIST } from './pickables.ts';
import type { EntryField } from '../../contracts/entryField.ts';
import { toForm } from './entryValues.ts';

/** A field of an entry: its label above, its input as wide as its place. */
const ENTRY_FIELD =
  'grid content-start gap-0.5 [&>:is(.input,.select,.textarea)]:w-full [&>label]:font-heading [&>label]:font-semibold [&>label]:text-sm [&_legend]:font-heading [&_legend]:font-semibold [&_legend]:text-sm';

interface FieldViewProps {
  readonly field: EntryField;
  /** Where it stands in the form: empty, or a row with a dot behind it. */
  readonly prefix: string;
}

/** One field of an entry, by how it is written; what is wrong with it is said beside it. */
export function FieldView({ field, prefix }: FieldViewProps) {
  const { register, formState } = useFormContext();
  const { things } = useContext(PickablesContext);
  const id = useId();
  const name = prefix + field.name;
  const problem = (get(formState.errors, name) as { message?: string } | undefined)?.message;
  const { label, hint, isMust } = field;
  const className = `entry-field ${ENTRY_FIELD} ${field.wide || field.as === 'rows' ? 'col-span-full' : ''}`;
  if (field.as === 'rows') return <RowsView field={field} name={name} problem={problem} />;
  if (field.as === 'choices')
    return (
      <fieldset className={className}>
        <legend>{label}</legend>
        <div className="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-y-[0.1rem] gap-x-4 text-sm">
          {field.choices!.map((choice) => (
            <label key={choice}>
              <input className="checkbox checkbox-sm" type="checkbox" value={choice} {...register(name)} />{' '}
              {skillWords(choice)}
            </label>
          ))}
        </div>
        <Problem {...{ id, label, problem }} />
      </fieldset>
    );
  if (field.as === 'yes-no')
    return (
      <label className={`${className} grid-cols-[auto_1fr] gap-2 items-center text-sm`}>
        <input className="checkbox checkbox-sm" type="checkbox" {...register(name)} />
        <span>{label}</span>
      </label>
    );
  if (field.as === 'thing')
    return (
      <div className={className}>
        <PickField name={name} label={label} choices={things} listId={THINGS_LIST} isMust={isMust ?? false} />
      </div>
    );
  const told = { ...described({ id, hint, problem }), required: isMust };
  return (
    <div className={className}>
      <label htmlFor={id} className={isMust ? 'is-must' : undefined}>
        {label}
      </label>
      <Input {...{ field, id, name, told }} />
      {hint && (
        <span className="text-soft text-xs" id={`${id}-hint`}>
          {hint}
        </span>
      )}
      <Problem {...{ id, label, problem }} />
    </div>
  );
}

interface InputProps {
  readonly field: EntryField;
  readonly id: string;
  readonly name: string;
  /** What a reader of the screen is told besides the label. */
  readonly told: object;
}

/** What is written or chosen in, by how the field is written. */
function Input({ field, id, name, told }: InputProps) {
  const { register } = useFormContext();
  const isLong = ['long', 'lines', 'verses', 'activities'].includes(field.as);
  return field.as === 'choice' ? (
    <select className="select select-sm" id={id} {...told} {...register(name)}>
      {field.isOptional && <option value="">not said</option>}
      {field.choices!.map((choice) => (
        <option key={choice}>{choice}</option>
      ))}
    </select>
  ) : isLong ? (
    <textarea
      className="textarea"
      id={id}
      rows={field.as === 'long' ? 2 : field.as === 'activities' ? 3 : 6}
      {...told}
      {...register(name)}
    />
  ) : (
    <input
      className="input input-sm"
      id={id}
      inputMode={field.as === 'number' ? 'decimal' : undefined}
      {...told}
      {...register(name)}
    />
  );
}

/** A list of rows: written in place, moved, taken out, added to. */
function RowsView({ field, name, problem }: { field: EntryField; name: string; problem: string | undefined }) {
  const id = useId();
  const { control } = useFormContext();
  const { fields: rows, append, remove, swap } = useFieldArray({ control, name });
  const what = field.label.split(':')[0]!.toLowerCase();
  return (
    <fieldset className={`entry-field ${ENTRY_FIELD} col-span-full`}>
      <legend>{field.label}</legend>
      <Problem id={id} label={field.label.split(':')[0]!} problem={problem} />
      <ol className="grid [&>li]:grid [&>li]:grid-cols-[1fr_auto] [&>li]:gap-y-[0.3rem] [&>li]:gap-x-4 [&>li]:border-t [&>li]:border-t-line [&>li]:py-[0.35rem] [&>li]:px-0">
        {rows.map((row, index) => (
          <li key={row.id}>
            <div className="entry-row grid grid-cols-[repeat(auto-fit,minmax(7.5rem,1fr))] gap-x-3 gap-y-1">
              {field.columns!.map((column) => (
                <FieldView key={column.name} field={column} prefix={`${name}.${index}.`} />
              ))}
            </div>
            <span className="grid gap-[0.2rem] content-start text-xs">
              <button
                type="button"
                className="link link-primary"
                disabled={index === 0}
                onClick={() => swap(index, index - 1)}
                aria-label={`up: ${what}, row ${index + 1}`}
              >
                up
              </button>
              <button
                type="button"
                className="link link-primary"
                onClick={() => remove(index)}
                aria-label={`take out ${what}, row ${index + 1}`}
              >
                take out
              </button>
            </span>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="link link-primary"
        onClick={() => append({ was: {}, ...toForm(firstChoices(field), field.columns!) })}
      >
        add to {what}
      </button>
    </fieldset>
  );
}

function firstChoices({ columns = [] }: EntryField): Record<string, unknown> {
  return Object.fromEntries(
    columns.filter(({ as }) => as === 'choice').map(({ name, choices }) => [name, choices![0]]),
  );
}
