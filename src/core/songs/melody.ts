/** A note: its pitch in half tones above C0, when it starts and how long it lasts, in beats. */
export interface MelodyNote {
  /** Semitones above C0. */
  readonly pitch: number;
  readonly name: string;
  /** Beats from the start of the line. */
  readonly at: number;
  readonly beats: number;
}

const SEMITONES: Readonly<Record<string, number>> = { C: 0, D: 2, E: 4, F: 5, G: 7, A: 9, B: 11 };

/** Reads a line of a tune, such as "C4:1 D4:0.5"; what is not a note is left out. An empty line has no notes. */
export function readMelodyLine(line: string): MelodyNote[] {
  let at = 0;
  return line.split(/\s+/).flatMap((written) => {
    const match = /^([A-G])([#b]?)([2-6]):(\d+(?:\.\d+)?)$/.exec(written);
    if (!match) return [];
    const [, letter, accidental, octave, beats] = match;
    const pitch = SEMITONES[letter!]! + (accidental === '#' ? 1 : accidental === 'b' ? -1 : 0) + Number(octave) * 12;
    const note = { pitch, name: `${letter}${accidental}`, at, beats: Number(beats) };
    at += note.beats;
    return [note];
  });
}
