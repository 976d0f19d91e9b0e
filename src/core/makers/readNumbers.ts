import type { MakerProblem } from '../session/makerProblem.ts';
import { type Outcome, err, ok } from '../outcome.ts';

/** Reads whole numbers from a list dial: blanks or commas between, each within a range; a sentence when one is not. */
export function readNumbers(
  text: string,
  { dial, least, most, count }: { dial: string; least: number; most: number; count: number },
): Outcome<number[], MakerProblem> {
  const written = text.split(/[\s,;]+/).filter(Boolean);
  if (written.length > count)
    return err({ code: 'list', dial, reason: `takes at most ${count} numbers, not ${written.length}` });
  const numbers: number[] = [];
  for (const word of written) {
    const number = Number(word);
    if (!/^\d+$/.test(word) || number < least || number > most)
      return err({
        code: 'list',
        dial,
        reason: `takes whole numbers from ${least} to ${most}, so “${word.slice(0, 20)}” was not taken`,
      });
    numbers.push(number);
  }
  return ok(numbers);
}
