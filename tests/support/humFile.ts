import { RECORDING_RATE } from '../../src/core/sounds/index.ts';
import { writeWav } from '../../src/server/audio/wav.ts';

/** A WAV file of somebody humming between silences; times in milliseconds. */
export function humFile({ before = 200, hum = 400, behind = 300, loud = 0.3 }): Uint8Array {
  const samples = Float32Array.from({ length: ((before + hum + behind) * RECORDING_RATE) / 1000 }, (_, index) => {
    const time = (index * 1000) / RECORDING_RATE - before;
    return time >= 0 && time < hum ? loud * Math.sin((2 * Math.PI * 220 * index) / RECORDING_RATE) : 0;
  });
  return writeWav({ samples, rate: RECORDING_RATE });
}
