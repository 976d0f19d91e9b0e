/** Counters for pots that hold from, from+1, … to: their sum, and how many pots (an empty pot for 0 counts). Whole numbers, from ≤ to. */
export function numberPots(from: number, to: number): { counters: number; pots: number } {
  return { counters: sumOfRun(from, to), pots: to - from + 1 };
}

/** Strips with from, from+1, … to marks: how many strips and how many marks in all. Whole numbers, from ≤ to. */
export function markedStrips(from: number, to: number): { strips: number; marks: number } {
  return { strips: to - from + 1, marks: sumOfRun(from, to) };
}

function sumOfRun(from: number, to: number): number {
  return ((from + to) * (to - from + 1)) / 2;
}
