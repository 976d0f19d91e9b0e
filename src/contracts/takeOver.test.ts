import assert from 'node:assert/strict';
import { test } from 'node:test';
import { SESSION } from '../core/guide/session.fixture.ts';
import { regenerateIn } from '../core/makers/index.ts';
import { applyEdit, type Session } from '../core/session/index.ts';
import { segmentFromActivity, type ShelfActivity } from '../core/shelf/index.ts';
import { authorMakers } from '../messages/authorMakers.ts';
import { demoEntries } from '../../tests/support/demoFile.ts';
import { checkShape } from './problems.ts';
import { keptSession } from './script.ts';

const activities = demoEntries<ShelfActivity>('activities');

test('every swap of the demo’s shelf, taken over and put back, leaves the session as it was, and can be kept meanwhile', () => {
  let taken = 0;
  for (const activity of activities) {
    const segment = segmentFromActivity(activity, 'part');
    const before: Session = { ...SESSION, segments: [segment] };
    const edited = (session: Session, need: string, item: string): Session => {
      const answer = applyEdit(session, { do: 'use-swap', segment: 'part', need, item }, regenerateIn(authorMakers));
      assert.ok(answer.ok, `${activity.key} ${need} ${item}`);
      return answer.value;
    };
    for (const { id, item, swaps } of segment.needs)
      for (const swap of swaps) {
        const after = edited(before, id, swap.item);
        assert.notDeepEqual(after, before);
        const stored = JSON.parse(JSON.stringify(after)) as Session;
        const checked = checkShape(keptSession, stored);
        assert.ok(checked.ok, JSON.stringify(checked));
        assert.deepEqual(edited(after, id, item), before, `${activity.key} ${id} ${swap.item}`);
        taken += 1;
      }
  }
  assert.ok(taken > 150, `${taken}`);
});
