import assert from 'node:assert/strict';
import { test } from 'node:test';
import { knownWords } from '../makers/index.ts';
import { ACCENTS } from '../sounds/index.ts';
import { readMelodyLine } from './melody.ts';
import { placeWords, syllableTexts, type PlacedLine } from './placeWords.ts';
import { fitTune } from './tuneFit.ts';
import { findTune, TUNES, tuneBeats } from './tunes.ts';

const { known, accent } = knownWords({ accent: 'gb' });
const place = (key: string, words: string, names = {}) => placeWords(findTune(key)!, words, { known, accent, names });
type Sung = Extract<PlacedLine, { kind: 'sung' }>;
const sung = (lines: readonly PlacedLine[]) => lines.filter((line): line is Sung => line.kind === 'sung');

test('at least fourteen tunes, whole bars in every line, each with a verse of ours that fits in both accents', () => {
  assert.ok(TUNES.length >= 14);
  assert.equal(new Set(TUNES.map(({ key }) => key)).size, TUNES.length);
  for (const tune of TUNES) {
    for (const line of tune.lines) {
      const notes = readMelodyLine(line);
      assert.equal(notes.length, line.split(' ').length, `${tune.name}: ${line}`);
      assert.equal(notes.reduce((sum, { beats }) => sum + beats, 0) % tune.barBeats, 0, `${tune.name}: ${line}`);
    }
    assert.equal(tune.verse.length, tune.lines.length, tune.name);
    for (const voice of ACCENTS)
      for (const line of sung(placeWords(tune, tune.verse.join('\n'), { ...knownWords({ accent: voice }), names: {} })))
        assert.deepEqual([line.fit.verdict, line.fit.guessed], ['fits', []], `${tune.name}: ${line.text}`);
  }
});

test('beats are what is felt: a bar in two halves, two groups of three, an upbeat weak', () => {
  assert.deepEqual(tuneBeats(findTune('twinkle')!).slice(0, 2), ['SwSwSwS', 'SwSwSwS']);
  assert.equal(tuneBeats(findTune('row-the-boat')!)[2], 'SwwSwwSwwSww');
  assert.ok(tuneBeats(findTune('a-hunting')!).every((line) => line.startsWith('wS')));
});

test('the verdict of a line is the one that calc gives for the same beats and words', () => {
  const words = ['Slowly going up the hill', 'Tick', 'Rumble, tumble, down the road again', 'Up and down'];
  for (const tune of TUNES) {
    const fits = fitTune({ tune: tuneBeats(tune), lines: words }, known);
    assert.deepEqual(
      sung(placeWords(tune, words.join('\n'), { known, accent, names: {} })).map(({ fit }) => fit),
      fits,
    );
  }
});

test('a line that is one short holds a syllable over two notes, one that is long shares a note, each note and syllable once', () => {
  const [short] = sung(place('twinkle', 'Someone tall and some one'));
  assert.deepEqual(short!.syllables.filter(({ notes }) => notes.length === 2).length, 1);
  assert.deepEqual(
    short!.syllables.flatMap(({ notes }) => notes),
    [0, 1, 2, 3, 4, 5, 6],
  );
  const [long] = sung(place('twinkle', 'Someone is tall and someone small'));
  assert.equal(long!.syllables.filter(({ isSplit }) => isSplit).length, 1);
  assert.deepEqual([...new Set(long!.syllables.flatMap(({ notes }) => notes))], [0, 1, 2, 3, 4, 5, 6]);
  // Held and shared where no stress falls on a weak beat, where there is such a place.
  assert.equal(
    short!.syllables.some(({ isClash }) => isClash),
    false,
  );
  const [far] = sung(place('twinkle', 'No'));
  assert.deepEqual(
    far!.syllables.map(({ notes }) => notes),
    [[0]],
  );
  const [over] = sung(place('hot-cross-buns', 'Many more words than there are notes'));
  assert.deepEqual(
    over!.syllables.map(({ notes }) => notes.length),
    [1, 1, 1, 0, 0, 0, 0, 0],
  );
});

test('what is called between lines takes no line of the tune; names are sung as told; nothing is nothing', () => {
  const lines = place('frere-jacques', 'Are you ready, are you ready\n(Who is there?)\nDown the lane, down the lane');
  assert.deepEqual(
    lines.map(({ kind }) => kind),
    ['sung', 'spoken', 'sung'],
  );
  assert.deepEqual(
    sung(lines).map(({ fit }) => fit.gap),
    [0, 0],
  );
  const told = place('frere-jacques', 'Zuzanka rolling, slowly rolling', { zuzanka: 2 });
  assert.deepEqual(sung(told)[0]!.words[0], { word: 'Zuzanka', count: 2, isGuessed: false });
  assert.equal(sung(place('frere-jacques', 'Zuzanka rolling'))[0]!.words[0]!.isGuessed, true);
  assert.deepEqual(place('twinkle', ' \n\n'), []);
  assert.equal(place('twinkle', 'la\n'.repeat(500)).length, 60);
  assert.deepEqual(sung(place('twinkle', '月 ΑΒΓ 🎵'))[0]!.syllables.length > 0, true);
});

test('words are written in the parts they are sung in, whole words where they meet', () => {
  const parts = (word: string, count: number) => syllableTexts(word, count, known, accent).join('.');
  for (const [word, count, expected] of [
    ['puddle', 2, 'pud.dle'],
    ['window', 2, 'win.dow'],
    ['postman', 2, 'post.man'],
    ['bedroom', 2, 'bed.room'],
    ['someone', 2, 'some.one'],
    ['hedgehog', 2, 'hedge.hog'],
    ['pocket', 2, 'pock.et'],
    ['butterfly', 3, 'but.ter.fly'],
    ['Button', 2, 'But.ton'],
    ['moon', 1, 'moon'],
    ['ding-dong', 2, 'ding.dong'],
    ['Zyx', 3, 'Zyx.–.–'],
  ] as const)
    assert.equal(parts(word, count), expected);
});
