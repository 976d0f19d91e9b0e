import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { cautionsOverAges, findCautions, mayUse, stoppedActions } from '../cautions/index.ts';
import { CAUTION_RULES, type CautionPolicy, type OwnRule } from '../cautions/rules.ts';
import type { StockedNeed } from '../materials/index.ts';
import { checkReadiness } from './readiness.ts';

const options = [
  { item: 'lid', fit: 1 },
  { item: 'bean', fit: 0.6, minMonths: 36 },
];
const need: StockedNeed = { id: 'n1', segment: 's1', qty: 12, use: 'lasting', options };

test('homes are ready, swap, or lack something; kits hold what the youngest may have', () => {
  const beanFirst: StockedNeed = { ...need, id: 'n2', options: [...options].reverse() };
  const homes = [
    { id: 'young', youngestMonths: 20, stock: [{ item: 'bean', qty: 100 }] },
    { id: 'old', youngestMonths: 40, stock: [] },
  ];
  const readiness = checkReadiness([need, beanFirst], homes);
  assert.deepEqual(
    readiness.homes.map(({ state, missing }) => [state, missing]),
    [
      ['short', ['n1', 'n2']],
      ['short', ['n1', 'n2']],
    ],
  );
  assert.deepEqual(readiness.kit, [
    { item: 'bean', qty: 12 },
    { item: 'lid', qty: 36 },
  ]);
});

test('of equally good answers the one as written is taken', () => {
  const even: StockedNeed = {
    ...need,
    options: [
      { item: 'lid', fit: 0.8 },
      { item: 'bean', fit: 0.8 },
    ],
  };
  const stock = [
    { item: 'bean', qty: 50 },
    { item: 'lid', qty: 50 },
  ];
  assert.equal(
    checkReadiness([even, { ...even, id: 'n2', segment: 's2' }], [{ id: 'h', youngestMonths: 40, stock }]).ready,
    1,
  );
});

test('counts of homes always add up', () => {
  const stock = fc.array(fc.record({ item: fc.constantFrom('lid', 'bean'), qty: fc.integer({ min: 0, max: 30 }) }), {
    maxLength: 3,
  });
  const homes = fc.array(fc.record({ id: fc.string(), youngestMonths: fc.integer({ min: 0, max: 80 }), stock }), {
    maxLength: 8,
  });
  fc.assert(
    fc.property(homes, (list) => {
      const { ready, swaps, short, homes: states } = checkReadiness([need], list);
      assert.equal(ready + swaps + short, list.length);
      assert.ok(states.every(({ state, missing }) => (state === 'short') === missing.length > 0));
    }),
  );
});

test('cautions come strictest first and change with the youngest child', () => {
  const items = [
    { item: 'lid', traits: ['small-parts', 'flat'] },
    { item: 'string', traits: ['cords'] },
  ];
  assert.deepEqual(
    findCautions({ youngestMonths: 35, items, actions: ['water'] }).map(({ rule, level }) => `${level} ${rule}`),
    ['stop cords', 'stop small-parts', 'watch water'],
  );
  assert.deepEqual(
    findCautions({ youngestMonths: 36, items, actions: ['water'] }).map(({ rule, level }) => `${level} ${rule}`),
    ['watch cords', 'watch small-parts', 'watch water'],
  );
  assert.deepEqual(findCautions({ youngestMonths: 30, items: [], actions: [] }), []);
});

test('a thing may be had from the age at which none of its rules stops it', () => {
  const from = (traits: string[]) =>
    [0, 12, 36, 60, 96].find((youngestMonths) =>
      mayUse({ item: 'x', traits, isCounter: true }, { youngestMonths, allergens: [] }),
    );
  assert.equal(from([]), 0);
  assert.equal(from(['small-parts', 'stacks']), 36);
  assert.equal(from(['balloons', 'cords']), 96);
  assert.equal(from(['cleaning']), undefined);
  for (const rule of Object.keys(CAUTION_RULES)) {
    const age = from([rule]);
    const [over] = cautionsOverAges({ items: [{ item: 'x', traits: [rule], isCounter: true }], actions: [] });
    assert.equal(over?.stopsUnderMonths ?? undefined, age, rule);
  }
});

test('what a programme stops by a rule of its own or a stricter one is not used, and hiding undoes no stop', () => {
  const pebble = { item: 'pebble', traits: ['powder'], allergens: ['sesame'] };
  const room = { youngestMonths: 40, allergens: [] };
  const policy = (change: Partial<CautionPolicy>) => ({ own: [], stricter: [], hidden: [], ...change });
  const own = (change: Partial<OwnRule>) =>
    policy({ own: [{ name: 'own-1', level: 'stop', words: 'No.', ...change }] });
  assert.ok(mayUse(pebble, room));
  for (const calls of [{ things: ['pebble'] }, { traits: ['powder'] }, { allergens: ['sesame'] }]) {
    assert.equal(mayUse(pebble, room, own(calls)), false);
    assert.ok(mayUse(pebble, room, own({ ...calls, underMonths: 40 })));
    assert.equal(mayUse(pebble, room, own({ ...calls, underMonths: 41 })), false);
    assert.ok(mayUse(pebble, room, own({ ...calls, level: 'hold' })));
  }
  assert.ok(mayUse(pebble, room, own({ things: ['sponge'], actions: ['powder'] })));
  const stricter = [{ rule: 'powder', level: 'stop' as const }];
  const hidden = [{ rule: 'powder', by: 'Ada', on: '2027-01-01', why: 'known' }];
  assert.equal(mayUse(pebble, room, policy({ stricter, hidden })), false);
  assert.deepEqual(stoppedActions(['powder', 'water', 'glass'], room, own({ actions: ['water'] })), ['water']);
  assert.deepEqual(stoppedActions(['powder', 'water'], room, policy({ stricter })), ['powder']);
});

test('over all ages a programme’s rule has its own age, words and strictness', () => {
  const policy = {
    own: [{ name: 'own-1', things: ['pebble'], level: 'stop', underMonths: 50, words: 'No pebbles here.' }],
    stricter: [{ rule: 'water', level: 'stop', underMonths: 20 }],
    hidden: [{ rule: 'sound', by: 'Ada', on: '2027-01-01', why: 'said aloud' }],
  } as const;
  assert.deepEqual(cautionsOverAges({ items: [{ item: 'pebble', traits: [] }], actions: ['water', 'sound'] }, policy), [
    { rule: 'own-1', because: ['pebble'], stopsUnderMonths: 50, level: null, words: 'No pebbles here.' },
    { rule: 'water', because: ['water'], stopsUnderMonths: 20, level: 'watch' },
  ]);
});
