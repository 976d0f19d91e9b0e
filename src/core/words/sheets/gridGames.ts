import { seededChance, shuffle } from '../../chance.ts';

/** Words dealt to places one after the other, so that each is met as often as any other, but for one; by chance within a round. */
function dealt(words: readonly string[], places: number, chance: () => number): string[] {
  const cells: string[] = [];
  while (cells.length < places) {
    const round = [...words];
    shuffle(round, chance);
    // What ended a round does not begin the next, where there is another.
    if (round.length > 1 && round[0] === cells.at(-1)) round.push(round.shift()!);
    cells.push(...round);
  }
  return cells.slice(0, places);
}

const SIDE = 3;

/** Boards of three by three words, each other; with nine words or more none stands twice on a board. */
export function threeInARow(
  words: readonly string[],
  { boards, seed }: { boards: number; seed: number },
): string[][][] {
  const chance = seededChance(seed);
  return Array.from({ length: boards }, () => {
    const cells = dealt(words, SIDE * SIDE, chance);
    return Array.from({ length: SIDE }, (_, row) => cells.slice(row * SIDE, (row + 1) * SIDE));
  });
}

/** Six lines, one for each face of a die, with so many words each: throw, and read the next word of that line. */
export function diceLines(words: readonly string[], { perLine, seed }: { perLine: number; seed: number }): string[][] {
  const cells = dealt(words, 6 * perLine, seededChance(seed));
  return Array.from({ length: 6 }, (_, face) => cells.slice(face * perLine, (face + 1) * perLine));
}

/** A path of so many places, a word on each. */
export function wordPath(words: readonly string[], { places, seed }: { places: number; seed: number }): string[] {
  return dealt(words, places, seededChance(seed));
}
