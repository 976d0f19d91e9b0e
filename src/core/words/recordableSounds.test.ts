import assert from 'node:assert/strict';
import { test } from 'node:test';
import { SOUND_UNITS } from '../sounds/index.ts';
import { recordableSounds } from './recordableSounds.ts';
import { USUAL_ORDER } from './segmentWord.ts';

test('letters that sound alike share one recording, and every early letter has one', () => {
  const sounds = recordableSounds(USUAL_ORDER);
  const lettersOf = (grapheme: string) => sounds.find(({ letters }) => letters.includes(grapheme))?.letters;
  assert.deepEqual(lettersOf('k'), ['c', 'k', 'ck']);
  assert.deepEqual(lettersOf('s'), ['s', 'ss']);
  for (const { grapheme } of SOUND_UNITS) assert.ok(lettersOf(grapheme), grapheme);
  assert.equal(new Set(sounds.map(({ sound }) => sound)).size, sounds.length);
  for (const { sound } of sounds) assert.match(sound, /^[a-z]{1,3}(-[a-z]{1,3})?$/);
});

test('a programme’s own letters come in its order, the early ones that it leaves out behind them', () => {
  const sounds = recordableSounds([['oa', 'sh'], ['m']]);
  assert.deepEqual(
    sounds.slice(0, 3).map(({ letters }) => letters[0]),
    ['oa', 'sh', 'm'],
  );
  assert.ok(sounds.length > 25);
  assert.equal(sounds[0]!.spoken, 'oa');
});
