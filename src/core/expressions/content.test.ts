import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { type ContentNode, parseContent, printContent } from './content.ts';
import { demoEntries } from '../../../tests/support/demoFile.ts';

const RUNS = { seed: 24, numRuns: 2000 };

/** Strings that are rich in what means something. */
const sources = fc
  .array(fc.constantFrom('{', '}', '{{', '|', ':', '=', '@', ' ', 'n', 'lids', 'one', 'count', 'loves|', 'child|', 'é'))
  .map((pieces) => pieces.join(''));

const PLAIN = { noNullPrototype: true };
const name = fc.constantFrom('n', 'plates', 'a-b');
const words = fc.constantFrom('', 'plate', 'a digger', 'two words');
const slot: fc.Arbitrary<ContentNode> = fc.oneof(
  name.map((dial) => ({ kind: 'dial' as const, name: dial })),
  name.map((expression) => ({ kind: 'sum' as const, expression: `${expression}*2` })),
  fc.record(
    {
      kind: fc.constant('by-number' as const),
      expression: name,
      isSum: fc.boolean(),
      one: words,
      many: words,
    },
    PLAIN,
  ),
  fc.record(
    {
      kind: fc.constant('thing' as const),
      need: name,
      form: fc.constantFrom('many' as const, 'one' as const, 'count' as const, { by: 'n-1' }),
    },
    PLAIN,
  ),
  fc.record({ kind: fc.constantFrom('loves' as const, 'child' as const), otherwise: words }, PLAIN),
);
/** Trees as they are read: no two texts beside each other, no empty one. */
const trees = fc
  .array(fc.tuple(fc.string({ unit: fc.constantFrom('a', '{', '}', ' ', '“'), maxLength: 4 }), slot))
  .map((pairs) => pairs.flatMap(([text, node]) => (text ? [{ kind: 'text' as const, text }, node] : [node])));

test('what is read of any string prints as that string', () => {
  fc.assert(
    fc.property(sources, (source) => {
      assert.equal(printContent(parseContent(source)), source);
    }),
    RUNS,
  );
});

test('what is printed of any tree reads as that tree', () => {
  fc.assert(
    fc.property(trees, (tree) => {
      assert.deepEqual(parseContent(printContent(tree)), tree);
    }),
    RUNS,
  );
});

test('every line of the demo and the starter prints as it is stored', () => {
  let lines = 0;
  for (const section of ['activities', 'books', 'songs', 'sessions']) {
    const texts = JSON.stringify(demoEntries(section)).matchAll(/"(?:text|answer|title)":("(?:[^"\\]|\\.)*")/g);
    for (const [, quoted] of texts) {
      const source = JSON.parse(quoted!) as string;
      assert.equal(printContent(parseContent(source)), source);
      lines += 1;
    }
  }
  assert.ok(lines > 500, `${lines} lines were read`);
});
