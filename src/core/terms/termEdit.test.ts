import assert from 'node:assert/strict';
import { test } from 'node:test';
import { sessionDate } from './term.ts';
import { day, edited, framed, sessionOf } from './term.fixture.ts';
import { applyTermEdit, type TermEdit } from './termEdit.ts';

test('moving a session takes along what it holds, and leaves the days, times and minutes of the places', () => {
  const term = framed();
  const [from, to] = [sessionOf(term, 0).id, sessionOf(term, 3).id];
  const before = edited(
    term,
    { do: 'set-session', session: from, change: { book: 'a-book', benchId: null } },
    { do: 'set-session', session: to, change: { time: '16:00', minutes: 12 } },
    { do: 'add-activity', session: from, key: 'sock-friends' },
  );
  const after = edited(before, { do: 'move-session', from, to });
  const [first, fourth] = [sessionOf(after, 0), sessionOf(after, 3)];
  assert.deepEqual(
    [fourth.id, fourth.book, fourth.time, fourth.minutes, fourth.activities.length],
    [from, 'a-book', '16:00', 12, 1],
  );
  assert.deepEqual([first.id, first.book, first.time], [to, null, '10:00']);
  assert.equal(sessionDate(after.weeks[3]!, fourth), '2027-03-25');
  assert.deepEqual(edited(after, { do: 'move-session', from, to }), before);
});

test('a plan keeps what is pinned and exchanges the rest', () => {
  const term = framed();
  const session = sessionOf(term, 0).id;
  const filled = edited(
    term,
    { do: 'add-activity', session, key: 'kept' },
    { do: 'take-plan', slots: [{ id: session, activities: ['kept', 'first'] }] },
    { do: 'take-plan', slots: [{ id: session, activities: ['second', 'kept'] }] },
  );
  assert.deepEqual(sessionOf(filled, 0).activities, [
    { key: 'kept', isPinned: true },
    { key: 'second', isPinned: false },
  ]);
});

test('sessions and weeks are changed one by one; what is named and not there changes nothing', () => {
  const term = framed();
  const first = sessionOf(term, 0).id;
  const two = edited(term, { do: 'add-session', week: 0, id: 'extra' }, { do: 'set-heavy', week: 1, isHeavy: true });
  assert.deepEqual(
    two.weeks[0]!.sessions.map(({ id, weekday, time }) => [id, weekday, time]),
    [
      [first, 4, '10:00'],
      ['extra', 5, '10:00'],
    ],
  );
  assert.deepEqual([two.weeks[0]!.isHeavy, two.weeks[1]!.isHeavy], [false, true]);
  assert.deepEqual(edited(two, { do: 'remove-session', session: 'extra' }).weeks[0], term.weeks[0]);
  for (const edit of [
    { do: 'add-session', week: 99, id: 'x' },
    { do: 'set-theme', week: 99, theme: 'x' },
    { do: 'remove-session', session: 'gone' },
    { do: 'add-activity', session: 'gone', key: 'x' },
    { do: 'move-session', from: first, to: 'gone' },
    { do: 'remove-day', id: 'gone' },
  ] satisfies TermEdit[])
    assert.deepEqual(edited(term, edit), term, edit.do);
});

test('an activity stands once in a session, is pinned and let go, and is taken out', () => {
  const term = framed();
  const at = sessionOf(term, 0).id;
  const twice = edited(
    term,
    { do: 'add-activity', session: at, key: 'carts' },
    { do: 'add-activity', session: at, key: 'carts' },
  );
  assert.deepEqual(sessionOf(twice, 0).activities, [{ key: 'carts', isPinned: true }]);
  const loose = edited(twice, { do: 'pin', session: at, key: 'carts', isPinned: false });
  assert.deepEqual(sessionOf(loose, 0).activities, [{ key: 'carts', isPinned: false }]);
  assert.deepEqual(edited(loose, { do: 'remove-activity', session: at, key: 'carts' }), term);
});

test('a day that is put again takes the place of the one before, and goes out again', () => {
  const term = framed();
  const feast = day({ kind: 'special', title: 'feast', from: '2027-04-07', to: '2027-04-09', isFixed: false });
  const unsure = edited(term, { do: 'put-day', day: feast });
  const fixed = edited(unsure, { do: 'put-day', day: { ...feast, to: '2027-04-07', isFixed: true } });
  assert.deepEqual(
    fixed.days.map(({ from, to, isFixed }) => [from, to, isFixed]),
    [['2027-04-07', '2027-04-07', true]],
  );
  assert.deepEqual(edited(fixed, { do: 'remove-day', id: feast.id }), term);
});

test('another sequence brings its own steps; steps, title and what to aim for are the author’s', () => {
  const term = framed();
  const other = edited(term, { do: 'choose-school', school: 'own-name', steps: ['hear it'] });
  assert.deepEqual([other.school, other.steps], ['own-name', ['hear it']]);
  const own = edited(
    term,
    { do: 'set-steps', steps: ['m', 'a'] },
    { do: 'set-title', title: 'Summer' },
    { do: 'set-rules', rules: { repeat: 3 } },
  );
  assert.deepEqual(
    [own.steps, own.title, own.rules.repeat, own.rules.rest],
    [['m', 'a'], 'Summer', 3, term.rules.rest],
  );
});

test('an edit that would make closures overlap is refused and leaves the term as it was', () => {
  const term = edited(framed(), { do: 'put-day', day: day({}) });
  const refused = applyTermEdit(term, { do: 'put-day', day: day({ from: '2027-03-16', to: '2027-03-16' }) });
  assert.equal(refused.ok, false);
  assert.equal(term.days.length, 1);
});
