/** One piece of a row, exchanged: where (from 0), and what lies there instead. */
export interface Fault {
  readonly at: number;
  readonly wrong: string;
}

/**
 * Where a row of a repeating unit can have one wrong piece so that only one exchange mends it: the places within the
 * second unit first, then the others, never the ends. Null when every fault could be mended in two ways, as in
 * red red blue · red blue blue, which is one step from two different patterns.
 */
export function clearFault(row: readonly string[], unitLength: number): Fault | null {
  const kinds = [...new Set(row)];
  const places = Array.from({ length: Math.max(0, row.length - 2) }, (_, index) => index + 1);
  const inSecond = (at: number) => at >= unitLength && at < 2 * unitLength;
  places.sort((left, right) => Number(inSecond(right)) - Number(inSecond(left)) || left - right);
  for (const at of places) {
    for (const wrong of kinds.filter((kind) => kind !== row[at])) {
      const laid = row.map((piece, index) => (index === at ? wrong : piece));
      if (mendings(laid, kinds) === 1) return { at, wrong };
    }
  }
  return null;
}

/** In how many ways exchanging one piece makes a row that repeats a unit of two or more kinds at least twice. */
function mendings(laid: readonly string[], kinds: readonly string[]): number {
  let count = 0;
  for (let at = 0; at < laid.length; at++) {
    for (const kind of kinds) {
      if (kind === laid[at]) continue;
      const mended = laid.map((piece, index) => (index === at ? kind : piece));
      if (repeats(mended)) count++;
    }
  }
  return count;
}

/** Whether a row holds two or more kinds and repeats some unit at least twice. */
function repeats(row: readonly string[]): boolean {
  if (new Set(row).size < 2) return false;
  for (let period = 2; period * 2 <= row.length; period++)
    if (row.every((piece, index) => index < period || piece === row[index - period])) return true;
  return false;
}
