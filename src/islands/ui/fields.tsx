import { useId } from 'react';
import { get, useFormContext, type RegisterOptions } from 'react-hook-form';
import { described, Labelled, Problem } from './Labelled.tsx';

interface FieldProps {
  readonly name: string;
  readonly label: string;
  readonly isMust?: boolean;
  readonly hint?: string;
}

/** A field's id and what is wrong with it. */
function useField(name: string) {
  const id = useId();
  const { register, formState } = useFormContext();
  const problem = (get(formState.errors, name) as { message?: string } | undefined)?.message;
  return { id, register, problem };
}

interface TextFieldProps extends FieldProps {
  readonly type?: 'text' | 'email' | 'number' | 'month' | 'date' | 'time';
  readonly options?: RegisterOptions;
  readonly step?: string;
}

/** A line of text, a number, a month. */
export function TextField({ name, label, isMust, hint, type = 'text', options, step }: TextFieldProps) {
  const { id, register, problem } = useField(name);
  return (
    <Labelled {...{ id, label, isMust, hint, problem }}>
      <input
        id={id}
        type={type}
        step={step}
        className="input"
        required={isMust}
        {...described({ id, hint, problem })}
        {...register(name, options)}
      />
    </Labelled>
  );
}

/** Several lines of text. */
export function LongField({ name, label, isMust, hint, rows = 2 }: FieldProps & { readonly rows?: number }) {
  const { id, register, problem } = useField(name);
  return (
    <Labelled {...{ id, label, isMust, hint, problem }}>
      <textarea
        id={id}
        rows={rows}
        className="textarea"
        required={isMust}
        {...described({ id, hint, problem })}
        {...register(name)}
      />
    </Labelled>
  );
}

interface ChoiceFieldProps extends FieldProps {
  readonly choices: readonly (readonly [value: string, word: string])[];
}

/** One of a few words. */
export function ChoiceField({ name, label, isMust, hint, choices }: ChoiceFieldProps) {
  const { id, register, problem } = useField(name);
  return (
    <Labelled {...{ id, label, isMust, hint, problem }}>
      <select id={id} className="select" {...described({ id, hint, problem })} {...register(name)}>
        {choices.map(([value, word]) => (
          <option key={value} value={value}>
            {word}
          </option>
        ))}
      </select>
    </Labelled>
  );
}

/** Yes or no. */
export function TickField({ name, label }: Pick<FieldProps, 'name' | 'label'>) {
  const { register } = useFormContext();
  return (
    <label className="inline-flex items-center gap-2 min-h-7">
      <input type="checkbox" className="checkbox checkbox-sm" {...register(name)} /> {label}
    </label>
  );
}

/** Any of several words. */
export function TicksField({ name, label, hint, choices }: ChoiceFieldProps) {
  const { id, register, problem } = useField(name);
  return (
    <fieldset className="field" aria-describedby={hint ? `${id}-hint` : undefined}>
      <legend>{label}</legend>
      {hint && (
        <p className="text-soft text-sm" id={`${id}-hint`}>
          {hint}
        </p>
      )}
      <div className="flex flex-wrap gap-y-[0.4rem] gap-x-5">
        {choices.map(([value, word]) => (
          <label key={value} className="inline-flex items-center gap-2 min-h-7">
            <input type="checkbox" className="checkbox checkbox-sm" value={value} {...register(name)} /> {word}
          </label>
        ))}
      </div>
      <Problem id={id} label={label} problem={problem} />
    </fieldset>
  );
}

/** A few words or phrases, with commas between. */
export function WordsField({ name, label, hint }: Pick<FieldProps, 'name' | 'label' | 'hint'>) {
  const { id, register } = useField(name);
  const { formState } = useFormContext();
  const errors: unknown = get(formState.errors, name);
  const first = (Array.isArray(errors) ? (errors as unknown[]).find(Boolean) : errors) as
    { message?: string } | undefined;
  const problem = first?.message;
  const setValueAs = (value: unknown) =>
    Array.isArray(value)
      ? value
      : String(value ?? '')
          .split(/[,;\n]/)
          .map((word) => word.trim())
          .filter(Boolean);
  return (
    <Labelled {...{ id, label, hint, problem }}>
      <input id={id} className="input" {...described({ id, hint, problem })} {...register(name, { setValueAs })} />
    </Labelled>
  );
}
