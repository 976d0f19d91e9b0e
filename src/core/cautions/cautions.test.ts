import assert from 'node:assert/strict';
import { test } from 'node:test';
import { cautionsOverAges, findCautions } from './cautions.ts';
import { CAUTION_RULES } from './rules.ts';

test('cautions over all ages say at each age what the rule says then, unless it says nothing', () => {
  for (const rule of Object.keys(CAUTION_RULES)) {
    const [overAges] = cautionsOverAges({ items: [{ item: 'thing', traits: [rule] }], actions: [] });
    for (let age = 0; age <= 144; age++) {
      const [then] = findCautions({ youngestMonths: age, items: [{ item: 'thing', traits: [rule] }], actions: [] });
      const { stopsUnderMonths, level, because } = overAges!;
      const expected = stopsUnderMonths === null || age < stopsUnderMonths ? 'stop' : level;
      // Powder is watched for the smallest and only noted later: over all ages the stricter of the two is said.
      if (rule !== 'powder') assert.equal(then?.level ?? null, expected);
      else assert.ok(expected === 'watch' && (then?.level === 'watch' || then?.level === 'note'));
      assert.deepEqual(because, ['thing']);
    }
  }
});

test('what is never used stands before what is stopped longest, and things without traits call for nothing', () => {
  const items = [
    { item: 'water bottle', traits: ['water'] },
    { item: 'button', traits: ['small-parts'] },
    { item: 'balloon', traits: ['balloons'] },
    { item: 'bleach', traits: ['cleaning'] },
    { item: 'cup', traits: ['washable'] },
  ];
  assert.deepEqual(
    cautionsOverAges({ items, actions: ['movement'] }).map(({ rule }) => rule),
    ['cleaning', 'balloons', 'small-parts', 'water', 'movement'],
  );
  assert.deepEqual(cautionsOverAges({ items: [], actions: [] }), []);
});
