import { ValidationError, type Schema } from 'yup';
import { bad, good, type Outcome } from '../core/outcome.ts';

/** Something wrong with what was handed in: where, and what. */
export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}

const MOST_PROBLEMS = 50;

/** Checks a value against a schema without changing types; gives every problem with its place. */
export function checkShape<Shape>(schema: Schema<Shape>, value: unknown, at = ''): Outcome<Shape, FieldProblem[]> {
  try {
    return good(schema.validateSync(value, { strict: true, abortEarly: false }) as Shape);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const single = error.inner.length > 0 ? error.inner : [error];
    return bad(single.slice(0, MOST_PROBLEMS).map((problem) => toFieldProblem(problem, at)));
  }
}

/** Checks form fields, which arrive as text: numbers and booleans are read from it. */
export function checkForm<Shape>(
  schema: Schema<Shape>,
  fields: Record<string, unknown>,
): Outcome<Shape, FieldProblem[]> {
  try {
    return good(schema.validateSync(fields, { abortEarly: false, stripUnknown: true }) as Shape);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const single = error.inner.length > 0 ? error.inner : [error];
    return bad(single.map((problem) => toFieldProblem(problem, '')));
  }
}

function toFieldProblem(error: ValidationError, at: string): FieldProblem {
  const inside = error.path ?? '';
  const path = [at, inside].filter(Boolean).join(inside.startsWith('[') ? '' : '.');
  const message = error.message
    .split('\n')[0]!
    .replace(new RegExp(`^(this|${escapeRegExp(inside)})\\s+`), '')
    .replace(/^field has/, 'has')
    .slice(0, 300);
  return { path: path || '$', message };
}

function escapeRegExp(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
}
