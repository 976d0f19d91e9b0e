import { seededChance, shuffle } from '../../chance.ts';
import { likeness } from './wordHunt.ts';

/**
 * Words on the left and once more on the right, none opposite itself where there are at least two; lines join them. The same whole
 * seed gives the same sheet. No words: none on either side.
 */
export function matchAcross(
  words: readonly string[],
  seed: number,
): { left: readonly string[]; right: readonly string[] } {
  const left = [...words];
  const turned = [...words];
  const chance = seededChance(seed);
  shuffle(left, chance);
  shuffle(turned, chance);
  // One after the other goes to the place of the next: nobody stays opposite itself.
  const right = left.map((word) => turned[(turned.indexOf(word) + 1) % turned.length]!);
  return { left, right };
}

/** Rows of fields in which each word stands equally often, none beside or below itself where that can be; each word gets its colour. */
export function wordColours(
  words: readonly string[],
  { times, perRow, seed }: { times: number; perRow: number; seed: number },
): string[][] {
  const chance = seededChance(seed);
  const left = new Map(words.map((word) => [word, times]));
  const placed: string[] = [];
  for (let at = 0; at < words.length * times; at++) {
    const mixed = words.filter((word) => left.get(word)! > 0);
    shuffle(mixed, chance);
    const isApart = (word: string) => (at % perRow === 0 || placed[at - 1] !== word) && placed[at - perRow] !== word;
    const most = Math.max(...mixed.map((word) => left.get(word)!));
    // Words of which most are left go first, so that the end does not hold the same one many times.
    const next = mixed.find((word) => isApart(word) && left.get(word) === most) ?? mixed.find(isApart) ?? mixed[0]!;
    placed.push(next);
    left.set(next, left.get(next)! - 1);
  }
  return Array.from({ length: Math.ceil(placed.length / perRow) }, (_, row) =>
    placed.slice(row * perRow, (row + 1) * perRow),
  );
}

/** Fields of a sheet on which one word is ringed and counted. */
const FIELDS = 24;
const LEAST = 5;
const MOST = 9;

/**
 * A word to ring, five to nine times among others that look like it: 24 fields, the other words of the sheet at least once each. At
 * most fifteen other words.
 */
export function circleEvery(
  target: string,
  { others, pool, seed }: { others: readonly string[]; pool: readonly string[]; seed: number },
): { fields: readonly string[]; count: number } {
  const chance = seededChance(seed);
  const count = LEAST + Math.floor(chance() * (MOST - LEAST + 1));
  const near = [...new Set([...others, ...pool])]
    .filter((word) => word !== target)
    .sort((one, other) => likeness(other, target) - likeness(one, target));
  const rest = [...new Set([...others.filter((word) => word !== target), ...near.slice(0, 6)])];
  const fields = Array.from({ length: FIELDS }, (_, index) =>
    index < count ? target : rest[(index - count) % rest.length]!,
  );
  shuffle(fields, chance);
  return { fields, count };
}
