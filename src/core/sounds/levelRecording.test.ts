import assert from 'node:assert/strict';
import { test } from 'node:test';
import { levelRecording, LONGEST_SOUND_MS, RECORDING_RATE } from './levelRecording.ts';

const samplesFor = (ms: number) => Math.round((RECORDING_RATE * ms) / 1000);

/** A hum between silences in a room that is never quite silent; the same for the same seed. */
function recording({ before = 300, hum = 500, behind = 400, loud = 0.3, noise = 0.001, offset = 0, seed = 1 }) {
  let state = seed;
  const random = () => ((state = (state * 16807) % 2147483647) / 2147483647) * 2 - 1;
  const total = samplesFor(before + hum + behind);
  return Float32Array.from({ length: total }, (_, index) => {
    const at = (index * 1000) / RECORDING_RATE - before;
    const isHeard = at >= 0 && at < hum;
    return offset + random() * noise + (isHeard ? loud * Math.sin((2 * Math.PI * 220 * index) / RECORDING_RATE) : 0);
  });
}

function levelled(samples: Float32Array): Float32Array {
  const outcome = levelRecording(samples, RECORDING_RATE);
  if (!outcome.ok) throw new Error(outcome.problem.code);
  return outcome.value;
}

const milliseconds = (samples: Float32Array) => (samples.length * 1000) / RECORDING_RATE;
const middle = (samples: Float32Array) => samples.slice(samples.length * 0.3, samples.length * 0.7);
const loudness = (samples: Float32Array) =>
  Math.sqrt(samples.reduce((sum, sample) => sum + sample ** 2, 0) / samples.length);

test('silence around a sound is cut off, the sound stays whole', () => {
  for (const [before, behind] of [
    [0, 0],
    [800, 900],
    [40, 1500],
  ])
    for (const hum of [60, 500, 1500]) {
      const kept = milliseconds(levelled(recording({ before: before!, behind: behind!, hum })));
      assert.ok(
        kept >= Math.min(hum, before! + hum + behind!) && kept <= hum + 120,
        `${before} ${hum} ${behind}: ${kept}`,
      );
    }
});

test('loud and soft, near and far: every recording comes out equally loud, none clipped', () => {
  const all = [0.02, 0.1, 0.3, 0.9].map((loud) => levelled(recording({ loud, noise: loud / 100 })));
  for (const samples of all) {
    assert.ok(Math.abs(20 * Math.log10(loudness(middle(samples)) / loudness(middle(all[0]!)))) < 1);
    assert.ok(samples.every((sample) => Math.abs(sample) <= 0.9));
  }
});

test('a click with a high peak is not made louder than full scale', () => {
  const samples = recording({ loud: 0.05, noise: 0 });
  samples[samplesFor(500)] = 0.8;
  assert.ok(levelled(samples).every((sample) => Math.abs(sample) <= 0.9));
});

test('both ends start and end in silence, whatever constant the microphone adds', () => {
  for (const offset of [0, 0.1, -0.3]) {
    const samples = levelled(recording({ before: 0, behind: 0, offset }));
    assert.equal(Math.abs(samples[0]!), 0);
    assert.equal(Math.abs(samples.at(-1)!), 0);
  }
});

test('what was levelled once is left as it is', () => {
  const once = levelled(recording({}));
  const twice = levelled(once);
  assert.ok(Math.abs(milliseconds(once) - milliseconds(twice)) <= 20);
  assert.ok(Math.abs(loudness(middle(once)) / loudness(middle(twice)) - 1) < 0.05);
});

test('nothing, a silent room and two and a half seconds are refused, each by its name', () => {
  const codeOf = (samples: Float32Array) => {
    const outcome = levelRecording(samples, RECORDING_RATE);
    return outcome.ok ? 'kept' : outcome.problem.code;
  };
  assert.deepEqual(
    [
      codeOf(new Float32Array()),
      codeOf(new Float32Array(10)),
      codeOf(recording({ loud: 0 })),
      codeOf(recording({ hum: LONGEST_SOUND_MS + 500 })),
      codeOf(recording({ hum: LONGEST_SOUND_MS - 150 })),
    ],
    ['silent', 'silent', 'silent', 'long', 'kept'],
  );
});
