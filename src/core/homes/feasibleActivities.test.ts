import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { mostUsefulThings } from './mostUsefulThings.ts';
import { findSwaps, type FindableThing, type SwapFinderInput } from '../materials/swapFinder.ts';
import type { StockedNeed } from '../materials/index.ts';
import { doableNow, countHomes, usesOf, type FeasibleActivity } from './feasibleActivities.ts';

const thing = (key: string, change: Partial<FindableThing> = {}): FindableThing => ({
  key,
  traits: ['countable', 'stacks'],
  sizeMm: 40,
  allergens: [],
  usualQty: 20,
  common: 0.8,
  ...change,
});
const block = thing('block', { thickMm: 30 });
const find = (things: FindableThing[], change: Partial<SwapFinderInput> = {}) =>
  findSwaps({ wanted: block, qty: 9, youngestMonths: 40, allergens: [], things, rulings: [], ...change });

test('a thin flat thing fits less where a hand is to feel that nine is many, and says so', () => {
  const [stick] = find([thing('stick', { thickMm: 2 })]);
  assert.deepEqual(stick!.reasons[0], { code: 'thin', qty: 9 });
  assert.ok(stick!.fit < 0.8);
  assert.deepEqual(find([thing('stick', { thickMm: 2 })], { qty: 3 })[0]!.reasons, [{ code: 'alike' }]);
});

test('a tray with twelve hollows in place of a frame of ten says how many to cover', () => {
  const frame = thing('frame', { traits: ['container'], places: 10 });
  const trays = find(
    [thing('tray', { traits: ['container'], places: 12 }), thing('box', { traits: ['container'], places: 6 })],
    {
      wanted: frame,
      qty: 1,
    },
  );
  assert.deepEqual(trays[0], { item: 'tray', fit: 0.9, reasons: [{ code: 'cover-places', places: 12, cover: 2 }] });
  assert.deepEqual(trays[1]!.reasons, [{ code: 'add-places', places: 6, lacking: 4 }]);
});

test('what is not for the youngest, or holds an allergen that was named, is never proposed', () => {
  const bean = thing('bean', { traits: ['countable', 'stacks', 'small-parts'] });
  const carton = thing('carton', { allergens: ['egg'] });
  assert.deepEqual(
    find([bean, carton], { youngestMonths: 35, allergens: ['egg'] }).map(({ item }) => item),
    [],
  );
  assert.equal(find([bean, carton], { youngestMonths: 36 }).length, 2);
});

test('what an author has decided goes before what is computed', () => {
  const feather = thing('feather', { traits: ['soft'] });
  assert.deepEqual(find([feather]), []);
  assert.deepEqual(find([feather], { rulings: [{ item: 'feather', verdict: 'use', fit: 0.8, why: 'tried it' }] }), [
    { item: 'feather', fit: 0.8, reasons: [{ code: 'ruled', why: 'tried it' }] },
  ]);
  assert.deepEqual(find([thing('lid')], { rulings: [{ item: 'lid', verdict: 'never', fit: 0, why: '' }] }), []);
});

test('fits lie between 0 and 1, come best first, and always carry a reason', () => {
  const things = fc.array(
    fc.record({
      traits: fc.uniqueArray(fc.constantFrom('countable', 'stacks', 'rolls', 'soft', 'container', 'small-parts')),
      sizeMm: fc.option(fc.integer({ min: 1, max: 3000 }), { nil: undefined }),
      usualQty: fc.integer({ min: 0, max: 30 }),
      common: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(things, (list) => {
      const found = find(list.map((change, index) => thing(`t${index}`, change)));
      assert.ok(found.every(({ fit, reasons }) => fit >= 0 && fit <= 1 && reasons.length > 0));
      assert.ok(found.every(({ fit }, index) => index === 0 || found[index - 1]!.fit >= fit));
    }),
  );
});

const need = (id: string, qty: number, ...items: string[]): StockedNeed => ({
  id,
  segment: 'a',
  qty,
  use: 'lasting',
  options: items.map((item, index) => ({ item, fit: 1 - index * 0.2 })),
});
const doing = (key: string, skills: string[], needs: StockedNeed[]): FeasibleActivity => ({
  key,
  title: key,
  skills,
  needs,
  setupMinutes: 1,
});

test('what can be done now needs enough of everything, at the same time', () => {
  const two = doing('two', ['sort'], [need('n1', 3, 'lid', 'peg'), need('n2', 3, 'lid', 'peg')]);
  const names = (stock: [string, number][]) =>
    doableNow(
      [two],
      stock.map(([item, qty]) => ({ item, qty })),
      40,
    ).map(({ state, picks }) => [state, ...picks.map(({ item }) => item)]);
  assert.deepEqual(names([['lid', 5]]), []);
  assert.deepEqual(names([['lid', 6]]), [['ready', 'lid', 'lid']]);
  assert.equal(
    names([
      ['lid', 3],
      ['peg', 3],
    ])[0]![0],
    'swaps',
  );
  assert.deepEqual(doableNow([doing('none', [], [])], [], 40)[0]!.fit, 1);
  const home = (qty: number) => ({ stock: [{ item: 'lid', qty }], activities: [two] });
  assert.deepEqual(countHomes([home(6), home(2), home(9)]), [{ activity: two, homes: 2 }]);
});

test('the uses of a thing stand with those that name it first before those that take it as a swap', () => {
  const uses = usesOf('peg', [doing('b', [], [need('n', 1, 'lid', 'peg')]), doing('a', [], [need('n', 1, 'peg')])]);
  assert.deepEqual(
    uses.map(({ activity, isAsWritten }) => [activity.key, isAsWritten]),
    [
      ['a', true],
      ['b', false],
    ],
  );
});

const ITEMS = ['a', 'b', 'c', 'd', 'e', 'f'];
const activities = fc.array(
  fc.record({
    skills: fc.uniqueArray(fc.constantFrom('s1', 's2', 's3', 's4', 's5'), { minLength: 1, maxLength: 2 }),
    needs: fc.array(fc.uniqueArray(fc.constantFrom(...ITEMS), { minLength: 1, maxLength: 3 }), { maxLength: 4 }),
  }),
  { maxLength: 10 },
);

/** Tries every three things and asks for each activity whether each of its needs is served. */
function skillsByTrying(list: readonly FeasibleActivity[], items: readonly string[]): number {
  let most = 0;
  for (const one of items)
    for (const two of items)
      for (const three of items) {
        const basket = [one, two, three];
        const open = list.filter(
          ({ needs }) =>
            needs.length > 0 && needs.every(({ options }) => options.some(({ item }) => basket.includes(item))),
        );
        most = Math.max(most, new Set(open.flatMap(({ skills }) => skills)).size);
      }
  return most;
}

test('the best basket of three opens as many skills as trying every three', () => {
  fc.assert(
    fc.property(activities, fc.integer({ min: 3, max: 6 }), (list, count) => {
      const things = ITEMS.slice(0, count).map((key) => ({ key, usualQty: 5 }));
      const doable = list.map(({ skills, needs }, index) =>
        doing(
          `x${index}`,
          skills,
          needs.map((items, at) => need(`n${at}`, 2, ...items)),
        ),
      );
      const basket = mostUsefulThings(doable, things, 40);
      assert.equal(basket.skills.length, skillsByTrying(doable, ITEMS.slice(0, count)));
      assert.deepEqual([...new Set(basket.things.flatMap(({ adds }) => adds))].sort(), [...basket.skills].sort());
      assert.equal(basket.things.flatMap(({ adds }) => adds).length, basket.skills.length);
    }),
    { numRuns: 300 },
  );
});

test('a thing of which a home has too few, or which is not for the youngest, opens nothing', () => {
  const list = [doing('x', ['s1'], [{ ...need('n', 6, 'a'), options: [{ item: 'a', fit: 1, minMonths: 36 }] }])];
  const things = ITEMS.map((key) => ({ key, usualQty: 6 }));
  assert.equal(mostUsefulThings(list, things, 40).skills.length, 1);
  assert.equal(mostUsefulThings(list, things, 30).skills.length, 0);
  assert.equal(
    mostUsefulThings(
      list,
      things.map((entry) => ({ ...entry, usualQty: 5 })),
      40,
    ).skills.length,
    0,
  );
});
