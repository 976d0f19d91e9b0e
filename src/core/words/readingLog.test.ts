import assert from 'node:assert/strict';
import { test } from 'node:test';
import { seededChance } from '../chance.ts';
import { COMMON_WORDS, readWordOrder, unreadableIn } from './commonWords.ts';
import { childWords, hardLetters, wordSheets } from './readingLog.ts';
import { isRude } from './rudeWords.ts';

const TODAY = '2027-03-08';
const read = (on: string, word: string, right = true) => ({ on, word, right });

test('a word read right on three days rests a week, the next one comes in, and it is due when its week is over', () => {
  const order = ['the', 'and', 'my', 'see', 'go', 'we'];
  const log = ['2027-02-24', '2027-02-25', '2027-02-26'].map((on) => read(on, 'and'));
  const at = (today: string) => childWords({ order, atOnce: 5, restAfter: 3, log, today });
  assert.deepEqual(at('2027-02-27').active, ['the', 'my', 'see', 'go', 'we']);
  assert.deepEqual([at('2027-03-04').due, at('2027-03-05').due], [[], ['and']]);
  const missed = childWords({
    order,
    atOnce: 5,
    restAfter: 3,
    log: [...log, read('2027-03-05', 'and', false)],
    today: TODAY,
  });
  assert.equal(missed.active[0], 'and');
});

test('hard letters are those of missed words, unless they are read elsewhere as often; old misses do not count', () => {
  const log = [
    ...[read('2027-03-01', 'dig', false), read('2027-03-02', 'bad', false)],
    ...[
      read('2027-03-03', 'big', false),
      read('2027-03-04', 'ant'),
      read('2027-03-05', 'in'),
      read('2027-03-06', 'it'),
    ],
  ];
  assert.deepEqual(hardLetters(log, TODAY), ['b', 'd', 'g']);
  assert.deepEqual(hardLetters(log, '2027-06-01'), []);
  assert.deepEqual(hardLetters([], TODAY), []);
  assert.deepEqual(hardLetters([read('2027-03-01', 'dig', false)], TODAY), []);
});

test('sheets hold every word, none more than fit, none alone', () => {
  const chance = seededChance(3);
  for (let round = 0; round < 500; round++) {
    const words = Array.from({ length: Math.floor(chance() * 40) }, (_, index) => `w${index}`);
    const most = 2 + Math.floor(chance() * 8);
    const sheets = wordSheets(words, most);
    if (words.length < 2) assert.deepEqual(sheets, []);
    else assert.deepEqual([...new Set(sheets.flat())], words);
    for (const sheet of sheets) assert.ok(sheet.length >= 2 && sheet.length <= most, `${words.length} ${most}`);
  }
});

test('our own list has each word once, in small letters, none rude; a list of one’s own is read with commas, blanks and lines', () => {
  assert.equal(new Set(COMMON_WORDS).size, COMMON_WORDS.length);
  assert.ok(COMMON_WORDS.length >= 90 && COMMON_WORDS.every((word) => /^[a-z]+$/.test(word) && !isRude(word)));
  assert.deepEqual(readWordOrder(' The, and\n\nmy;see the '), ['the', 'and', 'my', 'see']);
  assert.deepEqual(readWordOrder(''), []);
  assert.equal(unreadableIn('the and'), undefined);
  assert.equal(unreadableIn('the don’t'), 'don’t');
  assert.equal(unreadableIn('x'.repeat(25)), 'x'.repeat(25));
});
