import { useId } from 'react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { skillWords } from '../../messages/skills.ts';
import type { EntryField } from './entryFields.ts';
import { fieldName, toForm } from './entryValues.ts';

interface FieldViewProps {
  readonly field: EntryField;
  /** Where it stands in the form: empty, or a row with a dot behind it. */
  readonly prefix: string;
  readonly isFixed?: boolean | undefined;
}

/** One field of an entry, by how it is written. */
export function FieldView({ field, prefix, isFixed = false }: FieldViewProps) {
  const { register } = useFormContext();
  const id = useId();
  const name = prefix + fieldName(field.name);
  const className = `entry-field ${field.wide || field.as === 'rows' ? 'entry-wide' : ''}`;
  if (field.as === 'rows') return <RowsView field={field} name={name} />;
  if (field.as === 'choices')
    return (
      <fieldset className={className}>
        <legend>{field.label}</legend>
        <div className="entry-choices">
          {field.choices!.map((choice) => (
            <label key={choice}>
              <input type="checkbox" value={choice} {...register(name)} /> {skillWords(choice)}
            </label>
          ))}
        </div>
      </fieldset>
    );
  if (field.as === 'yes-no')
    return (
      <label className={`${className} entry-tick`}>
        <input type="checkbox" {...register(name)} />
        <span>{field.label}</span>
      </label>
    );
  return (
    <div className={className}>
      <label htmlFor={id}>{field.label}</label>
      {field.as === 'choice' ? (
        <select id={id} {...register(name)}>
          {field.isOptional && <option value="">not said</option>}
          {field.choices!.map((choice) => (
            <option key={choice}>{choice}</option>
          ))}
        </select>
      ) : field.as === 'long' || field.as === 'lines' || field.as === 'verses' ? (
        <textarea id={id} rows={field.as === 'long' ? 2 : 6} {...register(name)} />
      ) : (
        <input
          id={id}
          readOnly={isFixed}
          inputMode={field.as === 'number' ? 'decimal' : undefined}
          {...register(name)}
        />
      )}
      {field.hint && <span className="entry-hint">{field.hint}</span>}
    </div>
  );
}

/** A list of rows: written in place, moved, taken out, added to. */
function RowsView({ field, name }: { field: EntryField; name: string }) {
  const { control } = useFormContext();
  const { fields: rows, append, remove, swap } = useFieldArray({ control, name });
  const what = field.label.split(':')[0]!.toLowerCase();
  return (
    <fieldset className="entry-field entry-wide">
      <legend>{field.label}</legend>
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
                aria-label={`${what}, row ${index + 1}: up`}
              >
                up
              </button>
              <button
                type="button"
                className="plain-button"
                onClick={() => remove(index)}
                aria-label={`${what}, row ${index + 1}: take out`}
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
