import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** Numbers from 0 to below 1 that look like chance and are the same for the same whole seed. */
export function seededChance(seed: number): () => number {
  const generator = xoroshiro128plus(seed);
  return () => uniformFloat64(generator);
}

/** Puts a list or an array of numbers into an order by chance, in place (Fisher and Yates). */
export function shuffle<Item>(items: { readonly length: number; [index: number]: Item }, chance: () => number): void {
  for (let last = items.length - 1; last > 0; last--) {
    const other = Math.floor(chance() * (last + 1));
    const item = items[last]!;
    items[last] = items[other]!;
    items[other] = item;
  }
}
