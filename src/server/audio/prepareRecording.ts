import { err, ok, type Outcome } from '../../core/outcome.ts';
import { levelRecording, LONGEST_SOUND_MS } from '../../core/sounds/index.ts';
import { readWav, writeWav } from './wav.ts';

/** A recording as it is kept: a WAV file of one sound, and how long it lasts. */
export interface PreparedRecording {
  readonly audio: Uint8Array;
  readonly milliseconds: number;
}

/** Reads, cuts and levels a recording of one sound; otherwise what is wrong with it, to be said after its name. */
export function prepareRecording(file: Uint8Array): Outcome<PreparedRecording, string> {
  const wav = readWav(file);
  if (!wav.ok) return err(wav.problem);
  const { samples, rate } = wav.value;
  // Cut before anything else is done to it: what follows is then never longer than a sound.
  const levelled = levelRecording(samples, rate);
  if (!levelled.ok)
    return err(
      levelled.problem.code === 'silent'
        ? 'has no sound in it; say it closer to the microphone'
        : `lasts ${(levelled.problem.milliseconds / 1000).toFixed(1)} seconds; say the sound alone, in less than ${LONGEST_SOUND_MS / 1000}`,
    );
  const milliseconds = Math.max(1, Math.round((levelled.value.length * 1000) / rate));
  return ok({ audio: writeWav({ samples: levelled.value, rate }), milliseconds });
}
