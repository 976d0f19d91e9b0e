import { useContext, useId } from 'react';
import { get, useFieldArray, useFormContext } from 'react-hook-form';
import { skillWords } from '../../messages/skills.ts';
import { described, Problem } from '../ui/Labelled.tsx';
import { PickField } from '../ui/PickField.tsx';
import { PickablesContext, THINGS_LIST } from './pickables.ts';
import type { EntryField } from './entryFields.ts';
import { fieldName, toForm } from './entryValues.ts';

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
  const name = prefix + fieldName(field.name);
  const problem = (get(formState.errors, name) as { message?: string } | undefined)?.message;
  const { label, hint, isMust } = field;
  const className = `entry-field ${field.wide || field.as === 'rows' ? 'entry-wide' : ''}`;
  if (field.as === 'rows') return <RowsView field={field} name={name} problem={problem} />;
  if (field.as === 'choices')
    return (
      <fieldset className={className}>
        <legend>{label}</legend>
        <div className="entry-choices">
          {field.choices!.map((choice) => (
            <label key={choice}>
              <input type="checkbox" value={choice} {...register(name)} /> {skillWords(choice)}
            </label>
          ))}
        </div>
        <Problem {...{ id, label, problem }} />
      </fieldset>
    );
  if (field.as === 'yes-no')
    return (
      <label className={`${className} entry-tick`}>
        <input type="checkbox" {...register(name)} />
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
  const isLong = ['long', 'lines', 'verses', 'activities'].includes(field.as);
  return (
    <div className={className}>
      <label htmlFor={id} className={isMust ? 'is-must' : undefined}>
        {label}
      </label>
      {field.as === 'choice' ? (
        <select id={id} {...told} {...register(name)}>
          {field.isOptional && <option value="">not said</option>}
          {field.choices!.map((choice) => (
            <option key={choice}>{choice}</option>
          ))}
        </select>
      ) : isLong ? (
        <textarea
          id={id}
          rows={field.as === 'long' ? 2 : field.as === 'activities' ? 3 : 6}
          {...told}
          {...register(name)}
        />
      ) : (
        <input id={id} inputMode={field.as === 'number' ? 'decimal' : undefined} {...told} {...register(name)} />
      )}
      {hint && (
        <span className="entry-hint" id={`${id}-hint`}>
          {hint}
        </span>
      )}
      <Problem {...{ id, label, problem }} />
    </div>
  );
}

/** A list of rows: written in place, moved, taken out, added to. */
function RowsView({ field, name, problem }: { field: EntryField; name: string; problem: string | undefined }) {
  const id = useId();
  const { control } = useFormContext();
  const { fields: rows, append, remove, swap } = useFieldArray({ control, name });
  const what = field.label.split(':')[0]!.toLowerCase();
  return (
    <fieldset className="entry-field entry-wide">
      <legend>{field.label}</legend>
      <Problem id={id} label={field.label.split(':')[0]!} problem={problem} />
      <ol className="entry-rows">
        {rows.map((row, index) => (
          <li key={row.id}>
            <div className="entry-row">
              {field.columns!.map((column) => (
                <FieldView key={column.name} field={column} prefix={`${name}.${index}.`} />
              ))}
            </div>
            <span className="entry-row-tools">
              <button
                type="button"
                className="plain-button"
                disabled={index === 0}
                onClick={() => swap(index, index - 1)}
                aria-label={`up: ${what}, row ${index + 1}`}
              >
                up
              </button>
              <button
                type="button"
                className="plain-button"
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
        className="plain-button"
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
