import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { ErrorAnswer } from '../../contracts/errors.ts';
import type { FieldProblem } from '../../contracts/problems.ts';
import type { EntryKind } from '../../contracts/shelfEntries.ts';
import { ENTRY_FIELDS } from './entryFields.ts';
import { FieldView } from './FieldView.tsx';
import { fromForm, toForm, type FormValues } from './entryValues.ts';

interface EntryFormProps {
  readonly kind: EntryKind;
  readonly entry: Record<string, unknown>;
  readonly isNew: boolean;
  /** The revision it is written from; 0 for a new entry. */
  readonly revision: number;
}

/** Writes or changes one entry of the shelf. What does not fit is named with its place, and all that was written stays. */
export function EntryForm({ kind, entry, isNew, revision }: EntryFormProps) {
  const fields = ENTRY_FIELDS[kind];
  const form = useForm<FormValues>({ defaultValues: toForm(entry, fields) });
  const [problems, setProblems] = useState<readonly FieldProblem[]>([]);
  const [message, setMessage] = useState('');
  const [revisionNow, setRevisionNow] = useState(revision);
  const [newer, setNewer] = useState<{ revision: number; entry: Record<string, unknown> } | null>(null);
  const keep = async (values: FormValues) => {
    setMessage('');
    setProblems([]);
    const written = { ...beside(entry), ...withLineIds(fromForm(values, fields)) };
    const answer = await fetch(`/api/shelf/entries/${kind}/${isNew ? 'new' : String(entry.key)}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entry: written, revision: revisionNow }),
    }).catch(() => null);
    if (answer?.ok) {
      const { href } = (await answer.json()) as { href: string };
      window.location.assign(href);
      return;
    }
    const error = (await answer?.json().catch(() => null)) as ErrorAnswer | null;
    if (error?.code === 'conflict') {
      setNewer(error.current as typeof newer);
      setMessage('Somebody changed this while you were writing. What you wrote still stands; choose which to keep.');
      return;
    }
    setProblems(error?.problems ?? []);
    setMessage(
      error?.problems
        ? 'Something does not fit, so nothing was kept yet. What you wrote still stands.'
        : (error?.message ?? 'Footstool cannot be reached at the moment. What you wrote still stands; try again.'),
    );
  };
  return (
    <FormProvider {...form}>
      <form className="entry" onSubmit={(event) => void form.handleSubmit(keep)(event)} noValidate>
        {message && (
          <div className="notice" role="alert">
            <p>{message}</p>
            {newer && (
              <NewerChoice
                onTheirs={() => {
                  form.reset(toForm(newer.entry, fields));
                  setRevisionNow(newer.revision);
                  setNewer(null);
                  setMessage('');
                }}
                onOurs={() => {
                  setRevisionNow(newer.revision);
                  setNewer(null);
                  setMessage('Yours will replace what somebody else wrote. Press “Keep it” to do so.');
                }}
              />
            )}
            <ul>
              {problems.map(({ path, message: what }) => (
                <li key={path + what}>
                  <strong>{placeInWords(path)}</strong> {what}
                </li>
              ))}
            </ul>
          </div>
        )}
        <div className="entry-fields">
          {fields.map((field) => (
            <FieldView
              key={field.name + field.label}
              field={field}
              prefix=""
              isFixed={field.name === 'key' && !isNew}
            />
          ))}
        </div>
        <button className="btn btn-primary" disabled={form.formState.isSubmitting}>
          {isNew ? 'Put it on the shelf' : 'Keep it'}
        </button>
      </form>
    </FormProvider>
  );
}

/** Which of two changes to go on from. */
function NewerChoice({ onTheirs, onOurs }: { onTheirs: () => void; onOurs: () => void }) {
  return (
    <p className="flex gap-3">
      <button type="button" className="btn btn-quiet btn-sm" onClick={onTheirs}>
        Go on from theirs
      </button>
      <button type="button" className="btn btn-quiet btn-sm" onClick={onOurs}>
        Keep mine over it
      </button>
    </p>
  );
}

/** What an entry holds that the form does not show. */
function beside({ made }: Record<string, unknown>): Record<string, unknown> {
  return made === undefined ? {} : { made };
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

/** A path as an author would say it: "lines, row 3, text". Rows count from 1. */
function placeInWords(path: string): string {
  return path.replace(/\[(\d+)\]/g, (_, index: string) => `, row ${Number(index) + 1}`).replaceAll('.', ', ');
}
