import { seededChance, shuffle } from '../../chance.ts';
import { byCodeUnit } from '../../ordering.ts';

/** A row of a word hunt: a word to be found once among others that look like it. */
export interface HuntRow {
  readonly target: string;
  readonly words: readonly string[];
}

/** How alike two words look, from 0 to 1: letters at the same place, letters in common, and length. The same word has 1. */
export function likeness(one: string, other: string): number {
  const longest = Math.max(one.length, other.length, 1);
  const samePlace = [...one].filter((letter, at) => other[at] === letter).length;
  const rest = [...other];
  const shared = [...one].filter((letter) => {
    const at = rest.indexOf(letter);
    if (at >= 0) rest.splice(at, 1);
    return at >= 0;
  }).length;
  const isSameStart = one[0] === other[0];
  return (
    (samePlace * 0.6 + shared * 0.3) / longest + (isSameStart ? 0.05 : 0) + (one.length === other.length ? 0.05 : 0)
  );
}

/**
 * A row for each word with `others` look-alikes from the words of the sheet and from `pool`; the harder, the more alike. The word
 * itself stands in its row once. The same whole seed gives the same sheet.
 */
export function wordHunt(
  words: readonly string[],
  { pool, others, isHard, seed }: { pool: readonly string[]; others: number; isHard: boolean; seed: number },
): HuntRow[] {
  const chance = seededChance(seed);
  return words.map((target) => {
    const candidates = [...new Set([...words, ...pool])]
      .filter((word) => word !== target)
      .map((word) => ({ word, alike: likeness(word, target) }))
      .sort(
        (one, other) =>
          (isHard ? other.alike - one.alike : one.alike - other.alike) || byCodeUnit(one.word, other.word),
      );
    const near = candidates.slice(0, Math.max(others, Math.min(candidates.length, others * 3)));
    shuffle(near, chance);
    const row = [target, ...near.slice(0, others).map(({ word }) => word)];
    shuffle(row, chance);
    return { target, words: row };
  });
}
