import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import wavefile from 'wavefile';
import { RECORDING_RATE } from '../../core/sounds/index.ts';
import { readWav, writeWav } from './wav.ts';

const hum = (rate: number, seconds: number) =>
  Float32Array.from({ length: rate * seconds }, (_, index) => 0.5 * Math.sin((2 * Math.PI * 300 * index) / rate));

function fileOf(rate: number, depth: string, channels = 1): Uint8Array {
  const wav = new wavefile.WaveFile();
  const samples = [...hum(rate, 1)].map((sample) => (depth === '32f' ? sample : Math.round(sample * 32767)));
  wav.fromScratch(
    channels,
    rate,
    depth === '8' ? '16' : depth,
    channels === 1 ? samples : [samples, samples.map(() => 0)],
  );
  if (depth === '8') wav.toBitDepth('8');
  return wav.toBuffer();
}

function heardIn(bytes: Uint8Array): { loudest: number; seconds: number } {
  const read = readWav(bytes);
  if (!read.ok) throw new Error(read.problem);
  const { samples, rate } = read.value;
  return { loudest: samples.reduce((most, sample) => Math.max(most, sample), 0), seconds: samples.length / rate };
}

test('what is written is read again', () => {
  const samples = hum(RECORDING_RATE, 0.5);
  const read = readWav(writeWav({ samples, rate: RECORDING_RATE }));
  assert.ok(read.ok && read.value.samples.length === samples.length && read.value.rate === RECORDING_RATE);
  assert.ok(read.value.samples.every((sample, index) => Math.abs(sample - samples[index]!) < 0.001));
});

test('files of other rates, depths and channels are read, and kept at one rate as loud and as long', () => {
  for (const [rate, depth, channels] of [
    [44_100, '16', 1],
    [48_000, '32f', 1],
    [8000, '16', 2],
    [16_000, '8', 1],
  ] as const) {
    const read = readWav(fileOf(rate, depth, channels));
    assert.ok(read.ok && read.value.rate === rate, `${rate}`);
    const { loudest, seconds } = heardIn(writeWav(read.value));
    assert.ok(Math.abs(loudest - 0.5) < 0.03, `${rate} ${depth}: ${loudest}`);
    assert.ok(Math.abs(seconds - 1) < 0.01, `${rate}: ${seconds}`);
  }
});

test('what is no such file is refused in words, at once', () => {
  const good = fileOf(8000, '16');
  const lies = Buffer.from(good);
  lies.writeUInt32LE(0xffffffff, 40);
  const still = Buffer.from(good);
  still.writeUInt32LE(0, 24);
  const packed = Buffer.from(good);
  packed.writeUInt16LE(17, 20);
  for (const bytes of [
    new Uint8Array(),
    new Uint8Array(44),
    Buffer.from('RIFFxxxxWAVE'),
    good.slice(0, 30),
    still,
    packed,
  ]) {
    const read = readWav(bytes);
    assert.ok(!read.ok && /^(is|must)/.test(read.problem), String(bytes.length));
  }
  const read = readWav(lies);
  assert.ok(!read.ok || read.value.samples.length <= 8000 * 20);
  const long = readWav(writeWav({ samples: hum(RECORDING_RATE, 21), rate: RECORDING_RATE }));
  assert.ok(!long.ok && long.problem === 'must last at most 20 seconds');
});

/** A file with one more chunk, named so and claiming so many entries, before its sound. */
function withChunk(file: Uint8Array, name: string, claims: number): Uint8Array {
  const chunk = Buffer.alloc(8 + 40);
  chunk.write(name, 0, 'latin1');
  chunk.writeUInt32LE(40, 4);
  for (let at = 8; at < 48; at += 4) chunk.writeUInt32LE(claims, at);
  return Buffer.concat([file.subarray(0, 12), chunk, file.subarray(12)]);
}

test('what other chunks claim of themselves costs nothing: the sound is read as if they were not there', () => {
  const file = fileOf(8000, '16');
  const alone = readWav(file);
  assert.ok(alone.ok);
  for (const name of ['cue ', 'smpl', 'LIST', 'bext', 'ds64', 'junk', 'fact', '____']) {
    const read = readWav(withChunk(file, name, 0xffffffff));
    assert.ok(read.ok && read.value.samples.length === alone.value.samples.length, name);
  }
});

test('a head that claims thousands of channels, or none, is refused before anything is unpacked', () => {
  for (const channels of [0, 3, 65_535]) {
    const lies = Buffer.from(fileOf(8000, '16'));
    lies.writeUInt16LE(channels, 22);
    const read = readWav(lies);
    assert.deepEqual(read, { ok: false, problem: 'must have one or two channels' });
  }
});

const FILES = process.env.FOOTSTOOL_SOAK ? 10_000 : 250;

test(`${FILES} files with bytes changed, lost or doubled: read or refused in words, never more samples than bytes`, () => {
  const whole = [fileOf(8000, '16').subarray(0, 4000), withChunk(fileOf(8000, '8', 2).subarray(0, 3000), 'cue ', 9)];
  const change = fc.record({
    at: fc.double({ min: 0, max: 1, noNaN: true }),
    bytes: fc.uint8Array({ minLength: 1, maxLength: 6 }),
  });
  const cut = fc.record({ from: fc.nat(4000), length: fc.nat(200), isDoubled: fc.boolean() });
  fc.assert(
    fc.property(
      fc.constantFrom(...whole),
      fc.array(change, { minLength: 1, maxLength: 12 }),
      fc.option(cut),
      (file, changes, piece) => {
        let bytes = Buffer.from(file);
        // Half of the changes hit the heads of chunks, where counts stand.
        changes.forEach(({ at, bytes: other }, index) => {
          const place = Math.floor(at * (index % 2 === 0 ? 60 : bytes.length - 6));
          bytes.set(other, place);
        });
        if (piece) {
          const part = bytes.subarray(piece.from, piece.from + piece.length);
          const rest = bytes.subarray(piece.from + (piece.isDoubled ? 0 : piece.length));
          bytes = Buffer.concat([bytes.subarray(0, piece.from), ...(piece.isDoubled ? [part] : []), rest]);
        }
        const read = readWav(bytes);
        if (!read.ok) assert.match(read.problem, /^(is|must)/);
        else assert.ok(read.value.samples.length <= bytes.length && read.value.samples.every(Number.isFinite));
      },
    ),
    { numRuns: FILES, seed: 20 },
  );
});
