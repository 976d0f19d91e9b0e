import type { FieldProblem } from './fieldProblem.ts';

/** What anything that is handed in may hold, before any field of it is looked at. */
export interface Bounds {
  /** How deep lists and objects lie in each other. */
  readonly depth: number;
  /** Values in all, lists and objects counted with what is in them. */
  readonly values: number;
  /** Characters of one text. */
  readonly text: number;
  /** Fields of one object. */
  readonly fields: number;
}

export const USUAL_BOUNDS: Bounds = { depth: 24, values: 400_000, text: 200_000, fields: 1000 };

const UNPAIRED = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
const FORBIDDEN_NAMES = new Set(['__proto__', 'constructor', 'prototype']);

/**
 * What makes a value one that no schema needs to see: too deep or too large, numbers that are none, characters that
 * cannot be kept. Stops at the first; null for a sound value. Takes time in proportion to what it looks at, at most.
 */
export function findOutOfBounds(value: unknown, bounds: Bounds = USUAL_BOUNDS): FieldProblem | null {
  const counter = { left: bounds.values };
  const found = visit(value, { depth: 0, bounds, counter });
  if (!found) return null;
  return { path: found.path.replace(/^\./, '') || '$', message: found.message };
}

interface Visit {
  readonly depth: number;
  readonly bounds: Bounds;
  readonly counter: { left: number };
}

/** Paths are put together only on the way back from what was found. */
function visit(value: unknown, { depth, bounds, counter }: Visit): FieldProblem | null {
  if (typeof value !== 'object' || value === null) return ofPlain(value, bounds);
  if (depth >= bounds.depth) return here(`must not lie deeper than ${bounds.depth} levels`);
  const inside = { depth: depth + 1, bounds, counter };
  if (Array.isArray(value)) {
    counter.left -= value.length;
    if (counter.left < 0) return here(`must hold at most ${bounds.values} values in all`);
    for (let index = 0; index < value.length; index++) {
      const found = visit(value[index], inside);
      if (found) return { path: `[${index}]${found.path}`, message: found.message };
    }
    return null;
  }
  const names = Object.keys(value);
  if (names.length > bounds.fields) return here(`must have at most ${bounds.fields} fields`);
  counter.left -= names.length;
  if (counter.left < 0) return here(`must hold at most ${bounds.values} values in all`);
  for (const name of names) {
    const wrongName = ofName(name);
    if (wrongName) return here(wrongName);
    const found = visit((value as Record<string, unknown>)[name], inside);
    if (found) return { path: `.${name}${found.path}`, message: found.message };
  }
  return null;
}

const here = (message: string): FieldProblem => ({ path: '', message });

function ofPlain(value: unknown, bounds: Bounds): FieldProblem | null {
  if (typeof value === 'number')
    return Number.isFinite(value) ? null : here('must be a number that is not beyond all bounds');
  if (typeof value !== 'string') return null;
  if (value.length > bounds.text) return here(`must be at most ${bounds.text} characters`);
  const problem = ofText(value);
  return problem === null ? null : here(problem);
}

function ofName(name: string): string | null {
  if (FORBIDDEN_NAMES.has(name)) return `must not have a field “${name}”`;
  if (name.length > 200) return 'must not have a field with a name of more than 200 characters';
  return ofText(name);
}

/** What makes a text one that cannot be kept; null for a sound one. */
export function ofText(text: string): string | null {
  if (text.includes('\0')) return 'must not hold a character that cannot be kept (NUL)';
  return UNPAIRED.test(text) ? 'must not hold half a character' : null;
}

/**
 * How deep brackets lie in each other in a JSON text, looked at before it is read; brackets inside texts do not count.
 * An empty text has depth 0.
 */
export function depthOfJson(text: string): number {
  let depth = 0;
  let deepest = 0;
  let isInText = false;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (isInText) {
      if (code === 92) at += 1;
      else if (code === 34) isInText = false;
    } else if (code === 34) isInText = true;
    else if (code === 91 || code === 123) deepest = Math.max(deepest, ++depth);
    else if (code === 93 || code === 125) depth -= 1;
  }
  return deepest;
}
