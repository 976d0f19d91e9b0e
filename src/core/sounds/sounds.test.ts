import assert from 'node:assert/strict';
import { test } from 'node:test';
import { align } from './align.ts';
import { inAccent } from './accents.ts';
import { CORRESPONDENCES, FIRST_SOUNDS } from './correspondences.ts';
import { EVERYDAY_WORDS } from './everydayWords.ts';
import { HAND_SEGMENTED, HAND_SEGMENTED_LATER } from './handSegmented.fixture.ts';
import { OVERRIDES } from './overrides.ts';
import { CONSONANTS, isVowel, readReading, shown, VOWELS } from './phones.ts';
import { packedPronunciations, packReading, unpackReading } from './pronunciations.ts';
import { soundsOf, trickyPiece, wordPieces } from './wordPieces.ts';

const PRONUNCIATIONS = packedPronunciations(EVERYDAY_WORDS);
const us = PRONUNCIATIONS('us');
const gb = PRONUNCIATIONS('gb');
const graphemes = (word: string) =>
  wordPieces(word, us, 'us')
    .pieces.map(({ grapheme }) => grapheme)
    .join('.');
const said = (word: string, accent: 'us' | 'gb' = 'us') =>
  soundsOf(wordPieces(word, accent === 'us' ? us : gb, accent))
    .map(shown)
    .join(' ');

/** The word that pieces spell: a split vowel has its e behind the piece that follows it. */
function spelled(divided: string): string {
  let due = -1;
  return divided
    .split('.')
    .map((piece, index) => {
      if (piece.includes('_')) {
        due = index + 1;
        return piece[0]!;
      }
      return index === due ? `${piece}e` : piece;
    })
    .join('');
}

for (const [name, list] of Object.entries({ first: HAND_SEGMENTED, later: HAND_SEGMENTED_LATER }))
  test(`at least 97 of a hundred words of the ${name} list come out as a teacher divided them`, () => {
    const wrong = list.filter((divided) => graphemes(spelled(divided)) !== divided);
    assert.ok(list.length > 150);
    assert.ok(wrong.length <= list.length * 0.03, wrong.join(' '));
  });

test('of all everyday words more than 99 in a hundred can be divided, and their pieces spell them', () => {
  let divided = 0;
  const wrong: string[] = [];
  for (const word of us.everyday) {
    const { pieces, source } = wordPieces(word, us, 'us');
    if (source === 'rules') continue;
    divided += 1;
    const letters = pieces.map(({ grapheme }) => grapheme.replace('_e', '')).join('');
    // Every split vowel stands for one e more.
    const split = pieces.filter(({ grapheme }) => grapheme.includes('_')).length;
    const isWhole = letters.length + split === word.length && isSubsequence(letters, word);
    if (!isWhole) wrong.push(word);
  }
  assert.deepEqual(wrong, []);
  assert.ok(divided > us.everyday.length * 0.99);
});

function isSubsequence(letters: string, word: string): boolean {
  let at = 0;
  for (const letter of word) if (letter === letters[at]) at += 1;
  return at === letters.length;
}

for (const { word, us: american, gb: british, other, pieces } of OVERRIDES)
  test(`the pinned reading of ${word} is made of known sounds and can be divided`, () => {
    for (const text of [american, british, other]) {
      if (text === undefined) continue;
      const { phones } = readReading(text);
      assert.equal(phones.length, text.split(' ').length);
      assert.ok(phones.some(isVowel));
    }
    for (const accent of ['us', 'gb'] as const) {
      const found = wordPieces(word, accent === 'us' ? us : gb, accent);
      assert.equal(found.source, 'dictionary');
      if (pieces) continue;
      assert.ok(align(word, readReading((accent === 'gb' && british) || american).phones), accent);
    }
  });

test('both accents say what they are known to say', () => {
  const both: Record<string, [string, string]> = {
    fish: ['F IH SH', 'F IH SH'],
    bath: ['B AE TH', 'B AA TH'],
    lamp: ['L AE M P', 'L AE M P'],
    ant: ['AE N T', 'AE N T'],
    car: ['K AA R', 'K AA'],
    four: ['F AO R', 'F AO'],
    bird: ['B ER D', 'B ER D'],
    chair: ['CH EH R', 'CH EH'],
    ear: ['IH R', 'IH'],
    deer: ['D IH R', 'D IH'],
    dog: ['D AA G', 'D AA G'],
    frog: ['F R AA G', 'F R AA G'],
    ball: ['B AO L', 'B AO L'],
    new: ['N UW', 'N Y UW'],
    hurry: ['HH AH R IY', 'HH AH R IY'],
    zebra: ['Z IY B R AH', 'Z EH B R AH'],
    box: ['B AA K S', 'B AA K S'],
  };
  for (const [word, [american, british]] of Object.entries(both))
    assert.deepEqual([said(word), said(word, 'gb')], [american, british], word);
});

test('short o of hot, o of ball and a of car stay apart in Britain until they are shown', () => {
  const vowel = (word: string) => soundsOf(wordPieces(word, gb, 'gb')).find(isVowel);
  assert.equal(new Set(['hot', 'ball', 'car'].map(vowel)).size, 3);
  assert.notEqual(vowel('bed'), vowel('chair'));
});

test('tricky words are named with the part that is tricky', () => {
  const tricky = (word: string) => trickyPiece(wordPieces(word, us, 'us'))?.grapheme;
  assert.deepEqual(['said', 'two', 'who', 'friend', 'people', 'cat', 'ship', 'night'].map(tricky), [
    'ai',
    'tw',
    'wh',
    'ie',
    'eo',
    undefined,
    undefined,
    undefined,
  ]);
});

test('made-up words are divided by their letters, compounds where their words meet', () => {
  assert.deepEqual(['zat', 'blorp', 'shoom', 'gake', 'snaketail', 'hedgepig'].map(graphemes), [
    'z.a.t',
    'b.l.or.p',
    'sh.oo.m',
    'g.a_e.k',
    's.n.a_e.k.t.ai.l',
    'h.e.dge.p.i.g',
  ]);
});

test('a word of sixty letters is answered at once, and one without letters has no pieces', () => {
  const word = 'abcdefghij'.repeat(6);
  assert.equal(graphemes(word).replaceAll('.', '').length, 60);
  assert.equal(
    align(
      word,
      Array.from({ length: 60 }, () => 'AH'),
    ),
    null,
  );
  assert.deepEqual(align('', []), { pieces: [], cost: 0 });
});

test('readings are packed and come back the same', () => {
  for (const text of ['SH IH1 P', 'B AH1 T ER0 F L AY2', 'ZH', 'AA0 UW2'])
    assert.equal(unpackReading(packReading(text)), text);
  assert.throws(() => packReading('QQ'), RangeError);
});

test('each grapheme has one first sound, of known symbols', () => {
  const known = new Set([...VOWELS, ...CONSONANTS].map(shown));
  for (const [grapheme, sound] of FIRST_SOUNDS)
    assert.ok(
      sound.split(' ').every((symbol) => symbol === '' || known.has(symbol)),
      `${grapheme} ${sound}`,
    );
  assert.equal(FIRST_SOUNDS.get('x'), 'K S');
  assert.equal(FIRST_SOUNDS.get('o'), 'AA');
  assert.equal(FIRST_SOUNDS.get('y'), 'Y');
  assert.ok(CORRESPONDENCES.every(({ phones }) => phones.every((phone) => VOWELS.has(phone) || CONSONANTS.has(phone))));
});

test('an accent changes no piece of another accent', () => {
  const { pieces } = wordPieces('garden', us, 'us');
  assert.deepEqual(inAccent('garden', pieces, 'us'), pieces);
});
