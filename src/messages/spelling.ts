import { SPOKEN } from '../core/sounds/index.ts';
import type { SpellingTrap } from '../core/words/index.ts';

/** Sounds as an adult would write them, by their symbols: apart from words, three need other letters than in them. */
const SOUND_WORDS: Readonly<Record<string, string>> = { ...SPOKEN, AA: 'o', OW: 'oh', K: 'k' };

/** Why the spelling of a word misleads. */
export function describeTrap({ word, written, sound, usual }: SpellingTrap): string {
  const heard = SOUND_WORDS[sound] ?? sound;
  if (written.length > 1)
    return `${word} is written with ${written} and starts with the sound ${heard}, not ${SOUND_WORDS[usual] ?? usual}`;
  return `${word} is written with ${written}, but starts with the sound ${heard}`;
}
