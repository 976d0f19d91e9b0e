import type { FieldProblem } from './problems.ts';

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
  let left = bounds.values;
  const pending: { value: unknown; path: string; depth: number }[] = [{ value, path: '', depth: 0 }];
  for (let item = pending.pop(); item; item = pending.pop()) {
    const { path, depth } = item;
    const problem = ofOne(item.value, depth, bounds);
    if (problem) return { path: path || '$', message: problem };
    if (typeof item.value !== 'object' || item.value === null) continue;
    const inside: [string, unknown][] = Array.isArray(item.value)
      ? item.value.map((entry: unknown, index) => [`[${index}]`, entry])
      : Object.entries(item.value).map(([name, entry]) => [path ? `.${name}` : name, entry]);
    left -= inside.length;
    if (left < 0) return { path: '$', message: `must hold at most ${bounds.values} values in all` };
    for (const [name, entry] of inside) {
      const wrongName = Array.isArray(item.value) ? null : ofName(name.replace(/^\./, ''));
      if (wrongName) return { path: path || '$', message: wrongName };
      pending.push({ value: entry, path: path + name, depth: depth + 1 });
    }
  }
  return null;
}

function ofOne(value: unknown, depth: number, bounds: Bounds): string | null {
  if (typeof value === 'number' && !Number.isFinite(value)) return 'must be a number that is not beyond all bounds';
  if (typeof value === 'string')
    return value.length > bounds.text ? `must be at most ${bounds.text} characters` : ofText(value);
  if (typeof value !== 'object' || value === null) return null;
  if (depth >= bounds.depth) return `must not lie deeper than ${bounds.depth} levels`;
  return !Array.isArray(value) && Object.keys(value).length > bounds.fields
    ? `must have at most ${bounds.fields} fields`
    : null;
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
