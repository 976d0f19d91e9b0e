import assert from 'node:assert/strict';
import { test } from 'node:test';
import { CALCULATIONS } from './calculations.ts';
import { CalcInputError } from './calculation.ts';

const ask = async (name: string, input: object): Promise<Record<string, unknown>> =>
  (await CALCULATIONS.get(name)!(input)) as Record<string, unknown>;
const refusal = async (name: string, input: object): Promise<string> => {
  try {
    await ask(name, input);
    return 'answered';
  } catch (error) {
    assert.ok(error instanceof CalcInputError);
    return error.message;
  }
};

test('a name is told once: its own spelling goes first, and two counts for one name are refused', async () => {
  const told = await ask('syllables', { words: ['Ilvo', 'ilvo', 'ILVO'], names: { ilvo: 2, Ilvo: 2 } });
  assert.deepEqual(
    (told.words as { count: number }[]).map(({ count }) => count),
    [2, 2, 2],
  );
  const twice = { Ilvo: 2, ilvo: 3 };
  assert.match(await refusal('syllables', { words: ['Ilvo'], names: twice }), /^names: must not tell a name twice/);
  const song = { tune: ['SwSw'], lines: ['Ilvo Ilvo'], names: twice };
  assert.match(await refusal('tune-fit', song), /^names: must not tell a name twice/);
});

test('segment answers as the contract says, for rare words from the whole dictionary', async () => {
  const order = [
    ['m', 'a', 's', 't'],
    ['f', 'i', 'sh', 'd'],
    ['u', 'ck'],
  ];
  assert.deepEqual(await ask('segment', { words: ['fish', 'Duck'], accent: 'us', order, upTo: 2 }), {
    words: [
      {
        word: 'fish',
        graphemes: ['f', 'i', 'sh'],
        sounds: ['F', 'IH', 'SH'],
        marks: ['dot', 'dot', 'bar'],
        decodable: true,
        unknown: [],
        source: 'dictionary',
      },
      {
        word: 'Duck',
        graphemes: ['d', 'u', 'ck'],
        sounds: ['D', 'AH', 'K'],
        marks: ['dot', 'dot', 'bar'],
        decodable: false,
        unknown: ['u', 'ck'],
        source: 'dictionary',
      },
    ],
  });
  const { words } = (await ask('segment', { words: ['buzz', 'shepherd', 'blorp'] })) as { words: { source: string }[] };
  assert.deepEqual(
    words.map(({ source }) => source),
    ['dictionary', 'dictionary', 'rules'],
  );
  assert.deepEqual(await ask('segment', { words: [] }), { words: [] });
});

test('what is no word, sound, tune or order is refused where it stands', async () => {
  for (const word of ['b4', 'café', 'don’t', 'ice-cream', '猫', ' ', 'x'.repeat(61), 'شمس'])
    for (const name of ['segment', 'rhymes'])
      assert.match(await refusal(name, { words: ['cat', word] }), /^words\[1\]: /, word);
  assert.match(await refusal('starts', { sound: 'SS', words: [] }), /^sound: “SS” is no sound; the sounds are /);
  assert.match(await refusal('basket', { sound: 'S', things: ['a b'] }), /^things\[0\]: /);
  assert.match(await refusal('tune-fit', { tune: ['SxS'], lines: [] }), /^tune\[0\]: /);
  assert.match(await refusal('tune-fit', { tune: [], lines: [''] }), /^tune: /);
  assert.match(await refusal('tune-fit', { tune: ['S'], lines: ['3 cats'] }), /^lines\[0\]: /);
  assert.match(await refusal('syllables', { words: ['7'] }), /^words\[0\]: /);
  assert.match(await refusal('syllables', { words: ['a'], names: { Ilvo: 0.5 } }), /^names/);
  assert.match(await refusal('word-lists', { order: [['m']], upTo: -1 }), /^upTo: /);
  assert.match(await refusal('segment', { words: ['cat'], accent: 'fr' }), /^accent: /);
});

test('sheets are made for each kind, and a list that cannot be one is refused', async () => {
  const words = ['the', 'and', 'see'];
  for (const [kind, part] of Object.entries({
    'missing-word': 'boxes',
    'word-search': 'grid',
    'word-hunt': 'rows',
    'three-in-a-row': 'boards',
    'dice-lines': 'lines',
    path: 'places',
  })) {
    const once = await ask('sheet', { kind, words, seed: 7 });
    assert.ok(Array.isArray(once[part]), kind);
    assert.deepEqual(await ask('sheet', { kind, words, seed: 7 }), once);
  }
  assert.match(await refusal('sheet', { kind: 'path', words: [], seed: 1 }), /^words: must hold at least 1 of them/);
  assert.match(
    await refusal('sheet', { kind: 'path', words: ['see', 'See'], seed: 1 }),
    /^words\[1\]: “see” stands .* twice/,
  );
  assert.match(
    await refusal('sheet', { kind: 'word-search', words: ['in', 'pin'], seed: 1 }),
    /^words: “in” stands within “pin”/,
  );
  assert.match(
    await refusal('sheet', { kind: 'word-search', words: ['elephant'], seed: 1, rows: 3, cols: 3 }),
    /^words: “elephant” is longer/,
  );
  assert.match(await refusal('sheet', { kind: 'poem', words, seed: 1 }), /^kind: must be one of/);
});

test('resting words that are due on one day stand in the order of the list', async () => {
  const on = (day: string, word: string) => ({ on: day, word, right: true });
  const log = [on('2027-01-04', 'b'), on('2027-01-04', 'a'), on('2027-01-05', 'b'), on('2027-01-05', 'a')];
  const input = { order: ['a', 'b', 'c'], size: 2, restAfter: 2, gapsWeeks: [1], today: '2027-01-06', log };
  const { resting } = await ask('word-sets', input);
  assert.deepEqual(resting, [
    { word: 'a', next: '2027-01-12' },
    { word: 'b', next: '2027-01-12' },
  ]);
});
