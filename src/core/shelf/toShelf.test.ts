import assert from 'node:assert/strict';
import { test } from 'node:test';
import { checkShape } from '../../contracts/problems.ts';
import { activityEntry } from '../../contracts/shelfFile.ts';
import { demoEntries } from '../../../tests/support/demoFile.ts';
import { segmentFromActivity } from './fromShelf.ts';
import type { ShelfActivity } from './shelfEntries.ts';
import { activityFromSegment } from './toShelf.ts';

const AGES = { fromMonths: 36, toMonths: 60 };

test('what goes onto the shelf is an entry of it, and comes back as the part it was', () => {
  const activities = demoEntries<ShelfActivity>('activities');
  assert.ok(activities.length > 50);
  for (const activity of activities) {
    const part = segmentFromActivity(activity, 'part');
    const turned = { ...part, level: 'easier' as const, dials: part.dials.map((dial) => dialAtItsLast(dial)) };
    const entry = activityFromSegment(turned, { key: activity.key, idea: 'What happens.', ages: AGES });
    const checked = checkShape(activityEntry, JSON.parse(JSON.stringify(entry)));
    assert.ok(checked.ok, `${activity.key}: ${checked.ok ? '' : JSON.stringify(checked.problem)}`);
    assert.deepEqual(segmentFromActivity(entry, 'part'), part, activity.key);
  }
});

function dialAtItsLast(dial: ShelfActivity['dials'][number]) {
  return 'choices' in dial ? { ...dial, value: dial.choices.at(-1)! } : { ...dial, value: dial.max };
}
