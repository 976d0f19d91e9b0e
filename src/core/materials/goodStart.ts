import type { CapacityRow, RowNeed, RowOption } from './rows.ts';

/** Times all needs are gone through to better an answer. */
const ROUNDS = 8;
const CAPACITY_TOLERANCE = 1e-9;

/**
 * A good answer to begin a search with: the needs that take least come first, each with the best thing that is left; then,
 * for a fixed number of rounds, each need changes to what gains more, and one that goes without takes the place of what it is
 * worth more than. Null where a need that must take one was left out. No needs: nothing gained.
 */
export function goodStart(
  needs: readonly RowNeed[],
  rows: readonly CapacityRow[],
): { gain: number; picks: (number | null)[] } | null {
  const taken = new Taken(needs, rows);
  const order = needs.map((_, index) => index);
  const least = ({ options }: RowNeed) => Math.min(...options.map(({ qty }) => qty));
  order.sort((one, other) => least(needs[one]!) - least(needs[other]!) || one - other);
  for (const need of order) taken.better(need);
  for (let round = 0; round < ROUNDS; round++) {
    let hasChanged = false;
    for (const need of order) if (taken.better(need) || taken.makeRoom(need, order)) hasChanged = true;
    if (!hasChanged) break;
  }
  if (needs.some(({ mustTake }, index) => mustTake && taken.options[index] === null)) return null;
  return {
    gain: taken.options.reduce((sum, option) => sum + (option?.gain ?? 0), 0),
    picks: taken.options.map((option) => option?.index ?? null),
  };
}

/** What each need takes at the moment, and what that leaves. */
class Taken {
  readonly options: (RowOption | null)[];
  private readonly needs: readonly RowNeed[];
  private readonly remaining: number[];

  constructor(needs: readonly RowNeed[], rows: readonly CapacityRow[]) {
    this.needs = needs;
    this.options = needs.map(() => null);
    this.remaining = rows.map(({ capacity }) => capacity);
  }

  /** Takes the best that fits instead of what is taken, where that gains; whether it did. */
  better(need: number): boolean {
    const now = this.options[need]!;
    const best = this.bestWithout(need, now);
    if (!best || best.gain <= (now?.gain ?? 0)) return false;
    this.take(need, best);
    return true;
  }

  /** Has another need change to something else, or go without, so that one without is served and more is gained; whether it did. */
  makeRoom(need: number, others: readonly number[]): boolean {
    if (this.options[need] !== null) return false;
    for (const option of this.needs[need]!.options)
      for (const other of others) {
        const now = this.options[other];
        if (!now?.rows.some((row) => option.rows.includes(row))) continue;
        this.take(other, null);
        if (this.fits(option)) {
          this.take(need, option);
          const instead = this.bestWithout(other, null);
          if (option.gain + (instead?.gain ?? 0) > now.gain) {
            this.take(other, instead);
            return true;
          }
          this.take(need, null);
        }
        this.take(other, now);
      }
    return false;
  }

  private fits({ qty, rows }: RowOption): boolean {
    return rows.every((row) => qty <= this.remaining[row]! + CAPACITY_TOLERANCE);
  }

  private load(option: RowOption | null, sign: 1 | -1): void {
    for (const row of option?.rows ?? []) this.remaining[row]! -= sign * option!.qty;
  }

  private take(need: number, option: RowOption | null): void {
    this.load(this.options[need]!, -1);
    this.options[need] = option;
    this.load(option, 1);
  }

  /** The best that would fit if what a need takes were given back. */
  private bestWithout(need: number, now: RowOption | null): RowOption | null {
    this.load(now, -1);
    const best = this.needs[need]!.options.find((option) => this.fits(option)) ?? null;
    this.load(now, 1);
    return best;
  }
}
