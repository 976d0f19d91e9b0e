/** The two chunks of a WAV file that its sound is in. */
export interface SoundChunks {
  /** The head: 16 to 40 bytes. */
  readonly head: Uint8Array;
  /** Samples as they lie in the file: never more than there are bytes. */
  readonly samples: Uint8Array;
}

const HEAD_BYTES = { least: 16, most: 40 };
const CHUNK_HEAD_BYTES = 8;

/**
 * Finds the first `fmt ` and the first `data` chunk of a RIFF file (Microsoft and IBM, Multimedia Programming Interface
 * 1.0, 1991). Every other chunk is stepped over by the length it claims and never read, so that what it says of itself
 * costs nothing. Null where either is missing. At most one step for every eight bytes.
 */
export function findSoundChunks(bytes: Uint8Array): SoundChunks | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const nameAt = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < 12 || nameAt(0) !== 'RIFF' || nameAt(8) !== 'WAVE') return null;
  let head: Uint8Array | null = null;
  let samples: Uint8Array | null = null;
  for (let at = 12; at + CHUNK_HEAD_BYTES <= bytes.length && !(head && samples);) {
    const begins = at + CHUNK_HEAD_BYTES;
    const ends = Math.min(bytes.length, begins + view.getUint32(at + 4, true));
    if (nameAt(at) === 'fmt ') head ??= bytes.subarray(begins, Math.min(ends, begins + HEAD_BYTES.most));
    if (nameAt(at) === 'data') samples ??= bytes.subarray(begins, ends);
    at = ends + (ends % 2);
  }
  return head && samples && head.length >= HEAD_BYTES.least ? { head, samples } : null;
}

/** A WAV file that holds these two chunks and nothing else. */
export function wavOfChunks({ head, samples }: SoundChunks): Uint8Array {
  const chunks = [
    ['fmt ', head],
    ['data', samples],
  ] as const;
  const padded = (length: number) => length + (length % 2);
  const length = 12 + chunks.reduce((sum, [, body]) => sum + CHUNK_HEAD_BYTES + padded(body.length), 0);
  const bytes = new Uint8Array(length);
  const view = new DataView(bytes.buffer);
  const writeName = (at: number, name: string) => bytes.set(Buffer.from(name, 'latin1'), at);
  writeName(0, 'RIFF');
  view.setUint32(4, length - CHUNK_HEAD_BYTES, true);
  writeName(8, 'WAVE');
  let at = 12;
  for (const [name, body] of chunks) {
    writeName(at, name);
    view.setUint32(at + 4, body.length, true);
    bytes.set(body, at + CHUNK_HEAD_BYTES);
    at += CHUNK_HEAD_BYTES + padded(body.length);
  }
  return bytes;
}
