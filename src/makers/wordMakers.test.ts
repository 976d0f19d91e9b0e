import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Drawing, Shape } from '../core/page/index.ts';
import { type MakerSettings, type MakerValues, USUAL_SETTINGS } from '../core/session/index.ts';
import { ACCENTS, spokenPieces, wordPieces } from '../core/sounds/index.ts';
import { findRhymes, findStarts, PICTURE_WORD } from '../core/words/index.ts';
import { knownWords, type MakerOutput } from '../core/makers/index.ts';
import { findMaker } from './index.ts';
import { rhymeRows } from './rhyme-pot/maker.ts';
import { made, make } from '../../tests/support/makers.ts';

const refused = (id: string, values: MakerValues, settings: Partial<MakerSettings> = {}) => {
  const answer = make(id, values, settings);
  return answer.ok ? 'made' : answer.problem.code;
};
const ofKind = <Kind extends Shape['kind']>({ shapes }: Drawing, kind: Kind) =>
  shapes.filter((shape): shape is Extract<Shape, { kind: Kind }> => shape.kind === kind);

test('in every row of the pot two rhyme, one does not, and no picture is taken for another, in both accents', () => {
  for (const accent of ACCENTS) {
    const { known } = knownWords({ ...USUAL_SETTINGS, accent });
    for (let seed = 1; seed <= 60; seed++) {
      const rows = rhymeRows(accent, 8, seed);
      assert.equal(rows.length, 8);
      const words = rows.flatMap(({ pair, odd }) => [...pair, odd].map(({ word }) => word));
      assert.equal(new Set(words).size, words.length);
      for (const { pair, odd } of rows) {
        const three = [...pair, odd].map(({ word }) => word);
        const { families, unsure } = findRhymes(three, known, accent);
        assert.deepEqual([families.length, families[0]?.includes(odd.word), unsure], [1, false, []], three.join(' '));
        const groups = [...pair, odd].map(({ group, picture }) => group ?? picture);
        assert.equal(new Set(groups).size, 3, three.join(' '));
      }
    }
    assert.deepEqual(rhymeRows(accent, 5, 7), rhymeRows(accent, 5, 7));
  }
});

test('what goes into the first-sound pot starts with its sound, what stays out does not, for every sound', () => {
  const maker = findMaker('sound-pot')!;
  const [sounds] = maker.dials;
  assert.ok(sounds?.kind === 'choice' && sounds.choices.length > 14);
  const symbols: Record<string, string> = { c: 'K', h: 'HH', sh: 'SH', ch: 'CH', j: 'JH' };
  for (const sound of sounds.choices) {
    const { facts, printable } = made('sound-pot', { sound, inside: 2, outside: 1, shuffle: 5 });
    const [, inside, outside] = /^In: (.+)\. Out: (.+)\.$/.exec(facts[0]!)!;
    const words = (list: string) => list.split(/, | and /);
    const { known } = knownWords(USUAL_SETTINGS);
    const starts = (word: string) => findStarts(symbols[sound] ?? sound.toUpperCase(), [word], known, 'gb');
    for (const word of words(inside!)) assert.deepEqual([starts(word).yes, starts(word).traps], [[word], []], word);
    for (const word of words(outside!)) assert.deepEqual(starts(word).yes, [], word);
    assert.deepEqual(
      printable.cards.flatMap((card) => ofKind(card, 'picture').map(({ name }) => name)).sort(),
      [...words(inside!), ...words(outside!)].map((word) => PICTURE_WORD.get(word)!.picture).sort(),
    );
  }
});

test('a word is broken so that an adult says its sounds', () => {
  const said: Record<string, string> = {
    coat: 'c-oa-t',
    sock: 's-o-ck',
    chin: 'ch-i-n',
    cake: 'c-ay-k',
    bike: 'b-igh-k',
    nose: 'n-oa-z',
    box: 'b-o-k-s',
    knee: 'n-ee',
    bell: 'b-e-l',
    moon: 'm-oo-n',
    ship: 'sh-i-p',
    light: 'l-igh-t',
    phone: 'f-oa-n',
    hand: 'h-a-n-d',
  };
  const { known, accent } = knownWords(USUAL_SETTINGS);
  for (const [word, pieces] of Object.entries(said))
    assert.equal(spokenPieces(wordPieces(word, known, accent)).join('-'), pieces);
  assert.equal(refused('blend-by-ear', { words: 'coat, butterfly' }), 'list');
  for (const kind of ['i-spy', 'fetch-it', 'touch-it', 'a-puppet-says'])
    assert.ok(
      made('blend-by-ear', { kind }).lines.right.some(({ kind: line, text }) => line === 'say' && text.includes('-')),
    );
});

test('a card has as many dots as its word has claps; names are counted as told', () => {
  const { printable, key } = made('clap-the-parts', { names: 'Ilvo', parts: '2', words: 'moon, elephant' });
  assert.deepEqual(
    printable.cards.map((card) => ofKind(card, 'circle').length),
    [2, 1, 3],
  );
  assert.deepEqual(key, ['Ilvo: 2', 'moon: 1', 'elephant: 3']);
  assert.equal(refused('clap-the-parts', { names: 'Ilvo, Nim', parts: '2' }), 'list');
  assert.equal(refused('clap-the-parts', { words: 'moon, b4' }), 'list');
  assert.equal(refused('clap-the-parts', { names: '' }), 'made');
});

test('there are as many tiles as are said, of what the words take, in the letters of the programme', () => {
  const letters = (output: MakerOutput) =>
    output.printable.cards.flatMap((card) => ofKind(card, 'text').map(({ text }) => text)).join('');
  assert.equal(letters(made('letter-tiles', { words: 'sun, nut' })), 'sunt');
  assert.equal(letters(made('letter-tiles', { words: 'sun, nut', laid: 'all-at-once' })), 'suunnt');
  assert.equal(letters(made('letter-tiles', { words: 'sun, nut' }, { letters: 'capitals' })), 'SUNT');
  assert.ok(made('letter-tiles', { words: 'moon', have: 'mon' }).facts.some((fact) => fact.includes('short of o: 1')));
  assert.ok(made('letter-tiles', { words: 'moon', have: 'moon' }).facts.some((fact) => fact.includes('has them all')));
});

test('a dot stands under its letter, a bar under its letters, an arc from the vowel to its e', () => {
  const [ship] = made('word-cards', { words: 'ship, cake' }).printable.cards;
  const [word] = ofKind(ship!, 'text');
  assert.equal(word!.text, 'ship');
  const [bar] = ofKind(ship!, 'line');
  const dots = ofKind(ship!, 'circle');
  assert.ok(bar!.x1 > word!.x && bar!.x2 < dots[0]!.x && dots[0]!.x < dots[1]!.x);
  const cake = made('word-cards', { words: 'ship, cake' }).printable.cards[1]!;
  const arc = ofKind(cake, 'line');
  const [c, k] = ofKind(cake, 'circle');
  assert.ok(arc[0]!.x1 > c!.x && arc[0]!.x1 < k!.x && arc.at(-1)!.x2 > k!.x);
  assert.equal(arc[0]!.y1.toFixed(3), arc.at(-1)!.y2.toFixed(3));
});

test('word cards say what cannot be read yet and what is tricky', () => {
  const facts = made('word-cards', { words: 'sat, ship, said', taught: 2 }).facts.join(' ');
  assert.match(facts, /ship cannot be read yet: later in the order comes sh/);
  assert.doesNotMatch(facts, /sat cannot/);
  assert.match(facts, /said is tricky at ai/);
});

test('the key of a word sheet is true of what is printed', () => {
  const words = 'the, and, see, go';
  const hunt = made('word-sheet', { kind: 'word-hunt', words });
  assert.equal(hunt.key.length, 4);
  const texts = hunt.printable.sheets.flatMap((sheet) => ofKind(sheet, 'text').map(({ text }) => text));
  for (const [row, line] of hunt.key.entries()) {
    const [, word, place] = /^(\w+): place (\d+)/.exec(line)!;
    assert.equal(texts[row * 6 + Number(place)], word);
    assert.equal(texts[row * 6], word);
  }
  const search = made('word-sheet', { kind: 'word-search', words });
  const letters = search.printable.sheets.flatMap((sheet) => ofKind(sheet, 'text').map(({ text }) => text));
  const side = Math.sqrt(letters.length - 4);
  for (const line of search.key) {
    const [, word, row, col, way] = /^(\w+): line (\d+), place (\d+), (.+)$/.exec(line)!;
    const read = [...word!].map(
      (_, at) =>
        letters[
          (Number(row) - 1 + (way === 'downwards' ? at : 0)) * side + Number(col) - 1 + (way === 'downwards' ? 0 : at)
        ],
    );
    assert.equal(read.join(''), word);
  }
  assert.equal(refused('word-sheet', { words: 'in, pin', kind: 'word-search' }), 'list');
  assert.equal(refused('word-sheet', { words }, { playOnly: true }), 'breaks-level');
});

test('I stands large in words and sentences; a card of it has its dot', () => {
  const textsOf = (drawings: readonly Drawing[]) =>
    drawings.flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : [])));
  for (const kind of ['match-across', 'path', 'missing-word']) {
    const texts = textsOf(made('word-sheet', { kind, words: 'i, am, we, see' }).printable.sheets);
    assert.ok(texts.includes('I') && !texts.includes('i'), kind);
  }
  assert.match(made('word-sheet', { words: 'i, am, we' }).facts[0]!, /^I, am and we/);
  assert.ok(textsOf(made('word-cards', { words: 'i, am' }).printable.cards).includes('I'));
});

test('a path is walked from the dot along its line to the square, each place beside the one before', () => {
  const { picture, lines } = made('word-sheet', { kind: 'path', words: 'the, and, my, see, go' });
  const places = ofKind(picture, 'text');
  const joints = ofKind(picture, 'line');
  assert.deepEqual([places.length, joints.length, ofKind(picture, 'circle').length], [24, 25, 1]);
  const middleOf = ({ x1, x2, y1, y2 }: (typeof joints)[number]) => [(x1 + x2) / 2, (y1 + y2) / 2] as const;
  for (const [index, to] of places.slice(1).entries()) {
    const from = places[index]!;
    assert.ok((from.x === to.x) !== (from.y === to.y), `${index}: sideways or down`);
    const isJoined = joints.some((joint) => {
      const [x, y] = middleOf(joint);
      return Math.abs(x - (from.x + to.x) / 2) < 1e-6 && Math.abs(y - (from.y + to.y) / 2) < 6;
    });
    assert.ok(isJoined, `${index} is joined to the next`);
  }
  const [dot] = ofKind(picture, 'circle');
  const square = ofKind(picture, 'rect').find(({ fill }) => fill === 'teal')!;
  assert.ok(dot!.x < places[0]!.x && square.y > places.at(-2)!.y - picture.height / 4);
  assert.ok(ofKind(picture, 'rect').every(({ x, w }) => x >= 0 && x + w <= picture.width + 1e-9));
  assert.match(lines.right.map(({ text }) => text).join(' '), /begin at the dot.*to the square/);
});

test('a word game is over when every word was read often enough, or with luck, as the programme has it; what is played with is listed', () => {
  for (const [kind, things] of [
    ['path', ['die', 'bottle-lid', 'button']],
    ['dice-lines', ['die']],
    ['three-in-a-row', ['bottle-lid', 'button']],
  ] as const) {
    const values = { kind, words: 'the, and, my, see, go' };
    const drawnOut = made('word-sheet', values);
    const lucky = made('word-sheet', values, { wordGames: 'chance' });
    const texts = (output: typeof drawnOut) => output.lines.right.map(({ text }) => text).join(' ');
    assert.match(texts(drawnOut), /over when each has 3 strokes/);
    assert.match(texts(lucky), /Play again/);
    assert.equal(drawnOut.printable.sheets.length, lucky.printable.sheets.length + 1, 'places for strokes');
    assert.ok(drawnOut.minutes.together[1] >= lucky.minutes.together[1], kind);
    assert.match(drawnOut.facts[0]!, /a game takes about \d+ turns, 8 in 10 between \d+ and \d+/);
    const items = drawnOut.materials.map(({ item }) => item);
    assert.deepEqual(items.slice(items.indexOf('pencil') + 1), things);
  }
});

test('a name strip has a capital first, then small letters, and an edge of its own between each two', () => {
  const { key, picture } = made('name-strip', { name: 'MAREN' });
  assert.deepEqual(key, ['Maren: M, a, r, e, n']);
  const edges = Array.from({ length: 4 }, (_, cut) =>
    ofKind(picture, 'line')
      .slice(cut * 5, cut * 5 + 5)
      .map(({ x1, x2 }) => (x1 - x2).toFixed(2))
      .join(),
  );
  assert.equal(new Set(edges).size, 4);
  assert.equal(made('name-strip', { name: 'Zoë' }).key[0], 'Zoë: Z, o, ë');
  for (const name of ['', 'A', 'Anna Lena', 'Иван', 'b4', 'x'.repeat(13)])
    assert.equal(refused('name-strip', { name }), 'list', name);
});

test('what is to be listened for has its things in the list, plain ones first', () => {
  const few = made('guess-the-sound', { things: 2 });
  const many = made('guess-the-sound', { things: 8, round: 'near-and-far' });
  const items = ({ materials }: MakerOutput) => materials.map(({ item }) => item);
  assert.deepEqual(items(few), ['bicycle-bell', 'bunch-of-keys', 'cushion']);
  assert.deepEqual(items(many).slice(0, 2), items(few).slice(0, 2));
  assert.ok(many.lines.right.some(({ text }) => text.includes('from another corner')));
});

test('words that cannot be taken apart, and rude ones, are refused with the dial', () => {
  const turned = 'fuvg'.replace(/[a-z]/g, (letter) =>
    String.fromCharCode(97 + ((letter.charCodeAt(0) - 97 + 13) % 26)),
  );
  for (const id of ['word-cards', 'letter-tiles', 'word-sheet'])
    for (const words of ['b4, cat', 'café, cat', `${turned}, cat`, 'cat, Cat', ''])
      assert.equal(refused(id, { words }), 'list', `${id} ${words}`);
});
