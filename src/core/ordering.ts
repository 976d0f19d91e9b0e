/** Orders two texts by code unit, the same on every machine and in every locale. */
export function byCodeUnit(left: string, right: string): number {
  return left < right ? -1 : left > right ? 1 : 0;
}
