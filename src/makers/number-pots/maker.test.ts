import { authorSpeech } from '../../messages/speeches.ts';
import { workOut } from '../../core/makers/index.ts';
import { USUAL_SETTINGS } from '../../core/session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { maker as numberPotsMaker } from './maker.ts';

type Point = readonly [number, number];

test('every counter in the picture of the pots lies inside its pot', () => {
  const answer = workOut(numberPotsMaker, { from: 0, to: 20 }, { settings: USUAL_SETTINGS, speech: authorSpeech });
  assert.ok(answer.ok);
  const drawn = answer.value.picture.shapes;
  let pot: readonly (readonly [number, number])[] = [];
  let counters = 0;
  for (const shape of drawn) {
    if (shape.kind === 'polygon') pot = shape.points;
    if (shape.kind !== 'circle') continue;
    const [[left, top], [right], [footRight, foot], [footLeft]] = pot as [Point, Point, Point, Point];
    const part = (shape.y - top) / (foot - top);
    assert.ok(shape.y - shape.r > top && shape.y + shape.r < foot, 'above or below');
    assert.ok(shape.x - shape.r > left + part * (footLeft - left), 'beyond the left wall');
    assert.ok(shape.x + shape.r < right + part * (footRight - right), 'beyond the right wall');
    counters++;
  }
  assert.equal(counters, 210);
});
