import { toCardinal } from 'n2words/en-GB';

/** A whole number in English words. */
export function numberWord(number: number): string {
  return toCardinal(number);
}
