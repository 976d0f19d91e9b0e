import wavefile from 'wavefile';
import { err, ok, type Outcome } from '../../core/outcome.ts';
import { RECORDING_RATE } from '../../core/sounds/levelRecording.ts';

/** Seconds that a file may last before anything is cut off it. */
const LONGEST_SECONDS = 20;

/**
 * The first channel of an uncompressed WAV file, `RECORDING_RATE` samples a second from -1 to 1; otherwise what is wrong
 * with it, to be said after its name.
 */
export function readWav(bytes: Uint8Array): Outcome<Float32Array, string> {
  try {
    const wav = new wavefile.WaveFile(bytes);
    const { audioFormat, sampleRate, numChannels } = wav.fmt as Record<string, number>;
    if (![1, 3, 65534].includes(audioFormat!)) return err('must be a WAV file without compression');
    const length = (wav.data as { samples: Uint8Array }).samples.length / (Number(wav.bitDepth.replace(/\D/g, '')) / 8);
    if (!(length / numChannels! / sampleRate! <= LONGEST_SECONDS))
      return err(`must last at most ${LONGEST_SECONDS} seconds`);
    wav.toBitDepth('32f');
    if (sampleRate !== RECORDING_RATE) wav.toSampleRate(RECORDING_RATE, { method: 'cubic' });
    const samples = wav.getSamples(false) as unknown as Float64Array | Float64Array[];
    const first = Array.isArray(samples) ? samples[0]! : samples;
    return ok(Float32Array.from(first, (sample) => (Number.isFinite(sample) ? Math.max(-1, Math.min(1, sample)) : 0)));
  } catch {
    return err('is not a WAV file that can be read');
  }
}

/** A WAV file of samples from -1 to 1: one channel, 16 bits. */
export function writeWav(samples: Float32Array): Uint8Array {
  const wav = new wavefile.WaveFile();
  wav.fromScratch(
    1,
    RECORDING_RATE,
    '16',
    samples.map((sample) => Math.round(sample * 32767)),
  );
  return wav.toBuffer();
}
