import type { FieldProblem } from './fieldProblem.ts';
import { ValidationError, type AnyObject, type Lazy, type Schema } from 'yup';
import { err, ok, type Outcome } from '../core/outcome.ts';
import { findOutOfBounds } from './bounds.ts';

export const MOST_PROBLEMS = 50;

/**
 * Checks a value against a schema without changing types; gives problems with their places, at most fifty. Lists that
 * are too long are refused before anything in them is looked at, so the work is bounded by what the schema allows.
 */
export function checkShape<Shape>(schema: Schema<Shape>, value: unknown, at = ''): Outcome<Shape, FieldProblem[]> {
  if (value === undefined || value === null) return err([{ path: at || '$', message: 'is missing' }]);
  const outside = findOutOfBounds(value);
  if (outside) return err([{ ...outside, path: joined(at, outside.path === '$' ? '' : outside.path) || '$' }]);
  const overlong = findOverlong(schema, value, at);
  if (overlong.length > 0) return err(overlong);
  try {
    return ok(schema.validateSync(value, { strict: true, abortEarly: true, disableStackTrace: true }) as Shape);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const problems: FieldProblem[] = [];
    collectProblems(schema, value, { at, parent: undefined }, problems);
    return err(problems.length > 0 ? problems : [toFieldProblem(error, at)]);
  }
}

/** Checks form fields, which arrive as text: numbers and booleans are read from it. */
export function checkForm<Shape>(
  schema: Schema<Shape>,
  fields: Record<string, unknown>,
): Outcome<Shape, FieldProblem[]> {
  const outside = findOutOfBounds(fields);
  if (outside) return err([outside]);
  const overlong = findOverlong(schema, fields);
  if (overlong.length > 0) return err(overlong);
  try {
    return ok(schema.validateSync(fields, { abortEarly: false, stripUnknown: true, disableStackTrace: true }) as Shape);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const single = error.inner.length > 0 ? error.inner : [error];
    const byPath = new Map<string, FieldProblem>();
    for (const problem of single.map((each) => toFieldProblem(each, '')))
      if (!byPath.has(problem.path)) byPath.set(problem.path, problem);
    return err([...byPath.values()].slice(0, MOST_PROBLEMS));
  }
}

type AnySchema = Schema | Lazy<unknown>;
interface Place {
  readonly at: string;
  readonly parent: unknown;
}

function resolved(schema: AnySchema, value: unknown, parent: unknown): Schema {
  return schema.resolve({ value, parent } as Parameters<Schema['resolve']>[0]) as Schema;
}

/** The parts of a schema that belong to a value: items of a list, fields of an object. */
function partsOf(schema: Schema, value: unknown): { schema: AnySchema; value: unknown; name: string }[] {
  const { innerType, fields } = schema as unknown as { innerType?: AnySchema; fields?: Record<string, AnySchema> };
  if (Array.isArray(value))
    return innerType
      ? value.map((item: unknown, index) => ({ schema: innerType, value: item, name: `[${index}]` }))
      : [];
  if (typeof value !== 'object' || value === null || !fields) return [];
  return Object.entries(fields).map(([name, field]) => ({ schema: field, value: (value as AnyObject)[name], name }));
}

/** Lists that are longer than their schema allows, found before anything in them is looked at; none in a sound value. */
export function findOverlong(schema: Schema, value: unknown, at = ''): FieldProblem[] {
  const problems: FieldProblem[] = [];
  collectOverlong(schema, value, at, problems);
  return problems;
}

function collectOverlong(schema: AnySchema, value: unknown, at: string, problems: FieldProblem[]): void {
  if (typeof value !== 'object' || value === null || problems.length >= MOST_PROBLEMS) return;
  const known = resolved(schema, value, undefined);
  const most = Array.isArray(value) ? longest(known) : Infinity;
  if (Array.isArray(value) && value.length > most) {
    problems.push({ path: at || '$', message: `must hold at most ${most}, not ${value.length}` });
    return;
  }
  for (const part of partsOf(known, value)) collectOverlong(part.schema, part.value, joined(at, part.name), problems);
}

/** How many items a list may have by its schema. */
export function longest(schema: Schema): number {
  return Math.min(
    ...schema.tests.map(({ OPTIONS }) => {
      const { max, length } = (OPTIONS?.params ?? {}) as { max?: number; length?: number };
      return OPTIONS?.name === 'max' ? Number(max) : OPTIONS?.name === 'length' ? Number(length) : Infinity;
    }),
    Infinity,
  );
}

/** Every problem from the outside in, level by level, until there are fifty. */
function collectProblems(schema: AnySchema, value: unknown, { at, parent }: Place, problems: FieldProblem[]): void {
  if (problems.length >= MOST_PROBLEMS) return;
  const known = resolved(schema, value, parent);
  const before = problems.length;
  try {
    known.validateSync(value, {
      strict: true,
      abortEarly: false,
      recursive: false,
      disableStackTrace: true,
      path: at,
      parent: parent as object,
    } as Parameters<Schema['validateSync']>[1]);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    for (const single of error.inner.length > 0 ? error.inner : [error]) {
      if (problems.length < MOST_PROBLEMS) problems.push(toFieldProblem(single, at));
    }
  }
  // What is of another kind altogether is said once, not for each of its parts.
  if (problems.length > before && (typeof value !== 'object' || value === null)) return;
  for (const part of partsOf(known, value))
    collectProblems(part.schema, part.value, { at: joined(at, part.name), parent: value }, problems);
}

function joined(at: string, inside: string): string {
  return [at, inside].filter(Boolean).join(inside.startsWith('[') ? '' : '.');
}

/** What a value has to be, as somebody says it who writes no programs. */
const IN_PLAIN: Readonly<Record<string, string>> = {
  number: 'a number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'an entry with fields',
};

function toFieldProblem(error: ValidationError, at: string): FieldProblem {
  const given = error.path ?? '';
  const inside = given.startsWith(at) ? given : joined(at, given);
  const message = error.message
    .split('\n')[0]!
    .replace(new RegExp(`^(this|${escapeRegExp(given)}|${escapeRegExp(inside)})\\s+`), '')
    .replace(/^field has/, 'has')
    .replace(/^must be an? `(\w+)` type.*$/, (_, kind: string) => `must be ${IN_PLAIN[kind] ?? 'text'}`)
    .slice(0, 300);
  return { path: inside || '$', message };
}

function escapeRegExp(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}
