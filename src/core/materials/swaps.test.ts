import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { chooseSwaps, type StockedNeed, type SwapsInput } from './swaps.ts';

/** Tries every combination of options. */
function bestByTrying({ youngestMonths, needs, stock }: SwapsInput): { covered: number; fit: number } {
  const available = new Map<string, number>();
  for (const { item, qty } of stock) available.set(item, (available.get(item) ?? 0) + qty);
  let best = { covered: 0, fit: 0 };
  const visit = (index: number, chosen: { need: StockedNeed; item: string; fit: number }[]): void => {
    if (index === needs.length) {
      if (!isWithin(chosen, available)) return;
      const fit = chosen.reduce((sum, choice) => sum + choice.fit, 0);
      const isBetter = chosen.length > best.covered || (chosen.length === best.covered && fit > best.fit + 1e-9);
      if (isBetter) best = { covered: chosen.length, fit };
      return;
    }
    visit(index + 1, chosen);
    for (const option of needs[index]!.options) {
      if ((option.minMonths ?? 0) > youngestMonths) continue;
      visit(index + 1, [...chosen, { need: needs[index]!, item: option.item, fit: option.fit }]);
    }
  };
  visit(0, []);
  return best;
}

function isWithin(
  chosen: readonly { need: StockedNeed; item: string }[],
  available: ReadonlyMap<string, number>,
): boolean {
  return [...new Set(chosen.map(({ item }) => item))].every((item) => {
    const uses = chosen.filter((choice) => choice.item === item).map(({ need }) => need);
    const usedUp = uses.filter(({ use }) => use === 'used-up').reduce((sum, { qty }) => sum + qty, 0);
    const segments = new Set(uses.map(({ segment }) => segment));
    const lasting = [...segments].map((segment) =>
      uses.filter((need) => need.use === 'lasting' && need.segment === segment).reduce((sum, { qty }) => sum + qty, 0),
    );
    return usedUp + Math.max(0, ...lasting) <= (available.get(item) ?? 0);
  });
}

const items = ['lids', 'beans', 'socks', 'cups'];
const inputs: fc.Arbitrary<SwapsInput> = fc.record({
  youngestMonths: fc.constantFrom(20, 40),
  needs: fc
    .array(
      fc.record({
        segment: fc.constantFrom('first', 'second', 'third'),
        qty: fc.integer({ min: 0, max: 12 }),
        use: fc.constantFrom('lasting' as const, 'used-up' as const),
        options: fc.uniqueArray(
          fc.record({
            item: fc.constantFrom(...items),
            fit: fc.integer({ min: 0, max: 20 }).map((fit) => fit / 20),
            minMonths: fc.constantFrom(undefined, 0, 36),
          }),
          { maxLength: 4, selector: ({ item }) => item },
        ),
      }),
      { maxLength: 6 },
    )
    .map((needs) => needs.map((need, index) => ({ ...need, id: `n${index}` }))),
  stock: fc.array(fc.record({ item: fc.constantFrom(...items), qty: fc.integer({ min: 0, max: 25 }) }), {
    maxLength: 6,
  }),
});

test('swaps cover as many needs, with as good a fit, as trying everything does', () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const answer = chooseSwaps(input);
      const best = bestByTrying(input);
      assert.equal(answer.covered, best.covered);
      assert.ok(Math.abs(answer.fit - best.fit) < 1e-6, `fit ${answer.fit}, by trying ${best.fit}`);
    }),
    { numRuns: 1500 },
  );
});

test('what swaps picks is there, is old enough and adds up to what it says', () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const { picks, covered, fit } = chooseSwaps(input);
      const chosen = picks.flatMap(({ item }, index) => {
        const need = input.needs[index]!;
        const option = need.options.find((candidate) => candidate.item === item);
        return item === null ? [] : [{ need, item, fit: option!.fit, minMonths: option!.minMonths ?? 0 }];
      });
      const available = new Map<string, number>();
      for (const { item, qty } of input.stock) available.set(item, (available.get(item) ?? 0) + qty);
      assert.ok(isWithin(chosen, available));
      assert.ok(chosen.every(({ minMonths }) => minMonths <= input.youngestMonths));
      assert.equal(covered, chosen.length);
      assert.ok(Math.abs(fit - chosen.reduce((sum, choice) => sum + choice.fit, 0)) < 0.0006);
    }),
  );
});

test('a need takes one thing for its whole quantity', () => {
  const needs = [
    {
      id: 'n',
      segment: 's',
      qty: 10,
      use: 'lasting' as const,
      options: [
        { item: 'lids', fit: 1 },
        { item: 'beans', fit: 0.5 },
      ],
    },
  ];
  const answer = chooseSwaps({
    youngestMonths: 40,
    needs,
    stock: [
      { item: 'lids', qty: 6 },
      { item: 'beans', qty: 6 },
    ],
  });
  assert.deepEqual(answer, { picks: [{ need: 'n', item: null }], covered: 0, fit: 0, proved: true });
});

test('lasting things are laid out again in the next segment, used-up ones are not', () => {
  const need = (id: string, segment: string, use: 'lasting' | 'used-up') => ({
    id,
    segment,
    qty: 6,
    use,
    options: [{ item: 'lids', fit: 1 }],
  });
  const stock = [{ item: 'lids', qty: 6 }];
  assert.equal(
    chooseSwaps({ youngestMonths: 40, stock, needs: [need('a', 's1', 'lasting'), need('b', 's2', 'lasting')] }).covered,
    2,
  );
  assert.equal(
    chooseSwaps({ youngestMonths: 40, stock, needs: [need('a', 's1', 'used-up'), need('b', 's2', 'used-up')] }).covered,
    1,
  );
});
