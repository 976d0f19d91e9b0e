import assert from 'node:assert/strict';
import { test } from 'node:test';
import { describeWordFinding } from '../../messages/findings.ts';
import { knownWords } from '../makers/index.ts';
import { ACCENTS } from '../sounds/index.ts';
import { checkLineWords, withWordReplaced, wordsOfLine, type WordQuestion } from './lineWords.ts';
import { PICTURE_WORD } from './pictureWords.ts';
import { findRhymes } from './rhymes.ts';
import { findStarts } from './starts.ts';

const words = knownWords({ accent: 'gb' });
const ask = (text: string, question: Partial<WordQuestion>, knowledge = words) =>
  checkLineWords(text, { aim: 'rhyme', sound: 's', on: '2027-03-20', steps: [], ...question }, knowledge);

test('the row of words of a line is found, whatever stands around it', () => {
  for (const [line, expected] of [
    ['Lay out a hat, a cat and the bat.', ['hat', 'cat', 'bat']],
    ['“Which two sound alike: moon, spoon or fork?”', ['moon', 'spoon', 'fork']],
    ['Look, wait, and then fetch your sock and a ship from the basket.', ['sock', 'ship']],
    ['Sing it again.', []],
    ['', []],
  ] as const)
    assert.deepEqual(wordsOfLine(line, 'starts'), expected, line);
  assert.deepEqual(wordsOfLine('Point: “The chair is red.”', 'readable'), ['the', 'chair', 'is', 'red']);
  assert.ok(wordsOfLine('a, '.repeat(5000) + 'b', 'starts').length <= 24);
  assert.ok(wordsOfLine('sun and moon '.repeat(2000), 'readable').length <= 24);
});

test('a word that does not rhyme is named, and another that does is offered, in both accents', () => {
  const { findings } = ask('Say hat, cat and cot.', { aim: 'rhyme' });
  assert.deepEqual(
    findings.map(({ code, word }) => [code, word]),
    [['no-rhyme', 'cot']],
  );
  for (const accent of ACCENTS) {
    const knowledge = knownWords({ accent });
    for (const row of ['hat, cat and cot', 'moon, spoon and star', 'bell, shell and bus']) {
      const [finding] = ask(row, { aim: 'rhyme' }, knowledge).findings;
      assert.ok(finding?.code === 'no-rhyme');
      if (finding.instead === null) continue;
      const first = row.split(', ')[0]!;
      assert.equal(findRhymes([first, finding.instead], knowledge.known, accent).families.length, 1, row);
    }
  }
  assert.deepEqual(ask('hat, cat and bat', { aim: 'rhyme' }).findings, []);
});

test('what starts otherwise for the ear is named with how it is written, and what offers itself starts so', () => {
  const { findings } = ask('Lay out a sock, a ship, a city and soap.', { aim: 'starts', sound: 's' });
  assert.deepEqual(
    findings.map(({ code, word, values }) => [code, word, values.written]),
    [
      ['starts-otherwise', 'ship', 'sh'],
      ['starts-so-but', 'city', 'c'],
    ],
  );
  const [ship] = findings;
  assert.ok(ship?.code === 'starts-otherwise' && ship.instead !== null);
  assert.deepEqual(findStarts('S', [ship.instead], words.known, 'gb').yes, [ship.instead]);
  const two = ask('a sock, a fork and a bell', { aim: 'starts', sound: 's' }).findings;
  const offered = two.map(({ instead }) => instead);
  assert.equal(new Set(offered).size, 2);
});

test('what cannot be read yet says what lacks and on which day it comes; what is taught by the day is fine', () => {
  const steps = [
    { on: '2027-03-04', graphemes: ['m', 'a', 's', 't', 'i', 'n', 'p', 'o', 'h', 'e', 'r'] },
    { on: '2027-04-29', graphemes: ['sh', 'ch', 'th'] },
    { on: '2027-05-13', graphemes: ['air'] },
  ];
  const at = (on: string, text: string) =>
    ask(text, { aim: 'readable', on, steps }).findings.map((finding) => describeWordFinding(finding).text);
  assert.deepEqual(at('2027-03-20', '“chair”'), [
    '“chair” cannot be read yet: ch comes on 29 Apr, air comes on 13 May.',
  ]);
  assert.deepEqual(at('2027-05-13', '“chair”'), []);
  assert.deepEqual(at('2027-03-20', '“mat pin rest”'), []);
  assert.deepEqual(at('2027-05-20', '“said”'), ['“said” cannot be read yet: ai is tricky here, d is in no step.']);
});

test('two words of one picture are named, and another of the kind has a picture of its own', () => {
  const { findings } = ask('hen, chicken and duck', { aim: 'pictures' });
  const [shared] = findings;
  assert.ok(findings.length === 1 && shared?.code === 'share-picture');
  assert.equal(describeWordFinding(shared).text, '“hen” and “chicken” share a picture or look alike.');
  assert.equal(shared.word, 'chicken');
  assert.ok(shared.instead !== null && PICTURE_WORD.get(shared.instead)!.group === undefined);
  assert.deepEqual(ask('cat, duck and frog', { aim: 'pictures' }).findings, []);
});

test('a word is replaced where it stands alone, and never inside another or in braces', () => {
  assert.equal(withWordReplaced('A cot, a cottage, {cot} and Cot.', 'cot', 'bat'), 'A bat, a cottage, {cot} and bat.');
  assert.equal(withWordReplaced('{@cot}', 'cot', 'bat'), null);
  assert.equal(withWordReplaced('{n:cot|cots} and cot', 'cot', 'bat'), '{n:cot|cots} and bat');
  assert.equal(withWordReplaced('', 'cot', 'bat'), null);
});
