import assert from 'node:assert/strict';
import { test } from 'node:test';
import { makeAdjustable, numbersIn, rangeFor, singularOf, usesOf } from './adjustable.ts';
import { dialValues } from './dial.ts';
import { plainSegment } from './plainSegment.ts';
import type { Segment } from './session.ts';
import { formatPieces, renderTemplate } from '../expressions/index.ts';

const line = (id: string, text: string, answer?: string) => ({
  id,
  kind: 'do' as const,
  text,
  ...(answer && { answer }),
});
const part = (change: Partial<Segment>): Segment => ({
  ...plainSegment('part', 'activity', 'Lids', [1, 2, 3]),
  ...change,
});
const written = (segment: Segment, value?: number) =>
  segment.lines.map(({ text }) => {
    const values = {
      ...dialValues(segment.dials),
      ...(value !== undefined && { [segment.dials.at(-1)!.name]: value }),
    };
    const rendered = renderTemplate(text, { values, things: {} });
    return rendered.ok ? formatPieces(rendered.value) : 'wrong';
  });

test('numbers that may be made adjustable: whole ones in figures, outside of what is adjustable already', () => {
  assert.deepEqual(numbersIn('Lay out 6 lids and {boxes} boxes, then 6 more and 12.'), [6, 12]);
  for (const text of [
    'at 10:30',
    'half: 1/2',
    '1.5 metres',
    'Nothing',
    '{=n+3}',
    '50 %',
    '1000 steps',
    'a {@lids|12} b',
  ])
    assert.deepEqual(numbersIn(text), text === '50 %' ? [50] : [], text);
  assert.deepEqual(rangeFor(6), { min: 3, max: 12 });
  assert.deepEqual(rangeFor(1), { min: 1, max: 2 });
});

test('what is counted goes by the number, where it is a plural that stands right behind it', () => {
  const lids = part({ lines: [line('1', 'Put 6 boxes out: 6 of them. Do it 6 times.')] });
  const uses = usesOf(lids, 6);
  assert.deepEqual(
    uses.map((use) => use.in === 'line' && use.counted),
    ['boxes', undefined, undefined],
  );
  const made = makeAdjustable(lids, { value: 6, label: 'boxes', min: 1, max: 9, one: { boxes: 'box' } }, uses);
  assert.deepEqual(written(made, 1), ['Put 1 box out: 1 of them. Do it 1 times.']);
  assert.deepEqual(written(made, 6), ['Put 6 boxes out: 6 of them. Do it 6 times.']);
  const singles = {
    cups: 'cup',
    berries: 'berry',
    dishes: 'dish',
    buses: 'bus',
    glass: 'glass',
    toys: 'toy',
    keys: 'key',
  };
  for (const [plural, one] of Object.entries(singles)) assert.equal(singularOf(plural), one);
});

test('all its uses are found, in lines of every level, in answers and in what is fetched, in figures and in words', () => {
  const segment = part({
    lines: [line('a', 'Lay out 6 lids.'), line('b', 'How many? Sixteen is 16.', 'Six, and {n}')],
    levels: { easier: { text: 'Easier.', dials: {}, lines: [line('c', 'Six lids, not 66.')] } },
    needs: [
      { id: 'lids', item: 'bottle-lid', qty: 6, per: 'home', use: 'lasting', swaps: [] },
      { id: 'bowl', item: 'bowl', qty: 1, per: 'home', use: 'lasting', swaps: [] },
    ],
  });
  assert.deepEqual(usesOf(segment, 6), [
    { in: 'line', line: 'c', field: 'text', at: 0, said: 'Six', counted: 'lids' },
    { in: 'line', line: 'a', field: 'text', at: 8, said: '6', counted: 'lids' },
    { in: 'line', line: 'b', field: 'answer', at: 0, said: 'Six' },
    { in: 'need', need: 'lids' },
  ]);
});

test('made adjustable it reads as before, and turns everywhere it was chosen', () => {
  const segment = part({ lines: [line('a', 'Lay 6 lids in 2 rows of 6.'), line('b', 'Count to 6.')] });
  const uses = usesOf(segment, 6);
  const made = makeAdjustable(segment, { value: 6, label: 'lids', min: 3, max: 12 }, uses.slice(0, 2));
  assert.deepEqual(
    written(made),
    segment.lines.map(({ text }) => text),
  );
  assert.deepEqual(written(made, 9), ['Lay 9 lids in 2 rows of 9.', 'Count to 6.']);
  assert.deepEqual(made.dials, [{ name: 'lids', label: 'lids', min: 3, max: 12, value: 6 }]);
  const again = makeAdjustable(made, { value: 2, label: 'Lids!', min: 1, max: 4 }, usesOf(made, 2));
  assert.equal(again.dials[1]!.name, 'lids2');
  assert.deepEqual(
    written(again),
    segment.lines.map(({ text }) => text),
  );
  assert.equal(makeAdjustable(segment, { value: 6, label: '…', min: 3, max: 12 }, []).dials[0]!.name, 'number');
});
