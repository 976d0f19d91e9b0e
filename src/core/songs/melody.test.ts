import assert from 'node:assert/strict';
import { test } from 'node:test';
import { readMelodyLine } from './melody.ts';

test('a line of a tune is read note by note, each where the ones before have ended', () => {
  assert.deepEqual(readMelodyLine('C4:1 E4:0.5 G4:2'), [
    { pitch: 48, name: 'C', at: 0, beats: 1 },
    { pitch: 52, name: 'E', at: 1, beats: 0.5 },
    { pitch: 55, name: 'G', at: 1.5, beats: 2 },
  ]);
});

test('sharps and flats move a note by half a tone, and an octave is twelve of them', () => {
  const [sharp, flat, higher] = readMelodyLine('F#4:1 Gb4:1 F#5:1');
  assert.equal(sharp!.pitch, flat!.pitch);
  assert.equal(higher!.pitch - sharp!.pitch, 12);
  assert.deepEqual([sharp!.name, flat!.name], ['F#', 'Gb']);
});

test('what is not a note is left out and takes no time', () => {
  assert.deepEqual(
    readMelodyLine('H4:1 D4:1 rest C9:1 D4 A4:1').map(({ name, at }) => [name, at]),
    [
      ['D', 0],
      ['A', 1],
    ],
  );
  assert.deepEqual(readMelodyLine(''), []);
});
