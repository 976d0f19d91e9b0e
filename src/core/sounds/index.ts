/** Sounds and letters of English in two accents: pronunciations, the pieces of a word, recordings. */

export { type Accent, ACCENTS } from './accents.ts';
export { FIRST_SOUNDS } from './correspondences.ts';
export { EVERYDAY_WORDS } from './everydayWords.ts';
export { letterNames } from './letterNames.ts';
export { levelRecording, LONGEST_SOUND_MS, RECORDING_RATE } from './levelRecording.ts';
export { OVERRIDE_BY_WORD } from './overrides.ts';
export { CONSONANTS, isVowel, type Phone, shown, syllablesIn, VOWELS } from './phones.ts';
export { packedPronunciations, type Pronunciations } from './pronunciations.ts';
export { SOUND_UNIT, SOUND_UNITS, type SoundUnit } from './soundUnits.ts';
export { SPOKEN, spokenPieces } from './spokenPieces.ts';
export { readingsInPieces, soundsOf, trickyPiece, wordPieces, type WordPieces } from './wordPieces.ts';
