import { isDeepStrictEqual } from 'node:util';

/** Whether two values are kept as the same: what is absent and what is undefined are one, and order of fields none. */
export function isSameValue(left: unknown, right: unknown): boolean {
  const asKept = (value: unknown) => JSON.parse(JSON.stringify(value ?? null)) as unknown;
  return isDeepStrictEqual(asKept(left), asKept(right));
}
