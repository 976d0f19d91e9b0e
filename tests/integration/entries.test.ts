import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { countingQueries } from '../../src/server/db/connection.ts';
import { readInventory } from '../../src/server/services/inventory.ts';
import { importRows } from '../../src/server/services/importRows.ts';
import { duplicateEntry, findEntry, keepEntry, retireEntry } from '../../src/server/services/shelfEntries.ts';
import { readShelfRows } from '../../src/server/services/shelfPage.ts';
import { readThingPage, ruleOnSwap } from '../../src/server/services/thingPage.ts';
import { helpersFor, startProgrammes, type TestProgrammes } from './programme.ts';
import { demoFile } from '../support/demoFile.ts';

let at: TestProgrammes;
before(async () => void (at = await startProgrammes()));
after(() => at.remove());
const { refuses, sessionNamed } = helpersFor(() => at);

const thing = (key: string, change: object = {}) => ({
  key,
  one: 'thing',
  many: 'things',
  traits: ['flat'],
  allergens: [],
  usualQty: 2,
  common: 0.5,
  ...change,
});

test('an entry is added, changed, duplicated, removed from the shelf and put back; a session made from it stays', async () => {
  const { entry } = await findEntry(at.owner, 'activity', 'carts-and-lids');
  const copy = await duplicateEntry(at.owner, 'activity', 'carts-and-lids');
  assert.equal(copy, 'carts-and-lids-2');
  assert.equal(await duplicateEntry(at.owner, 'activity', 'carts-and-lids'), 'carts-and-lids-3');
  const { revision } = await findEntry(at.owner, 'activity', copy);
  const value = { ...entry, key: copy, title: 'Carts again' };
  await keepEntry(at.owner, { kind: 'activity', value, isNew: false, revision });
  assert.equal((await readShelfRows(at.owner, 'activity', { words: 'carts again' })).rows[0]!.title, 'Carts again');
  await refuses(keepEntry(at.owner, { kind: 'activity', value: entry, isNew: true }), 'wrong-input');
  const before = (await sessionNamed('The cart with no wheels')).session;
  await retireEntry(at.owner, 'activity', 'carts-and-lids', true);
  assert.deepEqual((await sessionNamed('The cart with no wheels')).session, before);
  const keys = async (isRetired: boolean) =>
    (await readShelfRows(at.owner, 'activity', { isRetired })).rows.map(({ key }) => key);
  assert.equal((await keys(false)).includes('carts-and-lids'), false);
  assert.deepEqual(await keys(true), ['carts-and-lids']);
  await retireEntry(at.owner, 'activity', 'carts-and-lids', false);
  assert.equal((await keys(false)).includes('carts-and-lids'), true);
});

test('an activity that needs itself, a thing that is not there or an unknown dial is refused with the place', async () => {
  const { entry } = await findEntry(at.owner, 'activity', 'button-pots');
  const problemOf = async (change: object) => {
    try {
      await keepEntry(at.owner, { kind: 'activity', value: { ...entry, ...change }, isNew: false });
    } catch (error) {
      const [first] = (error as { details: { problems: { path: string; message: string }[] } }).details.problems;
      return `${first!.path}: ${first!.message}`;
    }
    return 'kept';
  };
  assert.equal(await problemOf({ after: ['button-pots'] }), 'after[0]: an activity cannot need itself');
  assert.match(await problemOf({ after: ['unheard-of'] }), /^after\[0\]: “unheard-of” is not an activity/);
  assert.match(
    await problemOf({
      needs: [{ id: 'n', item: 'unheard-of', qty: 1, per: 'home', use: 'lasting', swaps: [] }],
      lines: [],
    }),
    /^needs\[0\]\.item: “unheard-of” is not a thing/,
  );
  assert.match(await problemOf({ ahead: [{ who: 'home', text: 'x' }] }), /^ahead\[0\]: needs one of days/);
  assert.match(await problemOf({ lines: [{ id: 'l', kind: 'do', text: '{nowhere}' }] }), /^lines\[0\]\.text: /);
});

test('of a long list sound rows are kept and the others named by line; a key twice counts once', async () => {
  const report = await importRows(at.owner, {
    kind: 'thing',
    rows: [
      { line: 2, value: thing('new-one') },
      { line: 3, value: thing('Not A Key') },
      { line: 5, value: thing('new-one', { many: 'newer ones' }) },
      { line: 9, value: { key: 'half' } },
      { line: 10, value: null },
    ],
  });
  assert.deepEqual([report.added, report.replaced], [1, 1]);
  assert.deepEqual([...new Set(report.problems.map(({ line }) => line))], [3, 9, 10]);
  assert.equal((await readShelfRows(at.owner, 'thing', { words: 'newer ones' })).rows[0]!.title, 'newer ones');
  await refuses(importRows(at.owner, { kind: 'home', rows: [] }), 'wrong-input');
  await refuses(
    importRows(at.owner, {
      kind: 'thing',
      rows: Array.from({ length: 501 }, (_, line) => ({ line: line + 1, value: {} })),
    }),
    'wrong-input',
  );
});

/** Five thousand are tried in `npm run soak`. */
const MANY = process.env.FOOTSTOOL_SOAK ? 5000 : 1500;

test('activities by the thousand are taken in by parts, each with the same few queries', async () => {
  const [model] = demoFile('activities').activities as Record<string, unknown>[];
  const part = (from: number) =>
    importRows(at.stranger, {
      kind: 'activity',
      rows: Array.from({ length: 500 }, (_, index) => ({
        line: from + index + 2,
        value: { ...model, key: `many-${from + index}`, needs: [], lines: [], levels: {}, ahead: [] },
      })),
    });
  let added = 0;
  const queries = new Set<number>();
  for (let from = 0; from < MANY; from += 500) {
    const { value, queries: count } = await countingQueries(() => part(from));
    added += value.added;
    queries.add(count);
  }
  assert.equal(added, MANY);
  assert.equal(queries.size, 1);
  assert.ok([...queries][0]! <= 5);
});

test('an overruled swap is remembered, goes before what is computed, and can be forgotten', async () => {
  const swaps = async () =>
    (await readThingPage(at.owner, 'clothes-peg', { qty: 6, youngestMonths: 36 })).swaps.map(({ item, fit }) => [
      item,
      fit,
    ]);
  const [[first]] = (await swaps()) as [[string, number]];
  await ruleOnSwap(at.owner, 'clothes-peg', { item: first, verdict: 'never' });
  await ruleOnSwap(at.owner, 'clothes-peg', { item: 'blanket', verdict: 'use', fit: '0.95', why: 'tried' });
  assert.deepEqual((await swaps())[0], ['blanket', 0.95]);
  assert.equal(
    (await swaps()).some(([item]) => item === first),
    false,
  );
  await ruleOnSwap(at.owner, 'clothes-peg', { item: first, verdict: 'forget' });
  assert.equal(
    (await swaps()).some(([item]) => item === first),
    true,
  );
  await refuses(ruleOnSwap(at.owner, 'clothes-peg', { item: 'clothes-peg', verdict: 'use' }), 'wrong-input');
  await refuses(ruleOnSwap(at.reader, 'clothes-peg', { item: 'sock', verdict: 'use' }), 'not-allowed');
  await refuses(readThingPage(at.stranger, 'clothes-peg', { qty: 1, youngestMonths: 36 }), 'not-found');
});

test('what is not theirs cannot be changed, and readers change nothing', async () => {
  await refuses(duplicateEntry(at.stranger, 'thing', 'sock'), 'not-found');
  await refuses(retireEntry(at.stranger, 'thing', 'sock', true), 'not-found');
  await refuses(retireEntry(at.reader, 'thing', 'sock', true), 'not-allowed');
  await refuses(keepEntry(at.reader, { kind: 'thing', value: thing('x'), isNew: true }), 'not-allowed');
  await refuses(importRows(at.reader, { kind: 'thing', rows: [] }), 'not-allowed');
  const { queries } = await countingQueries(() => readInventory(at.owner));
  assert.equal(queries, 4);
});
