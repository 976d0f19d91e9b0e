import assert from 'node:assert/strict';
import { test } from 'node:test';
import { authorMakers } from '../../messages/authorMakers.ts';
import { regenerateIn } from '../makers/index.ts';
import { SESSION, THINGS } from '../guide/session.fixture.ts';
import { templateScope } from './asWrittenScope.ts';
import { applyEdit } from './edit.ts';
import { textElsewhere } from './elsewhere.ts';

const carts = SESSION.segments.find(({ id }) => id === 'carts')!;
const hunt = SESSION.segments.find(({ id }) => id === 'hunt')!;
const there = (text: string, target = hunt) => textElsewhere(text, templateScope(carts, THINGS), target);

test('what a part does not know becomes the words it stood for, the rest goes along', () => {
  assert.equal(
    there('{boxes} and {=boxes*2}, {@lids}; {loves|a digger} for {child|your child}'),
    '4 and 8, bottle lids; {loves|a digger} for {child|your child}',
  );
  assert.equal(there('{boxes} and {=boxes*2}, {@lids}', carts), '{boxes} and {=boxes*2}, {@lids}');
  assert.equal(there('{nothing} is left of it; {{ stays'), ' is left of it; {{ stays');
});

test('a line is carried to the end of another part, and is gone where it was', () => {
  const [first] = carts.lines;
  const edit = { do: 'carry-line', segment: 'carts', line: first!.id, to: 'hunt', text: 'Here now.' } as const;
  const answer = applyEdit(SESSION, edit, regenerateIn(authorMakers));
  assert.ok(answer.ok);
  const linesOf = (id: string) => answer.value.segments.find((segment) => segment.id === id)!.lines;
  assert.ok(!linesOf('carts').some(({ id }) => id === first!.id));
  assert.deepEqual(linesOf('hunt').at(-1), { ...first, text: 'Here now.', answer: undefined });
  assert.equal(applyEdit(SESSION, { ...edit, line: 'gone' }, regenerateIn(authorMakers)).ok, false);
});
