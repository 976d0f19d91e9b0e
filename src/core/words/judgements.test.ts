import assert from 'node:assert/strict';
import { test } from 'node:test';
import { EVERYDAY_WORDS, packedPronunciations, wordPieces } from '../sounds/index.ts';
import { PICTURE_WORDS } from './pictureWords.ts';
import { readableWord } from './readableWord.ts';
import { findRhymes } from './rhymes.ts';
import { isRude, rudeSpans } from './rudeWords.ts';
import { segmentWord, taughtGraphemes, USUAL_ORDER } from './segmentWord.ts';
import { soundBasket } from './soundBasket.ts';
import { findStarts } from './starts.ts';
import { countSyllables } from './syllables.ts';
import { readableWords, shapeOf } from './wordLists.ts';

const PRONUNCIATIONS = packedPronunciations(EVERYDAY_WORDS);
const us = PRONUNCIATIONS('us');
const gb = PRONUNCIATIONS('gb');
const words = (text: string) => text.split(' ');

/** Rhymes among the curated pictures, heard by ear one by one; what differs between accents stands below. */
const HEARD = [
  ...[
    'bat cat hat rat',
    'bear chair pear',
    'bee key pea sea tea tree',
    'bug jug mug plug',
    'brick chick',
    'cricket ticket',
  ],
  ...[
    'deer ear',
    'dog fog frog log',
    'duck truck',
    'eye fly pie tie',
    'box fox ox',
    'boat coat goat',
    'goose juice moose',
  ],
  ...['hen pen', 'canoe kangaroo screw shoe', 'house mouse', 'noodle poodle', 'balloon moon raccoon spoon'],
  ...[
    'ham jam ram tram',
    'seal wheel',
    'sail snail whale',
    'cake snake steak',
    'bone phone stone',
    'hand sand',
    'egg leg',
  ],
  ...['lip ship', 'nose rose', 'drum mum thumb', 'brain plane rain train', 'ring string wing', 'berry cherry ferry'],
  ...[
    'bed bread shed sled thread',
    'meat sweet',
    'hut nut',
    'dice ice rice',
    'plate skate',
    'bowl hole',
    'car guitar jar star',
  ],
  ...[
    'pot yacht',
    'bin pin tin violin',
    'bag flag',
    'bell shell',
    'book cook hook',
    'candle sandal',
    'clock lock rock sock',
  ],
  ...[
    'computer scooter',
    'flower shower',
    'kite light',
    'cap map tap',
    'rope soap',
    'boy toy',
    'ball wall',
    'boot flute',
  ],
  ...['clown crown', 'nest vest', 'fountain mountain'],
];

test('among the curated pictures exactly those rhyme that are heard to, in both accents', () => {
  const families = (accent: 'us' | 'gb') =>
    findRhymes(
      PICTURE_WORDS.map(({ word }) => word),
      accent === 'us' ? us : gb,
      accent,
    ).families.map((family) => family.join(' '));
  const american = ['boar door', 'paw saw straw', 'ant plant', 'potato tomato', 'can fan man pan van'];
  const british = ['boar door paw saw straw', 'farmer llama', 'carrot parrot', 'castle parcel', 'can fan man pan van'];
  assert.deepEqual(families('us').sort(), [...HEARD, ...american].sort());
  assert.deepEqual(families('gb').sort(), [...HEARD, ...british].sort());
});

test('the same word, or another of the same sound, is no rhyme', () => {
  assert.deepEqual(findRhymes(words('bear bare bus'), us, 'us'), {
    families: [],
    odd: words('bear bare bus'),
    unsure: [],
  });
  assert.deepEqual(findRhymes(words('hat cat bus hat'), us, 'us'), {
    families: [['cat', 'hat']],
    odd: ['bus'],
    unsure: [],
  });
  assert.deepEqual(findRhymes([], us, 'us'), { families: [], odd: [], unsure: [] });
});

test('a word that is said in two ways is doubtful where it depends on that, and only there', () => {
  assert.deepEqual(findRhymes(words('wind find bus'), us, 'us').unsure, ['wind']);
  assert.deepEqual(findRhymes(words('wind bus'), us, 'us').unsure, []);
  assert.deepEqual(findRhymes(words('bow snow cow'), us, 'us').unsure, ['bow']);
});

test('made-up rhymes of one syllable are judged, longer guesses are doubtful', () => {
  assert.deepEqual(findRhymes(words('zat cat flimmer'), us, 'us'), {
    families: [['cat', 'zat']],
    odd: [],
    unsure: ['flimmer'],
  });
});

test('what starts with a sound goes by the ear; where the letter says otherwise it is named', () => {
  const { yes, no, traps } = findStarts('S', words('sock ship circle city sugar zebra'), us, 'us');
  assert.deepEqual(yes, words('sock circle city'));
  assert.deepEqual(no, words('ship sugar zebra'));
  assert.deepEqual(
    traps.map(({ word }) => word),
    words('ship circle city sugar'),
  );
  const trapped = (sound: string, word: string) => findStarts(sound, [word], us, 'us').traps.length;
  for (const [sound, word] of [
    ['N', 'knee'],
    ['K', 'knee'],
    ['F', 'phone'],
    ['N', 'gnome'],
    ['JH', 'giraffe'],
    ['R', 'wrist'],
  ])
    assert.equal(trapped(sound!, word!), 1, `${sound} ${word}`);
  for (const [sound, word] of [
    ['SH', 'ship'],
    ['CH', 'chair'],
    ['K', 'cat'],
    ['EY', 'acorn'],
    ['W', 'whale'],
    ['K', 'queen'],
  ])
    assert.equal(trapped(sound!, word!), 0, `${sound} ${word}`);
});

test('the first sounds of all curated pictures are those of their letters, but for these', () => {
  const usual: Record<string, string[]> = {
    a: ['AE', 'EY'],
    b: ['B'],
    c: ['K'],
    d: ['D'],
    e: ['EH', 'IY'],
    f: ['F'],
    g: ['G'],
    h: ['HH'],
    i: ['IH', 'AY'],
    j: ['JH'],
    k: ['K'],
    l: ['L'],
    m: ['M'],
    n: ['N'],
    o: ['AA', 'OW'],
    p: ['P'],
    r: ['R'],
    s: ['S'],
    t: ['T'],
    u: ['AH', 'Y'],
    v: ['V'],
    w: ['W'],
    y: ['Y'],
    z: ['Z'],
    q: ['K'],
  };
  const otherwise = PICTURE_WORDS.filter(({ word }) =>
    (usual[word[0]!] ?? []).every((sound) => findStarts(sound, [word], us, 'us').yes.length === 0),
  ).map(({ word }) => word);
  const digraphs = /^(sh|ch|th|wh)/;
  assert.deepEqual(
    otherwise.filter((word) => !digraphs.test(word)).sort(),
    [
      ...words(
        'accordion arm avocado ear engine eye giant giraffe herb knife onion orange orangutan owl oyster phone photo',
      ),
    ]
      .filter((word) => otherwise.includes(word))
      .sort(),
  );
  assert.ok(otherwise.includes('giraffe') && otherwise.includes('knife') && otherwise.includes('phone'));
});

test('a basket holds what starts so, and near misses to tell it from', () => {
  const { basket, nearMisses } = soundBasket('S', words('sock zip shoe spoon ball'), gb, 'gb');
  assert.deepEqual([basket, nearMisses], [words('sock spoon'), words('zip shoe')]);
  assert.deepEqual(soundBasket('S', [], gb, 'gb').basket, []);
});

test('a word can be read when each grapheme is taught for the sound it has there', () => {
  const at = (word: string, upTo: number) =>
    segmentWord(word, { known: us, accent: 'us', taught: taughtGraphemes(USUAL_ORDER, upTo) });
  assert.equal(at('sat', 1).decodable, true);
  assert.deepEqual(at('ship', 2).unknown, ['sh']);
  assert.deepEqual(at('city', 8).unknown, ['c', 'y']);
  assert.deepEqual(at('bank', 7).unknown, ['nk']);
  assert.equal(at('bank', 8).decodable, true);
  assert.deepEqual(at('cake', 8).unknown, ['a_e']);
  assert.deepEqual(at('cake', 8).marks, ['dot', 'arc', 'dot']);
  assert.deepEqual(taughtGraphemes([['A-e', ' SH ']]), new Set(['a_e', 'sh']));
});

test('lists hold only words that can be read, of the shape asked for, and none that is rude', () => {
  const list = (upTo: number, shape: 'cvc' | 'any', isPicturable = false) =>
    readableWords({ order: USUAL_ORDER, upTo, accent: 'gb', shape, isPicturable, most: 1000 }, gb);
  assert.deepEqual(list(0, 'any').words, []);
  assert.ok(words('it in on at not map man sat').every((word) => list(2, 'any').words.includes(word)));
  const taught = taughtGraphemes(USUAL_ORDER, 4);
  for (const word of list(4, 'cvc').words) {
    assert.ok(segmentWord(word, { known: gb, accent: 'gb', taught }).decodable, word);
    assert.equal(shapeOf(wordPieces(word, gb, 'gb')), 'cvc', word);
    assert.ok(!isRude(word));
  }
  const { words: first, count } = readableWords(
    { order: USUAL_ORDER, upTo: 8, accent: 'gb', shape: 'any', isPicturable: false, most: 10 },
    gb,
  );
  assert.ok(first.length === 10 && count > 500);
  assert.ok(list(3, 'cvc', true).words.every((word) => PICTURE_WORDS.some((picture) => picture.word === word)));
});

test('at least 420 nouns have a picture, each once; whoever shares a picture is in one group', () => {
  assert.ok(PICTURE_WORDS.length >= 420, String(PICTURE_WORDS.length));
  assert.equal(new Set(PICTURE_WORDS.map(({ word }) => word)).size, PICTURE_WORDS.length);
  const groups = new Map<string, Set<string | undefined>>();
  for (const { picture, group } of PICTURE_WORDS) groups.set(picture, (groups.get(picture) ?? new Set()).add(group));
  const shared = [...groups].filter(([picture]) => PICTURE_WORDS.filter((word) => word.picture === picture).length > 1);
  for (const [picture, names] of shared) assert.ok(names.size === 1 && !names.has(undefined), picture);
  assert.ok(PICTURE_WORDS.every(({ word }) => !isRude(word)));
});

test('parts of words are counted from the dictionary, as told for names, and guessed where neither knows', () => {
  const count = (word: string, names = {}) => countSyllables(word, gb, names);
  const known: Record<string, number> = {
    butterfly: 3,
    going: 2,
    queen: 1,
    proud: 1,
    doing: 2,
    fire: 1,
    'ice-cream': 2,
  };
  for (const [word, parts] of Object.entries(known))
    assert.deepEqual(count(word), { word, count: parts, guessed: false });
  assert.equal(count('foxes').count, 2);
  assert.equal(count('dad’s').count, 1);
  assert.deepEqual(count('Ilvo', { ilvo: 2 }), { word: 'Ilvo', count: 2, guessed: false });
  assert.equal(count('Zamiro').guessed, true);
  assert.equal(count('Zamiro').count, 3);
});

test('only letters a to z make a word that can be taken apart', () => {
  assert.deepEqual(readableWord(' Ship '), { ok: true, value: 'ship' });
  const codes = ['', 'café', 'b4', 'don’t', 'ice-cream', 'ｃat', 'a'.repeat(61), '猫'].map((word) => {
    const read = readableWord(word);
    return read.ok ? 'ok' : read.problem.code;
  });
  assert.deepEqual(codes, ['empty', 'letters', 'letters', 'letters', 'letters', 'letters', 'long', 'letters']);
});

test('rude words are known without being spelled, also where they come about by accident', () => {
  const turned = 'fuvg'.replace(/[a-z]/g, (letter) =>
    String.fromCharCode(97 + ((letter.charCodeAt(0) - 97 + 13) % 26)),
  );
  assert.ok(isRude(turned) && isRude(`${turned}s`) && !isRude('ship'));
  assert.deepEqual(rudeSpans(`xx${turned}zz`), [[2, 2 + turned.length]]);
  assert.deepEqual([...rudeSpans('xxshipzz'), ...rudeSpans('')], []);
});
