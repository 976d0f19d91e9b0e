import type { Line } from './line.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { checkScript } from './checkScript.ts';

const minutes = { setup: [0, 0, 0], together: [1, 2, 3], alone: [0, 0, 0], tidy: [0, 0, 0] } as const;
const say = (text: string): Line => ({ id: text, kind: 'say', text });

/** A part on the bench that stands at its easier level, where n is 1; just right it is 3, and harder 3 with m 5. */
const part = (lines: Line[], easierLines?: Line[]) => ({
  dials: [
    { name: 'n', label: 'n', min: 1, max: 9, value: 1 },
    { name: 'm', label: 'm', min: 1, max: 9, value: 2 },
  ],
  level: 'easier' as const,
  rightDials: { n: 3, m: 2 },
  lines,
  needs: [],
  ahead: [],
  minutes,
  levels: {
    easier: { text: '', dials: { n: 1 }, ...(easierLines && { lines: easierLines }) },
    harder: { text: '', dials: { m: 5 } },
  },
});
const faultsOf = (script: ReturnType<typeof part>) =>
  checkScript(script, 'A part', { reach: 'as-it-stands' }).map(({ path, fault }) => [
    path,
    'when' in fault ? fault.when : fault.code,
  ]);

test('a part that stands at a level is tried at the others with the dials a home would get there', () => {
  assert.deepEqual(faultsOf(part([say('{=6/n}')])), []);
  assert.deepEqual(faultsOf(part([say('{=6/(n-3)}')])), [['lines[0].text', 'just right']]);
  assert.deepEqual(faultsOf(part([say('{=6/(n-3+m-2)}')])), [['lines[0].text', 'just right']]);
  assert.deepEqual(faultsOf(part([say('{=6/(n+m-8)}')])), [['lines[0].text', 'harder']]);
  // With n 1 and m 5 it would not come out, but no level has both.
  assert.deepEqual(faultsOf(part([say('{=6/(n+m-6)}')])), []);
});

test('a level with lines of its own is not tried with the lines of another', () => {
  assert.deepEqual(faultsOf(part([say('{=6/(n-1)}')], [say('{=6/n}')])), []);
  assert.deepEqual(faultsOf(part([say('{=6/n}')], [say('{=6/(n-1)}')])), [['levels.easier.lines[0].text', '']]);
});

test('minutes that something dries come out as well as any others', () => {
  const drying = (likely: string) => ({ ...part([]), minutes: { ...minutes, wait: [10, likely, 30] as const } });
  assert.deepEqual(faultsOf(drying('20/n')), []);
  assert.deepEqual(
    faultsOf(drying('20/(n-3)')).map(([path]) => path),
    ['minutes.wait[1]'],
  );
});
