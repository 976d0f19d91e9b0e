import { readMelodyLine } from './melody.ts';
import { TUNES } from './tunes.ts';

/**
 * The notes of each line of a song's tune, a letter each, as `fitTune` takes them: its own melody, or else the traditional tune
 * of that name. Nobody knows the notes of another tune: none.
 */
export function notesOfTune({ tune, melody = [] }: { tune: string; melody?: readonly string[] | undefined }): string[] {
  const named = tune.trim().toLowerCase();
  const lines = melody.length > 0 ? melody : (TUNES.find(({ name }) => name.toLowerCase() === named)?.lines ?? []);
  const notes = lines.map((line) => 'S'.repeat(readMelodyLine(line).length));
  return notes.every((line) => line.length > 0) ? notes : [];
}
