import assert from 'node:assert/strict';
import { test } from 'node:test';
import { checkShape } from '../../contracts/problems.ts';
import { ENTRY_KINDS, ENTRY_SCHEMAS, SECTION_OF, type EntryKind } from '../../contracts/shelfEntries.ts';
import { ENTRY_FIELDS, emptyEntry } from './entryFields.ts';
import { beside, formPathOf, fromForm, toForm } from './entryValues.ts';
import { demoEntries } from '../../../tests/support/demoFile.ts';

const demo = (kind: EntryKind) => demoEntries<Record<string, unknown>>(SECTION_OF[kind]);
/** Through the form and back; the key is made from the title, so the form does not hold it. */
const through = (entry: Record<string, unknown>, kind: EntryKind) => ({
  ...fromForm(structuredClone(toForm(entry, ENTRY_FIELDS[kind])), ENTRY_FIELDS[kind]),
  ...beside(entry),
  key: entry.key,
});

for (const kind of ENTRY_KINDS) {
  test(`every ${kind} of the demo goes through its form without a change`, () => {
    for (const entry of demo(kind)) assert.deepEqual(through(entry, kind), entry, String(entry.key));
  });

  test(`a new ${kind} lacks only what an author has to write`, () => {
    const checked = checkShape(ENTRY_SCHEMAS[kind], through(emptyEntry(kind), kind));
    const lacking = checked.ok ? [] : checked.problem.map(({ path, message }) => `${path} ${message}`);
    assert.ok(lacking.length > 0);
    assert.ok(
      lacking.every((problem) => /must not be empty|small letters|must be letters/.test(problem)),
      lacking.join('; '),
    );
  });
}

test('numbers with a decimal comma, settings and expressions are read as they are meant', () => {
  const [activity] = demo('activity');
  const form = toForm(activity!, ENTRY_FIELDS.activity);
  const changed = fromForm(
    {
      ...form,
      minutes: { setup: '1 | max(n, 2) | 4' },
      levels: { easier: { text: 'Fewer.', dials: 'boxes = 2 | kind = red, blue' } },
    },
    ENTRY_FIELDS.activity,
  ) as { minutes: { setup: unknown }; levels: { easier: unknown } };
  assert.deepEqual(changed.minutes.setup, [1, 'max(n, 2)', 4]);
  assert.deepEqual(changed.levels.easier, { text: 'Fewer.', dials: { boxes: 2, kind: 'red, blue' } });
  const thing = toForm(demo('thing')[0]!, ENTRY_FIELDS.thing);
  assert.equal(fromForm({ ...thing, common: '0,45' }, ENTRY_FIELDS.thing).common, 0.45);
  assert.equal('sizeMm' in fromForm({ ...thing, sizeMm: '' }, ENTRY_FIELDS.thing), false);
});

test('what is wrong with an entry is said at the field that it is written in', () => {
  const fields = ENTRY_FIELDS.activity;
  const expected = {
    title: 'title',
    'ages.fromMonths': 'ages.fromMonths',
    'minutes.setup[1]': 'minutes.setup',
    'lines[2].text': 'lines.2.text',
    'needs[0].swaps[3].item': 'needs.0.swaps.3.item',
    'levels.easier.lines[0].text': 'levels.easier.lines.0.text',
    'levels.easier.dials.n': 'levels.easier.dials',
    'ahead[1].for.need': 'ahead.1.for.need',
    needs: 'needs',
    'needs[1]': 'needs',
    revision: undefined,
  };
  for (const [path, field] of Object.entries(expected)) assert.equal(formPathOf(path, fields), field, path);
});
