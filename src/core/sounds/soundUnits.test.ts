import assert from 'node:assert/strict';
import { test } from 'node:test';
import { knownWords } from '../makers/index.ts';
import { USUAL_ORDER } from '../words/index.ts';
import { ACCENTS } from './accents.ts';
import { FIRST_SOUNDS } from './correspondences.ts';
import { shown } from './phones.ts';
import { readingsInPieces } from './wordPieces.ts';
import { SOUND_UNITS } from './soundUnits.ts';

/** The pairings that stand in most alphabets; ours are others. */
const COMMONEST: Readonly<Record<string, string>> = {
  a: 'apple ant alligator',
  b: 'ball bear bat bee banana',
  c: 'cat car cow cake',
  d: 'dog duck',
  e: 'egg elephant',
  f: 'fish frog',
  g: 'goat girl gate',
  h: 'hat house horse',
  i: 'igloo insect ink',
  j: 'jam jug jelly jar',
  k: 'king kite kangaroo',
  l: 'lion leg lamp',
  m: 'monkey moon mouse man',
  n: 'nest net nose',
  o: 'octopus orange',
  p: 'pig pen',
  qu: 'queen',
  r: 'rabbit rat',
  s: 'snake sun',
  t: 'tiger top table tap',
  u: 'umbrella',
  v: 'van violin',
  w: 'whale web watch',
  x: 'box fox xylophone',
  y: 'yacht yak yoyo yellow',
  z: 'zebra zip zoo',
  sh: 'ship sheep shell',
  ch: 'cheese chair chick',
  th: 'thumb three',
  ng: 'ring king',
  nk: 'sink pink',
  ck: 'duck sock clock',
};

test('every grapheme of our order has a unit, with a pairing of our own', () => {
  const units = new Map(SOUND_UNITS.map((unit) => [unit.grapheme, unit]));
  for (const grapheme of USUAL_ORDER.flat()) assert.ok(units.has(grapheme), grapheme);
  for (const { grapheme, word } of SOUND_UNITS) {
    assert.equal((COMMONEST[grapheme] ?? '').split(' ').includes(word), false, `${grapheme}: ${word}`);
  }
  assert.equal(new Set(SOUND_UNITS.map(({ word }) => word)).size, SOUND_UNITS.length);
});

test('the word of a unit has its sound where it is said to, in both accents', () => {
  for (const accent of ACCENTS) {
    const { known } = knownWords({ accent });
    for (const { grapheme, word, place } of SOUND_UNITS) {
      const wanted = (FIRST_SOUNDS.get(grapheme) ?? 'NG K').split(' ');
      for (const { pieces } of readingsInPieces(word, known, accent)) {
        const phones = pieces.flatMap((piece) => piece.phones.map(shown));
        const heard = place === 'start' ? phones.slice(0, wanted.length) : phones.slice(-wanted.length);
        const isVowelOfAccent = grapheme === 'o' && heard[0] === 'AA';
        assert.ok(
          isVowelOfAccent || heard.join(' ') === wanted.join(' '),
          `${accent} ${grapheme} ${word}: ${phones.join(' ')}`,
        );
        assert.ok(place === 'start' ? word.startsWith(grapheme) : word.endsWith(grapheme), word);
      }
    }
  }
});

test('letters that begin no word are paired with their end', () => {
  const ends = SOUND_UNITS.filter(({ place }) => place === 'end').map(({ grapheme }) => grapheme);
  assert.deepEqual(ends, ['x', 'ck', 'll', 'ss', 'ff', 'zz', 'ng', 'nk']);
});
