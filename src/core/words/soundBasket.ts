import { type Accent, type Phone, type Pronunciations, wordPieces } from '../sounds/index.ts';
import { findStarts, firstSound, type SpellingTrap } from './starts.ts';

/** Things at hand for a first sound. */
export interface SoundBasket {
  /** Start with the sound. */
  readonly basket: readonly string[];
  /** Start with a sound that is made nearly alike, or are written with the same letter: good to tell apart. */
  readonly nearMisses: readonly string[];
  /** All that start otherwise. */
  readonly no: readonly string[];
  readonly traps: readonly SpellingTrap[];
  readonly unsure: readonly string[];
}

/** Sounds that small children take for one another: made at one place in the mouth, with or without voice. */
const NEAR: readonly (readonly Phone[])[] = [
  ['P', 'B'],
  ['T', 'D'],
  ['K', 'G'],
  ['F', 'V', 'TH'],
  ['S', 'Z', 'SH', 'TH'],
  ['SH', 'CH', 'JH', 'ZH'],
  ['TH', 'DH'],
  ['M', 'N'],
  ['L', 'R', 'W', 'Y'],
  ['W', 'V'],
  ['CH', 'T'],
  ['JH', 'D'],
  ['AE', 'EH', 'AH'],
  ['EH', 'IH', 'EY'],
  ['IH', 'IY'],
  ['AA', 'AO', 'AH', 'OW'],
  ['UH', 'UW'],
];

/** Sorts things (by the word a child says) for a first sound. No things: an empty basket. */
export function soundBasket(
  sound: Phone,
  things: readonly string[],
  known: Pronunciations,
  accent: Accent,
): SoundBasket {
  const { yes, no, traps, unsure } = findStarts(sound, things, known, accent);
  const near = new Set(NEAR.filter((group) => group.includes(sound)).flat());
  const misleading = new Set(traps.map(({ word }) => word));
  return {
    basket: yes,
    nearMisses: no.filter(
      (word) => misleading.has(word) || near.has(firstSound(wordPieces(word, known, accent)) ?? ''),
    ),
    no,
    traps,
    unsure,
  };
}
