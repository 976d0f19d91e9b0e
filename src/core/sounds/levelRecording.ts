import { err, ok, type Outcome } from '../outcome.ts';

/** Samples a second that a recording is kept with: the hiss of s and f reaches to 14 kHz, and less would make them alike. */
export const RECORDING_RATE = 32_000;
/** Milliseconds that one sound may last, after what is silent before and behind it was cut off. */
export const LONGEST_SOUND_MS = 2000;

const FRAME_MS = 10;
/** Kept before and behind what is heard, so that a soft start and the end of a held sound stay. */
const MARGIN_FRAMES = { before: 4, behind: 6 };
const FADE_MS = 5;
/** Louder than a quiet room: below it nobody spoke. */
const LEAST_LOUDNESS = 0.004;
/** Of the loudest moment; what is softer counts as silence. */
const HEARD_FROM = 0.06;
/** Over the noise of the room. */
const OVER_NOISE = 2.5;
/** Mean loudness and highest peak that every recording is brought to, of full scale: all sounds of a list are equally loud. */
const LOUDNESS = 0.12;
const PEAK = 0.89;
const MOST_GAIN = 40;

/** Why a recording is not kept: nothing is heard in it, or what is heard lasts longer than a sound. */
export type RecordingProblem = { readonly code: 'silent' } | { readonly code: 'long'; readonly milliseconds: number };

/**
 * A recording of one sound with the silence around it cut off and brought to the loudness that all have. Samples are of
 * one channel, from -1 to 1, `rate` a second. Empty or silent ones are refused, likewise longer ones than two seconds.
 */
export function levelRecording(samples: Float32Array, rate: number): Outcome<Float32Array, RecordingProblem> {
  const steady = withoutOffset(samples);
  const size = Math.max(1, Math.round((rate * FRAME_MS) / 1000));
  const frames = Array.from({ length: Math.floor(steady.length / size) }, (_, frame) =>
    loudnessOf(steady.subarray(frame * size, (frame + 1) * size)),
  );
  const loudest = frames.reduce((most, loudness) => Math.max(most, loudness), 0);
  if (loudest < LEAST_LOUDNESS) return err({ code: 'silent' });
  const noise = [...frames].sort((one, other) => one - other)[Math.floor(frames.length / 10)]!;
  const threshold = Math.max(loudest * HEARD_FROM, Math.min(noise * OVER_NOISE, loudest / 2));
  const isHeard = (loudness: number) => loudness >= threshold;
  const first = Math.max(0, frames.findIndex(isHeard) - MARGIN_FRAMES.before);
  const last = Math.min(frames.length - 1, frames.findLastIndex(isHeard) + MARGIN_FRAMES.behind);
  const milliseconds = (last - first + 1) * FRAME_MS;
  if (milliseconds > LONGEST_SOUND_MS) return err({ code: 'long', milliseconds });
  const heard = frames.filter(isHeard);
  const mean = Math.sqrt(heard.reduce((sum, loudness) => sum + loudness ** 2, 0) / heard.length);
  return ok(faded(steady.slice(first * size, (last + 1) * size), { mean, fade: Math.round((rate * FADE_MS) / 1000) }));
}

/** A cheap microphone adds a constant, which would be a click at both ends. */
function withoutOffset(samples: Float32Array): Float32Array {
  const offset = samples.reduce((sum, sample) => sum + sample, 0) / Math.max(1, samples.length);
  return samples.map((sample) => sample - offset);
}

function loudnessOf(samples: Float32Array): number {
  return Math.sqrt(samples.reduce((sum, sample) => sum + sample ** 2, 0) / Math.max(1, samples.length));
}

function faded(samples: Float32Array, { mean, fade }: { mean: number; fade: number }): Float32Array {
  const peak = samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
  const gain = Math.min(LOUDNESS / mean, PEAK / peak, MOST_GAIN);
  return samples.map((sample, index) => {
    const fromEnd = Math.min(index, samples.length - 1 - index);
    return sample * gain * Math.min(1, fromEnd / fade);
  });
}
