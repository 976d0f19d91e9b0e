import assert from 'node:assert/strict';
import { test } from 'node:test';
import ical, { type VEvent } from 'node-ical';
import type { DueItem } from '../../core/calendar/index.ts';
import { calendarFile, momentIn } from './calendarFile.ts';

const item = (change: Partial<DueItem>): DueItem => ({
  id: 's1/send',
  by: '2027-03-16',
  isLate: false,
  sessionId: 's1',
  stage: 'bench',
  title: 'Wheels, “round”; and more',
  on: '2027-03-18',
  mayMove: false,
  what: { kind: 'send', isChanged: false },
  ...change,
});
const parse = (due: DueItem[], timeZone = 'Europe/London') =>
  Object.values(
    ical.sync.parseICS(
      calendarFile({
        name: 'Quillbrook',
        due,
        describe: ({ title, what }) =>
          `${what.kind}: ${title}, a long line that has to be folded because it is over seventy-five bytes — with a dash`,
        timeZone,
        addressOf: () => 'https://footstool.example/bench/s1',
        madeAt: new Date('2027-03-01T09:00:00Z'),
      }),
    ),
  ).filter((entry): entry is VEvent => entry?.type === 'VEVENT');

test('another parser reads the file: ids, days and words come out as they went in', () => {
  const events = parse([
    item({}),
    item({ id: 's1/part one/0', by: '2027-03-17T04:00', what: { kind: 'homes-prepare', text: 'x', activity: 'y' } }),
  ]);
  assert.deepEqual(
    events.map(({ uid }) => uid),
    ['s1.send@footstool', 's1.part.one.0@footstool'],
  );
  assert.match(String(events[0]!.summary), /^send: Wheels, “round”; and more, a long line .* — with a dash$/);
  assert.equal(events[0]!.datetype, 'date');
  assert.equal(events[0]!.start.toISOString().slice(0, 10) <= '2027-03-16', true);
  assert.equal(events[1]!.start.toISOString(), '2027-03-17T04:00:00.000Z');
});

test('a session at ten is at ten by the clock on the wall, before and after the clocks change', () => {
  const hold = (on: string) => item({ id: `s/${on}`, by: on, on, at: '10:00', what: { kind: 'hold' } });
  const starts = (timeZone: string) =>
    parse([hold('2027-03-25'), hold('2027-04-01')], timeZone).map(({ start }) => start.toISOString());
  assert.deepEqual(starts('Europe/London'), ['2027-03-25T10:00:00.000Z', '2027-04-01T09:00:00.000Z']);
  assert.deepEqual(starts('America/New_York'), ['2027-03-25T14:00:00.000Z', '2027-04-01T14:00:00.000Z']);
  assert.deepEqual(starts('Pacific/Auckland'), ['2027-03-24T21:00:00.000Z', '2027-03-31T21:00:00.000Z']);
});

test('a moment is what a clock in its zone shows, on every hour of a year but the one that is left out', () => {
  const shown = (moment: Date, timeZone: string) =>
    new Intl.DateTimeFormat('sv-SE', { timeZone, dateStyle: 'short', timeStyle: 'short' })
      .format(moment)
      .replace(' ', 'T');
  for (const timeZone of ['Europe/London', 'Asia/Kolkata', 'America/St_Johns', 'Australia/Lord_Howe'])
    for (let day = 0; day < 365; day += 9)
      for (const hour of ['00:00', '07:30', '10:00', '23:45']) {
        const local = `${new Date(Date.UTC(2027, 0, 1 + day)).toISOString().slice(0, 10)}T${hour}`;
        assert.equal(shown(momentIn(local, timeZone), timeZone), local, timeZone);
      }
});

test('tasks of different things have different ids, whatever script these are named in', () => {
  const ids = ['s1/keep/früchte/книга', 's1/keep/fr_chte/книга', 's1/keep/本/книга', 's1/keep/木/книга', 's1/keep/a/b'];
  const uids = parse(ids.map((id) => item({ id }))).map(({ uid }) => uid);
  assert.equal(new Set(uids).size, ids.length);
  assert.equal(uids.at(-1), 's1.keep.a.b@footstool', 'ids of before stay');
});
