/** With more ways than this to fill a slot's minutes, the plain row of minutes stands in for them. */
const MOST_PATTERNS = 400;

/**
 * The ways to fill a slot that leave no room for one more: how many activities of each size. Null when there are too
 * many to list. `most` is how many of a size there are; `count` how many activities a slot may hold.
 */
export function findCuttingPatterns(input: {
  readonly sizes: readonly number[];
  readonly most: readonly number[];
  readonly minutes: number;
  readonly count: number;
}): number[][] | null {
  const { sizes, most } = input;
  const found: number[][] = [];
  const pattern = sizes.map(() => 0);
  const visit = (size: number, minutes: number, count: number): boolean => {
    if (size < 0) {
      const hasRoom = sizes.some(
        (candidate, index) => count > 0 && pattern[index]! < most[index]! && candidate <= minutes + 1e-9,
      );
      if (!hasRoom) found.push([...pattern]);
      return found.length <= MOST_PATTERNS;
    }
    const fits = sizes[size]! > 0 ? Math.floor((minutes + 1e-9) / sizes[size]!) : count;
    for (let taken = Math.min(most[size]!, count, fits); taken >= 0; taken--) {
      pattern[size] = taken;
      if (!visit(size - 1, minutes - taken * sizes[size]!, count - taken)) return false;
    }
    pattern[size] = 0;
    return true;
  };
  return visit(sizes.length - 1, input.minutes, input.count) ? found : null;
}
