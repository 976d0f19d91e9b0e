import wavefile from 'wavefile';
import { err, ok, type Outcome } from '../../core/outcome.ts';
import { RECORDING_RATE } from '../../core/sounds/index.ts';
import { findSoundChunks, wavOfChunks, type SoundChunks } from './soundChunks.ts';

/** Seconds that a file may last before anything is cut off it. */
const LONGEST_SECONDS = 20;
/** Samples a second that a file may have; a telephone has the fewest, a studio the most. */
const RATES = { least: 8000, most: 96_000 };
/** A microphone has one or two; what claims thousands is no recording of a voice. */
const MOST_CHANNELS = 2;
const BITS = [8, 16, 24, 32, 64];
/** Numbers of formats without compression: whole, real, and either of them with an extended head. */
const PLAIN_FORMATS = [1, 3, 65534];

/** One channel of samples from -1 to 1, so many a second. */
export interface Samples {
  readonly samples: Float32Array;
  readonly rate: number;
}

/**
 * The first channel of an uncompressed WAV file; otherwise what is wrong with it, to be said after its name. What the
 * head claims is held against the bytes there are before anything is unpacked, and only head and samples are unpacked.
 */
export function readWav(bytes: Uint8Array): Outcome<Samples, string> {
  const chunks = findSoundChunks(bytes);
  if (!chunks) return err('is not a WAV file that can be read');
  const wrong = wrongHead(chunks);
  if (wrong) return err(wrong);
  try {
    const wav = new wavefile.WaveFile(wavOfChunks(chunks));
    const { sampleRate } = wav.fmt as Record<string, number>;
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

/** What keeps a file from being unpacked, to be said after its name; null for a sound one. */
function wrongHead({ head, samples }: SoundChunks): string | null {
  const view = new DataView(head.buffer, head.byteOffset, head.byteLength);
  const format = view.getUint16(0, true);
  const channels = view.getUint16(2, true);
  const rate = view.getUint32(4, true);
  const bits = view.getUint16(14, true);
  if (!PLAIN_FORMATS.includes(format)) return 'must be a WAV file without compression';
  if (channels < 1 || channels > MOST_CHANNELS) return 'must have one or two channels';
  if (!BITS.includes(bits)) return 'is not a WAV file that can be read';
  if (rate < RATES.least || rate > RATES.most) return `must have ${RATES.least} to ${RATES.most} samples a second`;
  const seconds = samples.length / (bits / 8) / channels / rate;
  return seconds > LONGEST_SECONDS ? `must last at most ${LONGEST_SECONDS} seconds` : null;
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
