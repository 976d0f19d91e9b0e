import { segmentFromActivity, type ShelfActivity } from '../shelf/index.ts';
import type { Thing } from '../materials/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { doableNow } from './feasibleActivities.ts';
import type { Home } from './home.ts';
import { householdOn } from './household.ts';
import { activitiesFor } from './inventory.ts';
import { fitHome } from './sessionReadiness.ts';
import { demoEntries } from '../../../tests/support/demoFile.ts';

const things = Object.fromEntries(demoEntries<Thing>('things').map((thing) => [thing.key, thing]));
const choices = demoEntries<ShelfActivity>('activities').map((activity) => ({
  key: activity.key,
  title: activity.title,
  skills: activity.skills,
  setupMinutes: 0,
  segment: segmentFromActivity(activity, activity.key),
}));
const homes = demoEntries<Omit<Home, 'id' | 'stock'> & { things: Home['stock'] }>('homes').map(
  ({ things: stock, ...home }) => ({
    ...home,
    id: home.nickname,
    stock,
  }),
);
const ON = '2027-03-18';

test('what we have is what the bench says of each home and each activity: children, allergies, mouthing and all', () => {
  const states = new Set<string>();
  for (const home of homes)
    for (const change of [
      {},
      { allergens: ['egg', 'wheat'] },
      { stock: home.stock.filter((_, index) => index % 2 === 0) },
    ]) {
      const asked = { ...home, ...change };
      const found = new Map(
        doableNow(activitiesFor(choices, householdOn(asked, ON), things), asked.stock, 1200).map((entry) => [
          entry.activity.key,
          entry,
        ]),
      );
      for (const { segment, key } of choices) {
        const { answer } = fitHome({ segments: [segment], on: ON }, asked, { things });
        assert.equal(found.get(key)?.state ?? 'short', answer.state, `${home.nickname}, ${key}`);
        states.add(answer.state);
      }
    }
  assert.equal(states.size, 3);
});
