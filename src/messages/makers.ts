import type { MakerProblem } from '../core/makers/maker.ts';

/** Why a maker's values are refused, with the range; what stood before still stands. */
export function describeMakerProblem(problem: MakerProblem): string {
  switch (problem.code) {
    case 'out-of-range':
      return `“${problem.dial}” takes a whole number from ${problem.min} to ${problem.max}, so “${short(problem.value)}” was not taken.`;
    case 'no-such-choice':
      return `“${problem.dial}” offers ${problem.choices.join(', ')}, so “${short(problem.value)}” was not taken.`;
    case 'list':
      return `“${problem.dial}” ${problem.reason}.`;
    case 'breaks-level':
      return `${problem.reason.charAt(0).toUpperCase()}${problem.reason.slice(1)}.`;
  }
}

function short(value: unknown): string {
  return String(value).slice(0, 40);
}

/** What the cautions of actions ask for, in a few words; the full sentences stand in the guide. */
export const ACTION_WORDS: Readonly<Record<string, string>> = {
  scissors: 'scissors: seated, within reach; tearing will do',
  movement: 'clear the floor, socks off',
  water: 'water: within reach, emptied straight after',
  cords: 'string: not for the youngest',
  bags: 'bags: paper or cloth, and an adult beside them',
  handled: 'coins: not where anybody is under three; wash hands after',
};
