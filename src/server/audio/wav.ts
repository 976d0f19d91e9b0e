import wavefile from 'wavefile';
import { err, ok, type Outcome } from '../../core/outcome.ts';
import { RECORDING_RATE } from '../../core/sounds/levelRecording.ts';

/** Seconds that a file may last before anything is cut off it. */
const LONGEST_SECONDS = 20;
/** Samples a second that a file may have; a telephone has the fewest, a studio the most. */
const RATES = { least: 8000, most: 96_000 };
/** Numbers of formats without compression: whole, real, and either of them with an extended head. */
const PLAIN_FORMATS = [1, 3, 65534];

/** One channel of samples from -1 to 1, so many a second. */
export interface Samples {
  readonly samples: Float32Array;
  readonly rate: number;
}

/** The first channel of an uncompressed WAV file; otherwise what is wrong with it, to be said after its name. */
export function readWav(bytes: Uint8Array): Outcome<Samples, string> {
  try {
    const wav = new wavefile.WaveFile(bytes);
    const { audioFormat, sampleRate, numChannels } = wav.fmt as Record<string, number>;
    if (!PLAIN_FORMATS.includes(audioFormat!)) return err('must be a WAV file without compression');
    if (!(sampleRate! >= RATES.least && sampleRate! <= RATES.most))
      return err(`must have ${RATES.least} to ${RATES.most} samples a second`);
    const length = (wav.data as { samples: Uint8Array }).samples.length / (Number(wav.bitDepth.replace(/\D/g, '')) / 8);
    if (!(length / numChannels! / sampleRate! <= LONGEST_SECONDS))
      return err(`must last at most ${LONGEST_SECONDS} seconds`);
    wav.toBitDepth('32f');
    const read = wav.getSamples(false) as unknown as Float64Array | Float64Array[];
    const first = Array.isArray(read) ? read[0]! : read;
    const samples = Float32Array.from(first, (sample) =>
      Number.isFinite(sample) ? Math.max(-1, Math.min(1, sample)) : 0,
    );
    return ok({ samples, rate: sampleRate! });
  } catch {
    return err('is not a WAV file that can be read');
  }
}

/** A WAV file of samples: one channel, 16 bits, `RECORDING_RATE` samples a second. */
export function writeWav({ samples, rate }: Samples): Uint8Array {
  const wav = new wavefile.WaveFile();
  wav.fromScratch(
    1,
    rate,
    '16',
    samples.map((sample) => Math.round(sample * 32767)),
  );
  if (rate !== RECORDING_RATE) wav.toSampleRate(RECORDING_RATE, { method: 'cubic' });
  return wav.toBuffer();
}
