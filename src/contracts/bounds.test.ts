import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import type { Lazy, Schema } from 'yup';
import { depthOfJson, findOutOfBounds } from './bounds.ts';
import { readCsv, writeCsv } from './csvEntries.ts';
import { homeForm } from './homeForm.ts';
import { keyFromTitle } from './keyFromTitle.ts';
import { checkShape, longest, MOST_PROBLEMS } from './problems.ts';
import { programmeForm, programmeSettings } from './programme.ts';
import { replyForm } from './reply.ts';
import { keptSession } from './script.ts';
import { shelfFile } from './shelfFile.ts';
import { keptTerm } from './term.ts';

test('what lies too deep, is too much, no number or no text is found with its place', () => {
  assert.equal(findOutOfBounds({ a: [1, 'two', null, { b: true }] }), null);
  const deep = JSON.parse(`${'['.repeat(60)}${']'.repeat(60)}`) as unknown;
  assert.match(findOutOfBounds(deep)!.message, /deeper than 24/);
  assert.deepEqual(findOutOfBounds({ a: [0, { b: JSON.parse('1e999') as number }] }), {
    path: 'a[1].b',
    message: 'must be a number that is not beyond all bounds',
  });
  assert.equal(findOutOfBounds({ a: 'x\0' })!.path, 'a');
  assert.equal(findOutOfBounds({ a: '\ud83d' })!.path, 'a');
  assert.equal(findOutOfBounds({ a: '🐸' }), null);
  assert.match(findOutOfBounds(JSON.parse('{"__proto__":1}'))!.message, /__proto__/);
  const small = { depth: 9, values: 10, text: 9, fields: 3 };
  assert.match(findOutOfBounds(Array(11).fill(0), small)!.message, /10 values/);
  assert.match(findOutOfBounds({ a: 1, b: 2, c: 3, d: 4 }, small)!.message, /3 fields/);
});

test('the depth of a JSON text is counted as reading it would find it', () => {
  const depthOf = (value: unknown): number =>
    typeof value === 'object' && value !== null
      ? 1 + Math.max(0, ...Object.values(value).map((inside) => depthOf(inside)))
      : 0;
  fc.assert(fc.property(fc.jsonValue(), (value) => assert.equal(depthOfJson(JSON.stringify(value)), depthOf(value))));
  assert.equal(depthOfJson('['.repeat(100_000)), 100_000);
});

/** Lists of a schema without a length, by their place. */
function unbounded(schema: Schema | Lazy<unknown>, at: string): string[] {
  const known = (schema.type === 'lazy' ? schema.resolve({ value: {} } as never) : schema) as Schema & {
    innerType?: Schema;
    fields?: Record<string, Schema>;
  };
  const own = known.type === 'array' && longest(known) === Infinity ? [at] : [];
  return [
    ...own,
    ...(known.innerType ? unbounded(known.innerType, `${at}[]`) : []),
    ...Object.entries(known.fields ?? {}).flatMap(([name, field]) => unbounded(field, `${at}.${name}`)),
  ];
}

test('every list that is taken in anywhere has a length', () => {
  const schemas = { shelfFile, keptSession, keptTerm, homeForm, replyForm, programmeForm, programmeSettings };
  for (const [name, schema] of Object.entries(schemas)) assert.deepEqual(unbounded(schema, name), []);
});

test('at most fifty problems are named, and a list that is too long is named alone', () => {
  const many = checkShape(shelfFile, { format: 'footstool', version: 1, things: Array(4000).fill({}) });
  assert.ok(!many.ok && many.problem.length === MOST_PROBLEMS && many.problem[0]!.path.startsWith('things[0]'));
  const long = checkShape(shelfFile, { format: 'footstool', version: 1, things: Array(6000).fill({}) });
  assert.deepEqual(long.ok ? [] : long.problem, [{ path: 'things', message: 'must hold at most 5000, not 6000' }]);
});

test('a cell that a program for tables would run is written harmlessly and read as it was', () => {
  for (const title of ['=1+1', '+cart', '-minus', '@home', "'=quoted", "plain 'words'"]) {
    const thing = { key: 'odd', one: title, many: title, traits: [], allergens: [], usualQty: 1, common: 0.5 };
    const csv = writeCsv([thing], 'thing');
    assert.doesNotMatch(csv, /(^|,)"?[=+\-@]/m);
    const read = readCsv(csv, 'thing');
    assert.equal(read.ok && read.rows[0]!.value.many, title);
  }
});

test('a short name comes from a title, in any script, and is one that the shelf takes', () => {
  assert.equal(keyFromTitle('Who is on the wall?'), 'who-is-on-the-wall');
  assert.equal(keyFromTitle("Nim's parcel"), 'nims-parcel');
  assert.equal(keyFromTitle('سلة الغسيل'), 'سلة-الغسيل');
  assert.equal(keyFromTitle(' — '), '');
  fc.assert(fc.property(fc.string(), (title) => assert.doesNotMatch(keyFromTitle(title), /^-|-$|--|\s|[A-Z]/)));
});
