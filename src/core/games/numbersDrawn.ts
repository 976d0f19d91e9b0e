import type { GameRules } from './gameRules.ts';

/**
 * What the numbers of a game come by: to six a die, bought or folded from its net; to any other number slips of paper, one
 * each, drawn from a bowl and put back. List, paper, words and simulation follow it.
 */
export interface NumbersDrawn {
  readonly by: 'die' | 'slips';
  /** What the sides of the die say, or the slips. */
  readonly numbers: readonly number[];
}

const OF_A_DIE = 6;

/** How the numbers 1 to `faces` are drawn, each as often as any other. `faces` at least 1. */
export function numbersTo(faces: number): NumbersDrawn {
  return {
    by: faces === OF_A_DIE ? 'die' : 'slips',
    numbers: Array.from({ length: faces }, (_, index) => index + 1),
  };
}

/** How a game draws its numbers; null for one that has none. */
export function numbersDrawn({ game, faces }: Pick<GameRules, 'game' | 'faces'>): NumbersDrawn | null {
  return game === 'race' || game === 'path' || game === 'fill' ? numbersTo(faces) : null;
}
