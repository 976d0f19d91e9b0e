import { ok, type Outcome } from '../outcome.ts';
import { refuseList, type Refusal } from './maker.ts';

/** Reads whole numbers from a list dial: blanks or commas between, each within a range; a refusal when one is not. */
export function readNumbers(
  text: string,
  { dial, least, most, count }: { dial: string; least: number; most: number; count: number },
): Outcome<number[], Refusal> {
  const written = text.split(/[\s,;]+/).filter(Boolean);
  if (written.length > count) return refuseList(dial, 'makers/too-many-numbers', { count, written: written.length });
  const numbers: number[] = [];
  for (const word of written) {
    const number = Number(word);
    if (!/^\d+$/.test(word) || number < least || number > most)
      return refuseList(dial, 'makers/not-a-number', { least, most, word: word.slice(0, 20) });
    numbers.push(number);
  }
  return ok(numbers);
}
