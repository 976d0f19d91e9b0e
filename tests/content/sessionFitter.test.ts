import assert from 'node:assert/strict';
import { test } from 'node:test';
import { seededChance } from '../../src/core/chance.ts';
import { fitHome, type Home, sessionFitter } from '../../src/core/homes/index.ts';
import { readBenchFixture } from '../bench/fixture.ts';

const { session, things, homes } = readBenchFixture(6);
const used = [
  ...new Set(
    session.segments.flatMap(({ needs }) =>
      needs.flatMap(({ item, swaps }) => [item, ...swaps.map((swap) => swap.item)]),
    ),
  ),
];
const unused = Object.keys(things).filter((item) => !used.includes(item));

/** Homes at random: of few kinds, so that many are alike in what the session asks, and each with other things beside. */
function homesAtRandom(count: number): Home[] {
  const chance = seededChance(7);
  const pick = <Value>(values: readonly Value[]) => values[Math.floor(chance() * values.length)]!;
  const children = ['2022-02', '2023-05', '2025-11'].map((birthMonth) => ({ nickname: 'Pip', birthMonth }));
  const kinds = Array.from({ length: 12 }, () => ({
    children: Array.from({ length: pick([0, 1, 2]) }, () => pick(children)),
    allergens: pick([[], ['egg'], ['wheat']]),
    stock: used.filter(() => chance() < 0.6).map((item) => ({ item, qty: pick([1, 4, 20]) })),
    hasNot: used.filter(() => chance() < 0.1),
  }));
  return Array.from({ length: count }, (_, index): Home => {
    const { stock, ...kind } = pick(kinds);
    return {
      ...kind,
      id: `home-${index}`,
      nickname: `House ${index}`,
      stock: [...stock, ...unused.filter(() => chance() < 0.3).map((item) => ({ item, qty: pick([1, 9]) }))],
    };
  });
}

test('homes that are alike in what a session asks are fitted once, and each as if it were alone', () => {
  for (const assumeCommon of [false, true]) {
    const settings = { things, assumeCommon };
    const fitter = sessionFitter(session, settings);
    const fits = homesAtRandom(150).map((home) => fitter(home));
    for (const fit of fits) assert.deepEqual(fit, fitHome(session, fit.home, settings));
    const distinct = new Set(fits.map(({ parts }) => parts)).size;
    assert.ok(distinct <= 12, `${distinct} were worked out`);
  }
  const [first] = homes;
  const alone = sessionFitter(session, { things });
  assert.equal(alone(first!).parts, alone({ ...first!, id: 'other', nickname: 'Other' }).parts);
});
