import { get, set } from 'react-hook-form';
import type { EntryField } from '../../contracts/entryField.ts';

/** What a form holds of an entry: texts, ticks and rows, each where the entry holds it. */
export type FormValues = Record<string, unknown>;

/** The fields of a form that stand for an entry. */
export function toForm(entry: Record<string, unknown>, fields: readonly EntryField[]): FormValues {
  const values: FormValues = {};
  for (const field of fields) set(values, field.name, write(get(entry, field.name), field));
  return values;
}

/** What an entry holds that the form does not show: what a maker made it from, and the line its waiting comes after. */
export function beside({ made, waitAfter }: Record<string, unknown>): Record<string, unknown> {
  return { ...(made !== undefined && { made }), ...(waitAfter !== undefined && { waitAfter }) };
}

/** The entry that a form's fields stand for; what is empty and optional is left out. */
export function fromForm(
  values: FormValues,
  fields: readonly EntryField[],
  was: Record<string, unknown> = {},
): Record<string, unknown> {
  const entry: Record<string, unknown> = notInForm(was);
  for (const field of fields) {
    const value = parse(get(values, field.name), field);
    if (value === undefined || (field.isOptional && isEmpty(value))) continue;
    set(entry, field.name, value);
  }
  return tidy(entry);
}

/** A level that neither says anything nor changes anything is no level. */
function tidy(entry: Record<string, unknown>): Record<string, unknown> {
  const levels = entry.levels as Record<string, FormLevel> | undefined;
  for (const [name, level] of Object.entries(levels ?? {})) {
    if (!level.text && isEmpty(level.dials) && !level.lines) delete levels![name];
    else level.text ??= '';
  }
  return entry;
}

interface FormLevel {
  text?: string;
  readonly dials?: unknown;
  readonly lines?: readonly unknown[];
}

function write(value: unknown, field: EntryField): unknown {
  switch (field.as) {
    case 'yes-no':
      return Boolean(value);
    case 'choices':
      return (value as string[] | undefined) ?? [];
    case 'keys':
      return ((value as string[] | undefined) ?? []).join(', ');
    case 'phrases':
      return ((value as string[] | undefined) ?? []).join(' | ');
    case 'triple':
      return ((value as unknown[] | undefined) ?? []).join(' | ');
    case 'activities':
    case 'lines':
      return ((value as string[] | undefined) ?? []).join('\n');
    case 'verses':
      return ((value as string[][] | undefined) ?? []).map((verse) => verse.join('\n')).join('\n\n');
    case 'settings':
      return Object.entries((value as Record<string, unknown> | undefined) ?? {})
        .map(([name, set]) => `${name} = ${String(set)}`)
        .join(' | ');
    case 'rows':
      return ((value as Record<string, unknown>[] | undefined) ?? []).map((row) => ({
        was: notInForm(row),
        ...toForm(row, field.columns!),
      }));
    default:
      return value === undefined || value === null ? '' : String(value);
  }
}

/** What a row has that no field of the form holds: its id, and what the choices of a maker's dial are called. */
function notInForm({ id, words }: Record<string, unknown>): Record<string, unknown> {
  return { ...(typeof id === 'string' && { id }), ...(words !== undefined && { words }) };
}

function parse(value: unknown, field: EntryField): unknown {
  const text = typeof value === 'string' ? value.trim() : '';
  switch (field.as) {
    case 'yes-no':
      return value === true;
    case 'choices':
      return Array.isArray(value) ? value : [];
    case 'keys':
      return text
        .split(',')
        .map((part) => part.trim())
        .filter(Boolean);
    case 'phrases':
      return text
        .split('|')
        .map((part) => part.trim())
        .filter(Boolean);
    case 'triple':
      return text === '' ? [] : text.split('|').map(asQuantity);
    case 'activities':
      return text
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean);
    case 'lines':
      return typeof value === 'string' && value.trim() ? value.replace(/\n+$/, '').split('\n') : [];
    case 'verses':
      return text.split(/\n\s*\n/).map((verse) => verse.split('\n').map((line) => line.trim()));
    case 'settings':
      return Object.fromEntries(
        text
          .split('|')
          .map((part) => part.split('=').map((word) => word.trim()))
          .filter(([name]) => name)
          .map(([name, set = '']) => [name, asQuantity(set)]),
      );
    case 'rows':
      return ((value as (FormValues & { was?: Record<string, unknown> })[] | undefined) ?? []).map((row) =>
        fromForm(row, field.columns!, row.was),
      );
    case 'number':
      return text === '' ? undefined : Number(text.replace(',', '.'));
    case 'quantity':
      return asQuantity(text);
    default:
      return typeof value === 'string' ? value : '';
  }
}

/** A number where it is one, otherwise the text as it stands (an expression, a choice). */
function asQuantity(text: string): number | string {
  const trimmed = text.trim();
  return trimmed !== '' && Number.isFinite(Number(trimmed)) ? Number(trimmed) : trimmed;
}

function isEmpty(value: unknown): boolean {
  return (
    value === '' ||
    value === false ||
    (Array.isArray(value) && value.length === 0) ||
    (typeof value === 'object' && value !== null && Object.keys(value).length === 0)
  );
}

/**
 * The field of a form that a place of an entry is written in: `lines[2].text` is `lines.2.text`, and `minutes.setup[0]`
 * is `minutes.setup`, which is one field. Undefined where no field stands for it.
 */
export function formPathOf(path: string, fields: readonly EntryField[]): string | undefined {
  const plain = (name: string) => path === name || path.startsWith(`${name}.`) || path.startsWith(`${name}[`);
  const [field] = fields.filter(({ name }) => plain(name)).sort((left, right) => right.name.length - left.name.length);
  if (!field) return undefined;
  const row = field.as === 'rows' ? /^\[(\d+)\]\.?(.*)$/.exec(path.slice(field.name.length)) : null;
  if (!row) return field.name;
  const inside = formPathOf(row[2]!, field.columns!);
  return inside === undefined ? field.name : `${field.name}.${row[1]}.${inside}`;
}
