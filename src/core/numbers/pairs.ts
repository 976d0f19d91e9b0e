/** Pairs up to a largest number, both ways round or once, of one total or of any. */
export interface PairCardsInput {
  /** The highest total when ordered, the highest part when not. Whole, from 0. */
  readonly max: number;
  readonly ordered: boolean;
  /** Only pairs with this sum. */
  readonly total?: number | undefined;
}

/** Pairs of parts: ordered, all (a,b) with a+b ≤ max; unordered, all {a,b} with 0 ≤ a ≤ b ≤ max. In rising order. */
export function pairCards({ max, ordered, total }: PairCardsInput): { count: number; pairs: [number, number][] } {
  const pairs: [number, number][] = [];
  for (let first = 0; first <= max; first++) {
    const [from, to] = ordered ? [0, max - first] : [first, max];
    if (total === undefined) for (let second = from; second <= to; second++) pairs.push([first, second]);
    else if (total - first >= from && total - first <= to) pairs.push([first, total - first]);
  }
  return { count: pairs.length, pairs };
}
