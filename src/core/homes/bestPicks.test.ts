import assert from 'node:assert/strict';
import { test } from 'node:test';
import { seededChance } from '../chance.ts';
import { worthAmong, type StockItem } from '../materials/swaps.ts';
import { bestPicks, preparePart } from './bestPicks.ts';
import type { PartToServe, ServingOption } from './partWays.ts';

/** Every way to serve the needs of a few parts, in the order of their options: the first of those that gain most. */
function byTryingAll(parts: readonly PartToServe[], stock: readonly StockItem[]): (number | null)[][] {
  const needs = parts.flatMap((part) => part.needs.map((need) => ({ part: part.id, need })));
  const worth = worthAmong(needs.length);
  let best: { gain: number; places: (ServingOption | null)[] } = { gain: -1, places: [] };
  const visit = (chosen: readonly (ServingOption | null)[]) => {
    if (chosen.length < needs.length) {
      for (const option of needs[chosen.length]!.need.options) visit([...chosen, option]);
      visit([...chosen, null]);
      return;
    }
    const isThere = stock.every(({ item, qty }) => {
      const taken = (use: string, part?: string) =>
        needs.reduce(
          (sum, { part: of, need }, at) =>
            chosen[at]?.item === item && need.use === use && (part === undefined || of === part)
              ? sum + (need.qty as number)
              : sum,
          0,
        );
      return taken('used-up') + Math.max(...parts.map(({ id }) => taken('lasting', id))) <= qty;
    });
    const gain = chosen.reduce((sum, option) => sum + (option ? worth.of(option.fit, option.place === 0) : 0), 0);
    if (isThere && gain > best.gain) best = { gain, places: [...chosen] };
  };
  visit([]);
  let at = 0;
  return parts.map(({ needs: own }) => own.map(() => best.places[at++]?.place ?? null));
}

test('what serves a session is what trying everything finds, the earlier option among equals', () => {
  const chance = seededChance(11);
  const below = (count: number) => Math.floor(chance() * count);
  const items = ['paper', 'string', 'button', 'lid', 'card'];
  let shared = 0;
  for (let round = 0; round < 600; round++) {
    const stock = items.map((item) => ({ item, qty: below(5) }));
    const parts = Array.from({ length: 1 + below(3) }, (_, part): PartToServe => ({
      ...{ id: `part-${part}`, values: {}, children: 1 },
      needs: Array.from({ length: 1 + below(2) }, (__, need) => {
        const mixed = items.filter(() => below(2) === 0).slice(0, 3);
        return {
          ...{ id: `part-${part}/need-${need}`, use: below(2) ? 'lasting' : 'used-up', qty: 1 + below(3), per: 'home' },
          options: mixed.map((item, place) => ({
            item,
            place,
            fit: place === 0 ? 1 : [0.5, 0.8, 1][below(3)]!,
            sets: {},
          })),
        } as const;
      }),
    }));
    if (parts.length > 1) shared += 1;
    const picked = bestPicks(parts.map(preparePart), stock).map(({ places }) => [...places]);
    assert.deepEqual(picked, byTryingAll(parts, stock), JSON.stringify({ stock, parts }));
  }
  assert.ok(shared > 200);
});

/** Fourteen needs of 7 to 20 over thirteen things of which each home has some twenty: what no search can go through. */
function hardPart(chance: () => number): PartToServe {
  const between = (least: number, most: number) => least + Math.floor(chance() * (most - least + 1));
  const needs = Array.from({ length: 14 }, (_, need) => ({
    ...{ id: `part/need-${need}`, use: 'used-up' as const, qty: between(7, 20), per: 'home' as const },
    options: Array.from({ length: 13 }, (__, place) => ({
      ...{ item: `thing-${place}`, place, sets: {} },
      fit: place === 0 ? 1 : between(1, 100) / 100,
    })),
  }));
  return { id: 'part', values: {}, children: 1, needs };
}

test('a search that could go on for hours ends after its steps, twice with the same answer', () => {
  const chance = seededChance(20);
  const part = preparePart(hardPart(chance));
  for (let home = 0; home < 12; home++) {
    const stock = Array.from({ length: 13 }, (_, thing) => ({
      item: `thing-${thing}`,
      qty: 17 + Math.floor(chance() * 5),
    }));
    const steps = { left: 3000 };
    const [picks] = bestPicks([part], stock, steps);
    assert.ok(steps.left > -1200, `${-steps.left} steps too many`);
    assert.deepEqual(bestPicks([part], stock, { left: 3000 })[0]!.places, picks!.places);
    const taken = new Map<string, number>();
    picks!.places.forEach((place, index) => {
      if (place === null) return;
      const { item, qty } = picks!.way.needs[index]!.options.find((option) => option.place === place)!;
      taken.set(item, (taken.get(item) ?? 0) + qty);
    });
    for (const { item, qty } of stock) assert.ok((taken.get(item) ?? 0) <= qty, item);
    assert.ok(picks!.places.filter((place) => place !== null).length >= 13);
  }
});

test('a home where whatever is permitted would set one dial in two ways goes without, and nothing throws', () => {
  const setting = (item: string, n: number): ServingOption => ({ item, place: 1, fit: 0.5, sets: { n } });
  const need = (id: string, options: readonly ServingOption[]) =>
    ({ id, use: 'lasting', qty: 'n', per: 'home', options }) as const;
  const plain: ServingOption = { item: 'bowl', place: 2, fit: 0.4, sets: {} };
  const part: PartToServe = {
    ...{ id: 'part', values: { n: 3 }, children: 1 },
    needs: [need('part/a', [setting('tray', 5)]), need('part/b', [setting('box', 6), plain])],
  };
  const [picks] = bestPicks([preparePart(part)], [{ item: 'cup', qty: 3 }]);
  assert.deepEqual(picks!.places, [null, null]);
});
