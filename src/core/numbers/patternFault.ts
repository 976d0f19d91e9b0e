/** One piece of a row, exchanged: where (from 0), and what lies there instead. */
export interface Fault {
  readonly at: number;
  readonly wrong: string;
}

/**
 * Where a row of a repeating unit can have one wrong piece so that only one exchange mends it, to a unit no longer than
 * its own: the places within the second unit first, then the others, never the ends. Null when every fault could be
 * mended in two ways, as in red red blue · red blue blue, which is one step from two patterns of three.
 */
export function clearFault(row: readonly string[], unitLength: number): Fault | null {
  const kinds = [...new Set(row)];
  const places = Array.from({ length: Math.max(0, row.length - 2) }, (_, index) => index + 1);
  const inSecond = (at: number) => at >= unitLength && at < 2 * unitLength;
  places.sort((left, right) => Number(inSecond(right)) - Number(inSecond(left)) || left - right);
  for (const at of places) {
    for (const wrong of kinds.filter((kind) => kind !== row[at])) {
      const laid = row.map((piece, index) => (index === at ? wrong : piece));
      if (mendings(laid, kinds, unitLength) === 1) return { at, wrong };
    }
  }
  return null;
}

/** In how many ways exchanging one piece makes a row of two or more kinds that repeats a unit, at most so long, at least twice. */
function mendings(laid: readonly string[], kinds: readonly string[], longest: number): number {
  let count = 0;
  for (let at = 0; at < laid.length; at++) {
    for (const kind of kinds) {
      if (kind === laid[at]) continue;
      const mended = laid.map((piece, index) => (index === at ? kind : piece));
      if (repeats(mended, longest)) count++;
    }
  }
  return count;
}

function repeats(row: readonly string[], longest: number): boolean {
  if (new Set(row).size < 2) return false;
  for (let period = 2; period <= longest && period * 2 <= row.length; period++)
    if (row.every((piece, index) => index < period || piece === row[index - period])) return true;
  return false;
}
