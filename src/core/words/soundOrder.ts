import { USUAL_ORDER, type SoundOrder } from './segmentWord.ts';
import { graphemesIn } from './soundSequence.ts';

/** Groups of an order, at most; a letter a week has 26. */
export const MOST_GROUPS = 30;

/** What of a written order is no letter or letters that we know a sound for, as it was written; empty where all is known. */
export function unknownInOrder(text: string): string[] {
  return text
    .split('\n')
    .flatMap((line) => line.trim().split(/[\s,;·]+/))
    .filter((part) => part !== '' && graphemesIn(part).length === 0);
}

/** The order in which a programme teaches sounds, a group to a line; our own where it says none. */
export function readSoundOrder(text: string | undefined): SoundOrder {
  const groups = (text ?? '')
    .split('\n')
    .map(graphemesIn)
    .filter((group) => group.length > 0)
    .slice(0, MOST_GROUPS);
  return groups.length > 0 ? groups : USUAL_ORDER;
}

/** An order as it is written, a group to a line. */
export function writeSoundOrder(order: SoundOrder): string {
  return order.map((group) => group.join(' ').replaceAll('_', '-')).join('\n');
}
