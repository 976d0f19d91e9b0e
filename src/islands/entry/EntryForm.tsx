import { toNestErrors } from '@hookform/resolvers';
import { useEffect, useState } from 'react';
import { FormProvider, useForm, type FieldErrors, type Resolver } from 'react-hook-form';
import { keyFromTitle } from '../../contracts/keyFromTitle.ts';
import { checkShape } from '../../contracts/problems.ts';
import { ENTRY_SCHEMAS, type EntryKind } from '../../contracts/shelfEntries.ts';
import { ENTRY_FIELDS } from './entryFields.ts';
import { Proposals } from './Proposals.tsx';
import { FieldView } from './FieldView.tsx';
import { beside, formPathOf, fromForm, toForm, type FormValues } from './entryValues.ts';
import { FormNotice } from '../ui/FormNotice.tsx';
import { PickList, type Pickable } from '../ui/PickField.tsx';
import { useServerForm } from '../ui/useServerForm.ts';
import { PickablesContext, THINGS_LIST } from './pickables.ts';

interface EntryFormProps {
  readonly kind: EntryKind;
  readonly entry: Record<string, unknown>;
  readonly isNew: boolean;
  /** The revision it is written from; 0 for a new entry. */
  readonly revision: number;
  /** Things and activities of the shelf by name. */
  readonly things: readonly Pickable[];
  readonly activities: readonly Pickable[];
  /** Where a new one leads, with its key under its kind; absent: to its own page. */
  readonly back?: string | undefined;
}

/** Writes or changes one entry of the shelf. What does not fit is named with its place, and all that was written stays. */
export function EntryForm({ kind, entry, isNew, revision, things, activities, back }: EntryFormProps) {
  const fields = ENTRY_FIELDS[kind];
  const shown = (value: Record<string, unknown>) => toForm(withTitles(value, activities), fields);
  const title = titleField(kind);
  const written = (values: FormValues) => {
    const value = { ...beside(entry), ...withLineIds(withKeys(fromForm(values, fields), activities)) };
    return { ...value, key: isNew ? keyFromTitle(String(values[title] ?? '')) : entry.key };
  };
  // The key is made from the title, so what is wrong with it is said there.
  const fieldOf = (path: string) => (path === 'key' ? title : formPathOf(path, fields));
  const form = useForm<FormValues>({
    defaultValues: shown(entry),
    resolver: shapeResolver(kind, { written, fieldOf }),
  });
  const [revisionNow, setRevisionNow] = useState(revision);
  const { setFocus } = form;
  useEffect(() => {
    if (isNew) setFocus(fields[0]!.name);
  }, [isNew, setFocus, fields]);
  const { submit, word, setWord } = useServerForm({
    form,
    address: `/api/shelf/entries/${kind}/${isNew ? 'new' : String(entry.key)}`,
    bodyOf: (values) => ({ entry: written(values), revision: revisionNow }),
    fieldOf,
    ...(back && { hrefOf: ({ key }: { key: string }) => withAnswer(back, kind, key) }),
  });
  const newer = word?.current as { revision: number; entry: Record<string, unknown> } | undefined;
  return (
    <PickablesContext.Provider value={{ things }}>
      <FormProvider {...form}>
        <form className="pt-5 pb-16 px-6 max-w-304" onSubmit={(event) => void submit(event)} noValidate>
          <FormNotice
            word={word}
            onTheirs={() => {
              form.reset(shown(newer!.entry));
              setRevisionNow(newer!.revision);
              setWord(null);
            }}
            onOurs={() => {
              setRevisionNow(newer!.revision);
              setWord({ text: 'Yours will replace what somebody else wrote. Press “Save” to do so.', others: [] });
            }}
          />
          {kind === 'thing' && entry.checked !== true && <Proposals />}
          <div className="grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-y-[0.8rem] gap-x-6 mb-6">
            {fields.map((field) => (
              <FieldView key={field.name + field.label} field={field} prefix="" />
            ))}
          </div>
          <PickList id={THINGS_LIST} choices={things} />
          <button className="btn btn-primary" disabled={form.formState.isSubmitting}>
            {isNew ? 'Put it on the shelf' : 'Save'}
          </button>
        </form>
      </FormProvider>
    </PickablesContext.Provider>
  );
}

/** An address with one more value in its question. */
function withAnswer(address: string, name: string, value: string): string {
  const [path, question] = address.split('?');
  const asked = new URLSearchParams(question);
  asked.set(name, value);
  return `${path}?${asked}`;
}

/** Checks by the entry's own schema before anything is sent; what stands in no field is left to the server to say. */
function shapeResolver(
  kind: EntryKind,
  form: { written: (values: FormValues) => unknown; fieldOf: (path: string) => string | undefined },
): Resolver<FormValues> {
  return (values, _context, options) => {
    const checked = checkShape(ENTRY_SCHEMAS[kind], form.written(values));
    const errors: FieldErrors = {};
    for (const { path, message } of checked.ok ? [] : checked.problem) {
      const field = form.fieldOf(path);
      if (field !== undefined) errors[field] ??= { type: 'shape', message };
    }
    return Object.keys(errors).length === 0
      ? { values, errors: {} }
      : { values: {}, errors: toNestErrors(errors, options) };
  };
}

/** The field that names an entry of a kind. */
function titleField(kind: EntryKind): string {
  return kind === 'thing' ? 'many' : 'title';
}

/** Activities that come first are shown by their titles. */
function withTitles(entry: Record<string, unknown>, activities: readonly Pickable[]): Record<string, unknown> {
  const after = entry.after as readonly string[] | undefined;
  if (!after) return entry;
  return { ...entry, after: after.map((key) => activities.find((activity) => activity.key === key)?.name ?? key) };
}

function withKeys(entry: Record<string, unknown>, activities: readonly Pickable[]): Record<string, unknown> {
  const after = entry.after as readonly string[] | undefined;
  if (!after) return entry;
  const keyOf = (title: string) =>
    activities.find(({ name }) => name.toLowerCase() === title.toLowerCase())?.key ?? keyFromTitle(title);
  return { ...entry, after: after.map(keyOf) };
}

/** Lines need a name of their own, those of levels too; new ones take the next free number. */
function withLineIds(entry: Record<string, unknown>): Record<string, unknown> {
  const levels = entry.levels as Record<string, Record<string, unknown>> | undefined;
  const named = levels && Object.fromEntries(Object.entries(levels).map(([name, level]) => [name, withLineIds(level)]));
  return { ...entry, ...(named && { levels: named }), ...lineIds(entry.lines as { id?: string }[] | undefined) };
}

function lineIds(lines: readonly { id?: string }[] | undefined): Record<string, unknown> {
  if (!lines) return {};
  const taken = new Set(lines.flatMap(({ id }) => id ?? []));
  let number = 0;
  const nextId = () => {
    do number += 1;
    while (taken.has(`line-${number}`));
    taken.add(`line-${number}`);
    return `line-${number}`;
  };
  return { lines: lines.map((line) => ({ ...line, id: line.id ?? nextId() })) };
}
