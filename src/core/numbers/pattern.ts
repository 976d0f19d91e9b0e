/** A unit that repeats, how long the row is, and how many of each piece there are. */
export interface PatternInput {
  /** The repeating unit, at least one piece. */
  readonly unit: readonly string[];
  readonly length: number;
  readonly have: Readonly<Record<string, number>>;
}

/** A row laid out, what comes next, and which pieces are short. */
export interface PatternRow {
  readonly row: readonly string[];
  readonly next: string;
  readonly uses: Readonly<Record<string, number>>;
  /** How many pieces of each colour are lacking; only those that are. */
  readonly short: Readonly<Record<string, number>>;
}

/** A row that repeats its unit, what comes next, and whether there are enough pieces. Length 0 uses nothing. */
export function patternRow({ unit, length, have }: PatternInput): PatternRow {
  const row = Array.from({ length }, (_, index) => unit[index % unit.length]!);
  const uses = new Map<string, number>();
  for (const piece of row) uses.set(piece, (uses.get(piece) ?? 0) + 1);
  const short = [...uses].flatMap(([piece, needed]) => {
    const lacking = needed - (Object.hasOwn(have, piece) ? have[piece]! : 0);
    return lacking > 0 ? [[piece, lacking] as const] : [];
  });
  return { row, next: unit[length % unit.length]!, uses: Object.fromEntries(uses), short: Object.fromEntries(short) };
}
