import type { MakerProblem } from '../core/session/makerProblem.ts';

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
