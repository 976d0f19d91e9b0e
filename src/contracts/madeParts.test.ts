import assert from 'node:assert/strict';
import { test } from 'node:test';
import { dialsOf, firstValues, segmentFromMaker } from '../core/makers/index.ts';
import { MAKERS } from '../makers/index.ts';
import { USUAL_SETTINGS } from '../core/session/index.ts';
import { authorSpeech } from '../messages/speeches.ts';
import { makerSource } from './makerSource.ts';
import { checkShape } from './problems.ts';
import { segmentEntry } from './script.ts';

test('what every maker makes may be kept as a part of a session, as it starts and with each choice of its dials', () => {
  for (const maker of MAKERS) {
    const choices = dialsOf(maker).flatMap((dial) =>
      dial.kind === 'choice' ? dial.choices.map((choice) => ({ [dial.name]: choice })) : [],
    );
    for (const values of [{}, ...choices]) {
      const made = segmentFromMaker(maker, {
        values: { ...firstValues(maker), ...values },
        settings: USUAL_SETTINGS,
        id: 'part',
        speech: authorSpeech,
      });
      if (!made.ok) continue;
      const checked = checkShape(segmentEntry, JSON.parse(JSON.stringify(made.value)));
      assert.ok(
        checked.ok,
        `${maker.id} ${JSON.stringify(values)} ${checked.ok ? '' : JSON.stringify(checked.problem)}`,
      );
    }
  }
});

test('a line that an author rewrote is checked like any other line, and there are no more than a part holds', () => {
  const line = { id: 'a-1', kind: 'do', text: 'Lay it down.' };
  const withLines = (rewritten: unknown) => ({
    maker: 'clock',
    values: {},
    settings: USUAL_SETTINGS,
    changes: { lines: [{ level: 'right', rewritten, removed: [], added: [] }] },
  });
  const isTaken = (rewritten: unknown) => makerSource().isValidSync(withLines(rewritten), { strict: true });
  assert.deepEqual([isTaken({}), isTaken({ 'a-1': line })], [true, true]);
  for (const wrong of [
    { 'a-1': { ...line, kind: 'shout' } },
    { 'a-1': 'words' },
    { 'a-1': { ...line, text: 'x'.repeat(2001) } },
    [line],
  ])
    assert.equal(isTaken(wrong), false);
  assert.equal(isTaken(Object.fromEntries(Array.from({ length: 61 }, (_, index) => [`a-${index}`, line]))), false);
});
