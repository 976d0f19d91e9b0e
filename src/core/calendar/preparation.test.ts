import { bookPreparations, keepPreparations } from './preparation.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { dueItems } from './dueItems.ts';
import { plannedPreparations } from '../session/index.ts';

const planned = (on: string) => ({ id: 's1', title: 'Wheels', on, at: '10:00', mayMove: false });

test('a borrowed book is reserved its lead time ahead over closed days, and is in the room the open day before', () => {
  const prepared = {
    ...plannedPreparations(planned('2027-03-18'), [], { sendWorkingDays: 2 }),
    preparations: bookPreparations('A parcel', 5),
  };
  const due = dueItems({ sessions: [prepared], today: '2027-03-01', weekend: [6, 7], closed: ['2027-03-10'] });
  assert.deepEqual(
    due.map(({ by, what }) => [by, what.kind]),
    [
      ['2027-03-09', 'reserve'],
      ['2027-03-17', 'collect'],
    ],
  );
});

test('things are due by days, open days or hours, each with an id that stays the same', () => {
  const part = {
    id: 'melting',
    title: 'Who melts last?',
    ahead: [
      { who: 'home' as const, hours: 30, text: 'Freeze.' },
      { who: 'author' as const, workingDays: 2, text: 'Borrow.' },
      { who: 'home' as const, days: 7, text: 'Save boxes.' },
    ],
  };
  const due = dueItems({
    sessions: [plannedPreparations(planned('2027-03-22'), [part], { sendWorkingDays: 2 })],
    today: '2027-03-19',
    weekend: [6, 7],
    closed: [],
  });
  assert.deepEqual(
    due.map(({ id, by, isLate }) => `${id} ${by}${isLate ? ' late' : ''}`),
    [
      's1/melting/2 2027-03-15 late',
      's1/write 2027-03-15 late',
      's1/melting/1 2027-03-18 late',
      's1/melting/0 2027-03-21T04:00',
      's1/hold 2027-03-22',
    ],
  );
  assert.ok(due.every(({ at }) => at === '10:00'));
});

test('homes are reminded to keep what an earlier session made, and only when it was in the term', () => {
  const row = { key: 'stamps', title: 'Stamps', keeps: 'Keep the stamps.', after: [] };
  const letter = { key: 'letters', title: 'Letters', keeps: '', after: ['stamps'] };
  assert.deepEqual(
    keepPreparations([letter], [row]).map(({ what }) => what),
    [{ kind: 'keep', text: 'Keep the stamps.', activity: 'Stamps', until: 'Letters' }],
  );
  assert.deepEqual(keepPreparations([letter], []), []);
  assert.deepEqual(keepPreparations([letter], [{ ...row, keeps: '' }]), []);
});
