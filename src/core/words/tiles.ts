/** How many of each letter a set of words takes, one word after the other and all at once. */
export interface TileCount {
  /** Tiles when words are made one after another: the largest count of each letter. */
  readonly inTurn: Record<string, number>;
  /** Tiles when all words stay out: the sum. */
  readonly atOnce: Record<string, number>;
  readonly inTurnTotal: number;
  readonly atOnceTotal: number;
  /** Letters a set at home lacks for all words at once; only when the set is given. */
  readonly short?: Record<string, number>;
}

/** Letter tiles for a set of words, letters in the order they first appear. No words need no tiles. */
export function letterTiles(words: readonly string[], have?: Readonly<Record<string, number>>): TileCount {
  const inTurn = new Map<string, number>();
  const atOnce = new Map<string, number>();
  for (const word of words) {
    const here = new Map<string, number>();
    for (const letter of word) here.set(letter, (here.get(letter) ?? 0) + 1);
    for (const [letter, count] of here) {
      inTurn.set(letter, Math.max(inTurn.get(letter) ?? 0, count));
      atOnce.set(letter, (atOnce.get(letter) ?? 0) + count);
    }
  }
  const total = (counts: Map<string, number>) => [...counts.values()].reduce((sum, count) => sum + count, 0);
  const answer = {
    inTurn: Object.fromEntries(inTurn),
    atOnce: Object.fromEntries(atOnce),
    inTurnTotal: total(inTurn),
    atOnceTotal: total(atOnce),
  };
  if (!have) return answer;
  const short = [...atOnce].flatMap(([letter, count]) => {
    const lacking = count - (Object.hasOwn(have, letter) ? have[letter]! : 0);
    return lacking > 0 ? [[letter, lacking] as const] : [];
  });
  return { ...answer, short: Object.fromEntries(short) };
}
