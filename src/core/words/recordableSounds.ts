import { FIRST_SOUNDS, SOUND_UNITS } from '../sounds/index.ts';
import { taughtGraphemes, type SoundOrder } from './segmentWord.ts';

/** A sound that a programme says once for all letters that stand for it. */
export interface RecordableSound {
  /** Its name in addresses: its symbols in small letters, such as `sh` or `k-s`. */
  readonly sound: string;
  /** The letters that stand for it first, in the order in which they are taught. */
  readonly letters: readonly string[];
  /** How an adult writes it, where we know; otherwise its first letters. */
  readonly spoken: string;
  /** A word in which it is heard, where we know one. */
  readonly word?: string | undefined;
}

/** The name of the sound of symbols such as `K S`. */
export const soundName = (symbols: string): string => symbols.toLowerCase().replaceAll(' ', '-');

/** The name of the sound that letters have first; undefined for letters without one. Those of bank speak as one here. */
export function firstSoundName(grapheme: string): string | undefined {
  const symbols = grapheme === 'nk' ? 'NG K' : FIRST_SOUNDS.get(grapheme);
  return symbols === undefined ? undefined : soundName(symbols);
}

/** Each sound of an order once, in that order, then those of the early letters that it leaves out. */
export function recordableSounds(order: SoundOrder): readonly RecordableSound[] {
  const early = new Map(SOUND_UNITS.map((unit) => [unit.grapheme, unit]));
  const letters = new Map<string, string[]>();
  for (const grapheme of [...taughtGraphemes(order), ...early.keys()]) {
    const name = firstSoundName(grapheme);
    if (name === undefined) continue;
    const known = letters.get(name) ?? [];
    if (!known.includes(grapheme)) letters.set(name, [...known, grapheme]);
  }
  return [...letters].map(([sound, graphemes]) => {
    const unit = graphemes.map((grapheme) => early.get(grapheme)).find((found) => found !== undefined);
    return { sound, letters: graphemes, spoken: unit?.spoken ?? graphemes[0]!, word: unit?.word };
  });
}
