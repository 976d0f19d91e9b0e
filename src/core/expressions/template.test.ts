import assert from 'node:assert/strict';
import { test } from 'node:test';
import { renderTemplate, formatPieces, type TemplateScope } from './template.ts';

const scope: TemplateScope = {
  values: { n: 4, colour: 'red, blue' },
  things: { lids: { one: 'jar lid', many: 'jar lids', qty: 4 } },
};
const written = (source: string, within: TemplateScope = scope) => {
  const rendered = renderTemplate(source, within);
  assert.ok(rendered.ok, JSON.stringify(rendered));
  return formatPieces(rendered.value);
};

test('a line follows its dials, its sums and what a home uses', () => {
  assert.equal(
    written('Put {n} {n:box|boxes} out, {=n*4} {@lids} in all, not {@lids|one}.'),
    'Put 4 boxes out, 16 jar lids in all, not jar lid.',
  );
  assert.equal(written('{=n-3} {=n-3:box|boxes}'), '1 box');
  assert.equal(written('Say {colour}.'), 'Say red, blue.');
});

test('an interest slot takes what the child loves, or the words behind the bar', () => {
  assert.equal(written('Today it is {loves|a digger}.'), 'Today it is a digger.');
  assert.equal(written('Today it is {loves|a digger}.', { ...scope, loves: 'an owl' }), 'Today it is an owl.');
});

test('a name slot takes what the child is called, or the words behind the bar', () => {
  assert.equal(written('Ask {child|your child}.'), 'Ask your child.');
  assert.equal(written('Ask {child|your child}.', { ...scope, child: 'Wren' }), 'Ask Wren.');
});

test('pieces tell dials from sums, so that only dials can be turned', () => {
  const rendered = renderTemplate('{n} and {=n*2}', scope);
  assert.ok(rendered.ok);
  assert.deepEqual(
    rendered.value.map(({ kind }) => kind),
    ['dial', 'text', 'computed'],
  );
});

test('a brace that is meant is written twice, and other text is left alone', () => {
  assert.equal(written('{{n} <script>alert(1)</script> 🐸 שלום'), '{n} <script>alert(1)</script> 🐸 שלום');
  assert.equal(written(''), '');
});

test('a line that cannot be written names the column', () => {
  assert.deepEqual(renderTemplate('Put {n out', scope), { ok: false, problem: { code: 'unclosed-brace', column: 5 } });
  assert.deepEqual(renderTemplate('Put {@cups} out', scope), {
    ok: false,
    problem: { code: 'unknown-need', need: 'cups', column: 5 },
  });
  const divided = renderTemplate('Share {=n/(n-4)} out', scope);
  assert.deepEqual(divided, {
    ok: false,
    problem: { code: 'braces', column: 7, problem: { code: 'division-by-zero', at: 'n/(n-4)' } },
  });
});
