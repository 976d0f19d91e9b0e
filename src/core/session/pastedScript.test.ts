import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { parseContent } from '../expressions/index.ts';
import { thingIndex, type Thing } from '../materials/index.ts';
import { paragraphsOf, readPasted } from './pastedScript.ts';

const thing = (key: string, one: string, many: string): Thing => ({ key, one, many, traits: [], allergens: [] });
const INDEX = thingIndex({
  cup: thing('cup', 'cup', 'cups'),
  'paper-cup': thing('paper-cup', 'paper cup', 'paper cups'),
  lid: thing('lid', 'jar lid', 'jar lids'),
});
const read = (text: string) => readPasted(paragraphsOf(text), INDEX).parts;

const PAGE = `Hello
Put your phone away and sit down.
“I have something for you.”

Washing day (10 min)
1. Fill 6 cups and two of the big paper cups with water.
2. Ask: “Which one is heaviest?” answer: the full one
- “How do you know?”
• If they spill it: hand them a cloth.
Notice whether they use both hands.
Sing the washing song once.

Goodbye
Count the jar lids back into the bowl. Tidy up together, and say well done. Then hang the cloth over the chair to dry.`;

test('a page becomes parts: headings, kinds, answers, things and minutes', () => {
  const parts = read(PAGE);
  assert.deepEqual(
    parts.map(({ title, minutes, lines }) => [title, minutes, lines.length]),
    [
      ['Hello', 2, 2],
      ['Washing day', 10, 6],
      ['Goodbye', 2, 3],
    ],
  );
  assert.deepEqual(
    parts[1]!.lines.map(({ kind, text, answer = '', isGuessed }) => [kind, text, answer, isGuessed]),
    [
      ['do', 'Fill 6 cups and two of the big paper cups with water.', '', false],
      ['ask', '“Which one is heaviest?”', 'the full one', false],
      ['ask', '“How do you know?”', '', true],
      ['if', 'If they spill it: hand them a cloth.', '', true],
      ['notice', 'Notice whether they use both hands.', '', true],
      ['sing', 'Sing the washing song once.', '', true],
    ],
  );
  assert.deepEqual(parts[1]!.needs, [
    { item: 'cup', qty: 6 },
    { item: 'paper-cup', qty: 2 },
  ]);
  assert.deepEqual(parts[2]!.needs, [{ item: 'lid', qty: 1 }]);
});

test('lines without any heading stay one part, and no line of them is taken for one', () => {
  const [only, ...others] = read('Tip the lids out\nCount them\n“How many?”\nPut them back');
  assert.equal(others.length, 0);
  assert.deepEqual([only!.title, only!.lines.length], [null, 4]);
  const [plain] = read('Tip the lids out.\nCount them\n“How many?”\nPut them back');
  assert.deepEqual([plain!.title, plain!.lines.length], [null, 4]);
  assert.deepEqual(read(''), []);
  assert.deepEqual(read('   \n\n  '), []);
});

test('whatever is pasted comes out bounded, and a brace in it is a brace', () => {
  const words = fc.constantFrom(
    'Ask:',
    '“Why?”',
    '{n}',
    '{',
    '6 cups',
    '\n',
    '\n\n',
    '- ',
    'Go on.',
    '->',
    'x'.repeat(3000),
  );
  fc.assert(
    fc.property(fc.array(words, { maxLength: 60 }), (pieces) => {
      for (const { lines } of read(pieces.join(' ')))
        for (const { text, answer = '' } of lines) {
          assert.ok(text.length <= 2000 && answer.length <= 500);
          assert.ok(parseContent(text).every(({ kind }) => kind === 'text'));
        }
    }),
    { seed: 24, numRuns: 300 },
  );
  const many = read('One thing.\n'.repeat(30_000));
  assert.ok(readPasted(paragraphsOf('One thing.\n'.repeat(3000)), INDEX).leftOut === 1500);
  assert.deepEqual([many.length, many[0]!.lines.length, many.at(-1)!.lines.length], [25, 60, 60]);
});
