import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { sentChanges } from '../../contracts/changes.ts';
import { checkShape } from '../../contracts/problems.ts';
import { authorMakers } from '../../messages/authorMakers.ts';
import { regenerateIn } from '../makers/index.ts';
import { SESSION } from '../guide/session.fixture.ts';
import { applyChanges, changesBetween } from './changes.ts';
import { applyEdit } from './edit.ts';
import type { Edit } from './edits.ts';
import { mergedWords } from './mergedWords.ts';
import { mergeSessions } from './mergeSessions.ts';
import { plainSegment } from './plainSegment.ts';
import type { Session } from './session.ts';

const RUNS = { seed: 24, numRuns: 300 };
const plain = <Value>(value: Value) => JSON.parse(JSON.stringify(value)) as Value;
const regenerate = regenerateIn(authorMakers);
const after = (session: Session, edits: readonly Edit[]) =>
  edits.reduce((changed, edit) => {
    const answer = applyEdit(changed, edit, regenerate);
    return answer.ok ? answer.value : changed;
  }, session);

const segment = fc.constantFrom('carts', 'hunt', 'book', 'own');
const line = fc.constantFrom('carts-1', 'carts-2', 'hunt-1', 'l1', 'l2', 'l3');
const text = fc.constantFrom('Put {boxes} out.', 'Other words here.', 'A {{ brace', 'Tip the lids, all of them, out.');
const anEdit: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ do: fc.constant('describe' as const), title: text, at: fc.constantFrom('10:00', undefined) }),
  fc.record({ do: fc.constant('move-segment' as const), segment, to: fc.nat(4) }),
  fc.record({ do: fc.constant('remove-segment' as const), segment }),
  fc.nat(3).map((at): Edit => ({ do: 'add-segment', segment: plainSegment('own', 'activity', 'Own', [1, 2, 3]), at })),
  fc.record({ do: fc.constant('rename-segment' as const), segment, title: text }),
  fc.record({ do: fc.constant('add-need' as const), segment, item: fc.constantFrom('tray', 'cup') }),
  fc.record({ do: fc.constant('remove-need' as const), segment, need: fc.constantFrom('boxes', 'lids', 'tray') }),
  fc.record({
    do: fc.constant('choose-level' as const),
    segment,
    level: fc.constantFrom('easier' as const, 'right' as const, 'harder' as const),
  }),
  fc.record({
    do: fc.constant('turn-dial' as const),
    segment,
    dial: fc.constantFrom('boxes', 'wheels'),
    value: fc.integer({ min: 2, max: 6 }),
  }),
  fc.record({
    do: fc.constant('remark' as const),
    remark: fc.record({
      id: fc.uuid(),
      part: fc.constant('carts'),
      text: fc.string({ minLength: 1 }),
      by: fc.constant('Odile'),
      at: fc.constant('2027-03-08'),
    }),
  }),
  fc.record({ do: fc.constant('accept' as const), finding: fc.constantFrom('a', 'b'), text: fc.constant('') }),
  fc.record({ do: fc.constant('move-line' as const), segment, line, to: fc.nat(4) }),
  fc.record({ do: fc.constant('remove-line' as const), segment, line }),
  fc.record({
    do: fc.constant('change-line' as const),
    segment,
    line,
    change: fc.record({ text, answer: fc.constantFrom('4', undefined) }),
  }),
  fc
    .record({
      do: fc.constant('add-line' as const),
      segment,
      at: fc.nat(3),
      line: fc.record({ id: line, kind: fc.constant('do' as const), text }),
    })
    .filter(({ line: { id } }) => /^l\d$/.test(id)),
);
const someEdits = fc.array(anEdit, { maxLength: 12 });
/** Edits as they come of two windows: no line is put in twice. */
const linesOnce = (session: Session) =>
  session.segments.every(({ lines, id }) => new Set(lines.map((one) => one.id)).size === lines.length && id !== '') &&
  new Set(session.segments.map(({ id }) => id)).size === session.segments.length;

test('what is between two sessions makes one the other, and back', () => {
  fc.assert(
    fc.property(someEdits, someEdits, (earlier, later) => {
      const before = plain(after(SESSION, earlier));
      const now = plain(after(before, later));
      fc.pre(linesOnce(before) && linesOnce(now));
      const sent = plain(changesBetween(before, now));
      assert.ok(checkShape(sentChanges, sent).ok, 'what a window sends is what the server takes');
      assert.deepEqual(plain(applyChanges(before, sent)), now);
      assert.deepEqual(plain(applyChanges(now, changesBetween(now, before))), before);
      assert.deepEqual(changesBetween(now, now), []);
    }),
    RUNS,
  );
});

test('one who changed nothing gets what the other made, and nothing that either wrote is lost', () => {
  const textsOf = (session: Session) =>
    new Map(session.segments.flatMap(({ lines }) => lines.map((one) => [one.id, one] as const)));
  fc.assert(
    fc.property(someEdits, someEdits, (some, others) => {
      const [before, ours, theirs] = [SESSION, after(SESSION, some), after(SESSION, others)].map(plain) as [
        Session,
        Session,
        Session,
      ];
      fc.pre(linesOnce(ours) && linesOnce(theirs));
      assert.deepEqual(plain(mergeSessions({ before, ours, theirs: before })), ours);
      assert.deepEqual(plain(mergeSessions({ before, ours: before, theirs })), theirs);
      const merged = textsOf(mergeSessions({ before, ours, theirs }));
      const [was, mine, other] = [before, ours, theirs].map(textsOf) as [
        ReturnType<typeof textsOf>,
        ReturnType<typeof textsOf>,
        ReturnType<typeof textsOf>,
      ];
      for (const [id, { text: words }] of mine) {
        const isChanged = was.get(id)?.text !== words;
        if (!isChanged) continue;
        const kept = merged.get(id);
        assert.ok(kept, `line ${id} is there`);
        if (other.get(id)?.text === was.get(id)?.text) assert.ok([kept.text, kept.other?.text].includes(words), id);
      }
      for (const [id, { text: words }] of other)
        if (was.get(id)?.text !== words) assert.ok(merged.has(id), `line ${id} of the other is there`);
    }),
    RUNS,
  );
});

test('words of one line are merged, and stand side by side where both changed the same ones', () => {
  const before = 'Tip the lids into a bowl and count them.';
  const now = 'Tip the jar lids into a bowl and count them.';
  assert.equal(
    mergedWords({ before, now, wanted: 'Tip the lids into a bowl and count {n} of them.' }),
    'Tip the jar lids into a bowl and count {n} of them.',
  );
  assert.equal(mergedWords({ before, now, wanted: 'Tip the big lids into a bowl and count them.' }), null);
  assert.equal(mergedWords({ before, now: before, wanted: 'x' }), 'x');
  const base = after(SESSION, [{ do: 'change-line', segment: 'carts', line: 'carts-1', change: { text: before } }]);
  const change = (words: string) =>
    after(base, [{ do: 'change-line', segment: 'carts', line: 'carts-1', change: { text: words } }]);
  const merged = mergeSessions({
    before: base,
    ours: change('Tip the big lids out.'),
    theirs: change('Tip the small lids out.'),
  });
  const [line1] = merged.segments.find(({ id }) => id === 'carts')!.lines;
  assert.deepEqual([line1!.text, line1!.other], ['Tip the small lids out.', { text: 'Tip the big lids out.' }]);
});

test('two who answer two findings at once both keep their reasons, and asking again forgets one', () => {
  const answer = (finding: string) => after(SESSION, [{ do: 'accept', finding, text: 'words', because: finding }]);
  const both = applyChanges(answer('a'), changesBetween(SESSION, answer('b')));
  assert.deepEqual([both.accepted, both.kept?.a?.because, both.kept?.b?.because], [['a', 'b'], 'a', 'b']);
  assert.deepEqual(plain(applyChanges(answer('a'), changesBetween(answer('a'), SESSION))), plain(SESSION));
});
