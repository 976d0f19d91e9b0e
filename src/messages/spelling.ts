import type { SpellingTrap } from '../core/words/starts.ts';

/** Sounds as an adult would write them, by their symbols. */
const SOUND_WORDS: Readonly<Record<string, string>> = {
  ...{
    AA: 'o',
    AE: 'a',
    AH: 'u',
    AO: 'aw',
    AW: 'ow',
    AY: 'igh',
    EH: 'e',
    ER: 'er',
    EY: 'ay',
    IH: 'i',
    IY: 'ee',
    OW: 'oh',
  },
  ...{
    OY: 'oy',
    UH: 'oo',
    UW: 'oo',
    B: 'b',
    CH: 'ch',
    D: 'd',
    DH: 'th',
    F: 'f',
    G: 'g',
    HH: 'h',
    JH: 'j',
    K: 'k',
    L: 'l',
  },
  ...{
    M: 'm',
    N: 'n',
    NG: 'ng',
    P: 'p',
    R: 'r',
    S: 's',
    SH: 'sh',
    T: 't',
    TH: 'th',
    V: 'v',
    W: 'w',
    Y: 'y',
    Z: 'z',
    ZH: 'zh',
  },
};

/** Why the spelling of a word misleads. */
export function describeTrap({ word, written, sound, usual }: SpellingTrap): string {
  const heard = SOUND_WORDS[sound] ?? sound;
  if (written.length > 1)
    return `${word} is written with ${written} and starts with the sound ${heard}, not ${SOUND_WORDS[usual] ?? usual}`;
  return `${word} is written with ${written}, but starts with the sound ${heard}`;
}
