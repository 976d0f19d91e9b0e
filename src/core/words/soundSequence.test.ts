import assert from 'node:assert/strict';
import { test } from 'node:test';
import { knownWords } from '../makers/index.ts';
import { PICTURE_WORDS } from './pictureWords.ts';
import { segmentWord, taughtGraphemes, USUAL_ORDER } from './segmentWord.ts';
import { bestNextSound, divideWords, graphemesIn, openedBySteps } from './soundSequence.ts';

const { known, accent } = knownWords({ accent: 'gb' });
const words = divideWords(
  PICTURE_WORDS.map(({ word }) => word),
  { known, accent },
);

test('what a step opens is what can be read with it and not before, word by word', () => {
  const steps = openedBySteps(USUAL_ORDER, words);
  let total = 0;
  steps.forEach(({ opens, total: told }, index) => {
    const at = (upTo: number) => taughtGraphemes(USUAL_ORDER, upTo);
    const expected = PICTURE_WORDS.map(({ word }) => word).filter(
      (word) =>
        segmentWord(word, { known, accent, taught: at(index + 1) }).decodable &&
        !segmentWord(word, { known, accent, taught: at(index) }).decodable,
    );
    assert.deepEqual([...opens].sort(), expected.sort());
    total += opens.length;
    assert.equal(told, total);
  });
  // Very early sets open next to nothing; all eight open dozens.
  assert.ok(steps[0]!.total < 8 && steps.at(-1)!.total > 60);
  assert.deepEqual(openedBySteps([], words), []);
});

test('the next sound is the one that opens most of all that could come', () => {
  const taught = taughtGraphemes(USUAL_ORDER, 3);
  const best = bestNextSound(taught, words)!;
  const opens = (grapheme: string) =>
    words.filter(
      ({ word }) =>
        !segmentWord(word, { known, accent, taught }).decodable &&
        segmentWord(word, { known, accent, taught: new Set([...taught, grapheme]) }).decodable,
    ).length;
  assert.equal(opens(best.grapheme), best.opens.length);
  for (const grapheme of ['e', 'h', 'r', 'l', 'u', 'f', 'k', 'sh', 'ch', 'ck', 'ee', 'ar', 'll'])
    assert.ok(opens(grapheme) <= best.opens.length, grapheme);
  assert.equal(bestNextSound(new Set(), []), null);
});

test('steps are read as authors write them', () => {
  assert.deepEqual(graphemesIn('m a s t'), ['m', 'a', 's', 't']);
  assert.deepEqual(graphemesIn('SH, ch · qu'), ['sh', 'ch', 'qu']);
  assert.deepEqual(graphemesIn('A a'), ['a']);
  assert.deepEqual(graphemesIn('a-e nk and so on'), ['a_e', 'nk']);
  assert.deepEqual(graphemesIn(''), []);
});
