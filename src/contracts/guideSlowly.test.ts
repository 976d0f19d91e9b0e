import assert from 'node:assert/strict';
import { test } from 'node:test';
import { randomFile } from '../../tests/support/guideAtRandom.ts';
import { slowGuide } from '../../tests/support/guideSlowly.ts';
import { CALCULATIONS } from '../cli/calc/calculations.ts';

/** Many in `npm run soak`, a share of them with the other tests. */
const FILES = process.env.FOOTSTOOL_SOAK ? 2000 : 250;

test('a guide is the same as one worked out slowly from every combination of picks, on random files', async () => {
  const guide = CALCULATIONS.get('guide')!;
  const states = new Map<string, number>();
  let leftOut = 0;
  for (let seed = 1; seed <= FILES; seed++) {
    const input = randomFile(seed);
    const expected = slowGuide(input);
    if (!expected) continue;
    const answer = (await guide(input)) as ReturnType<typeof slowGuide> & { segments: Record<string, unknown>[] };
    assert.equal(answer.state, expected.state, `seed ${seed}`);
    assert.deepEqual(
      answer.fetch.map(({ item, qty, kit, missing = false }) => ({ item, qty, kit, missing })),
      expected.fetch,
      `seed ${seed}`,
    );
    const played = answer.segments.filter(({ title }) => /^Play/.test(title));
    for (const [index, segment] of expected.segments.entries()) {
      const { title, leftOut: isOut, withheld, dials, levels } = played[index]!;
      assert.deepEqual({ title, leftOut: isOut, withheld, dials, levels }, segment, `seed ${seed}, ${title}`);
      if (isOut) leftOut += 1;
    }
    states.set(expected.state, (states.get(expected.state) ?? 0) + 1);
  }
  for (const state of ['ready', 'swaps', 'likely', 'short'])
    assert.ok((states.get(state) ?? 0) > 5, `${state}: ${states.get(state)}`);
  assert.ok(leftOut > 5);
});
