/** Tunes, and how words lie on them. */

export { type MelodyNote, readMelodyLine } from './melody.ts';
export { MOST_SONG_LINES, type PlacedLine, placeWords } from './placeWords.ts';
export { notesOfTune } from './notesOfTune.ts';
export { fitTune, sungWords } from './tuneFit.ts';
export { findTune, type Tune, TUNES } from './tunes.ts';
