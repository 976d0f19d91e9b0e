import { benchPreparations, plainSegment, type Session } from '../session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { skillCoverage } from '../terms/index.ts';
import { letterTiles, wordSets } from '../words/index.ts';
import { backPlan } from './backPlan.ts';
import { addDays, ageInMonths, daysBetween, isCalendarDate, latestBirthMonth, weekdayOf } from './dates.ts';
import { dueItems } from './dueItems.ts';

const days = fc.integer({ min: 0, max: 4000 }).map((days) => addDays('2024-01-01', days));

test('days that do not exist are not days', () => {
  for (const wrong of ['2027-02-29', '2027-13-01', '2027-1-01', '2027-04-31', '', 'soon'])
    assert.equal(isCalendarDate(wrong), false, wrong);
  assert.equal(isCalendarDate('2028-02-29'), true);
});

test('days can be counted there and back, over leap days and clock changes', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: -800, max: 800 }), (day, count) => {
      assert.equal(daysBetween(day, addDays(day, count)), count);
      assert.equal(weekdayOf(addDays(day, 7)), weekdayOf(day));
    }),
  );
  assert.equal(weekdayOf('2027-03-18'), 4);
});

test('a working day is counted back over weekends and closures, one by one', () => {
  fc.assert(
    fc.property(
      days,
      fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { maxLength: 4 }),
      fc.array(fc.integer({ min: 1, max: 30 })),
      fc.integer({ min: 0, max: 12 }),
      (on, weekend, closedBefore, workingDays) => {
        const closed = closedBefore.map((before) => addDays(on, -before));
        const [task] = backPlan({ on, weekend, closed, today: on, tasks: [{ id: 'hold', workingDays }] });
        const open = [];
        for (let day = task!.by; day < on; day = addDays(day, 1))
          if (!weekend.includes(weekdayOf(day)) && !closed.includes(day)) open.push(day);
        assert.equal(open.length, workingDays);
        assert.ok(workingDays === 0 || open[0] === task!.by);
      },
    ),
  );
});

test('hours before a time of day cross midnight', () => {
  const tasks = [{ id: 'freeze', hours: 30 }];
  assert.equal(
    backPlan({ on: '2027-03-01', at: '06:15', weekend: [], closed: [], today: '2027-02-28', tasks })[0]!.by,
    '2027-02-28T00:15',
  );
});

test('ages are whole months from a birth month, and rise on the last day of a month: nobody turns 36 months early', () => {
  assert.equal(ageInMonths('2024-03', '2027-03-30'), 35);
  assert.equal(ageInMonths('2024-03', '2027-03-31'), 36);
  assert.equal(ageInMonths('2024-04', '2027-03-31'), 35);
  assert.equal(ageInMonths('2023-02', '2024-02-28'), 11);
  assert.equal(ageInMonths('2023-02', '2024-02-29'), 12);
  assert.equal(ageInMonths('2024-03', '2024-03-01'), -1);
});

test('what is due stands by date, what is over does not, and a change after sending asks to send again', () => {
  const session: Session = {
    title: 'Wheels',
    on: '2027-03-18',
    ages: { fromMonths: 36, toMonths: 71 },
    aim: '',
    accepted: [],
    segments: [
      {
        ...plainSegment('a', 'activity', 'Carts', [1, 2, 3]),
        ahead: [
          { who: 'home', days: 7, text: 'Save boxes.' },
          { who: 'author', days: 3, text: 'Make one.' },
        ],
      },
    ],
  };
  const input = { today: '2027-03-12', weekend: [6, 7], closed: [], daysAhead: 28 };
  const kinds = (sentAt: string | null, keptAt: string, on = '2027-03-18') =>
    dueItems({
      ...input,
      sessions: [benchPreparations({ id: 's', session: { ...session, on }, sentAt, keptAt }, { sendWorkingDays: 2 })],
    }).map(({ by, what }) => `${by} ${what.kind}${what.kind === 'send' && what.isChanged ? ' again' : ''}`);
  assert.deepEqual(kinds(null, '2027-03-01'), [
    '2027-03-11 homes-prepare',
    '2027-03-15 prepare',
    '2027-03-16 send',
    '2027-03-18 hold',
  ]);
  assert.deepEqual(kinds('2027-03-05', '2027-03-01'), [
    '2027-03-11 homes-prepare',
    '2027-03-15 prepare',
    '2027-03-18 hold',
  ]);
  assert.deepEqual(kinds('2027-03-05', '2027-03-06'), [
    '2027-03-11 homes-prepare',
    '2027-03-15 prepare',
    '2027-03-16 send again',
    '2027-03-18 hold',
  ]);
  assert.deepEqual(kinds(null, '2027-03-01', '2027-03-11'), []);
});

test('coverage counts what was held, not what is to come', () => {
  const sessions = [
    { on: '2027-03-01', skills: ['sort'] },
    { on: '2027-03-20', skills: ['sort', 'rhyme'] },
  ];
  const { skills, never } = skillCoverage(sessions, ['sort', 'rhyme'], '2027-03-10');
  assert.deepEqual(skills[0], { skill: 'sort', times: 1, last: '2027-03-01', gapDays: 9 });
  assert.deepEqual(never, ['rhyme']);
});

test('no new word comes in while the set is full, and a missed resting word goes to its front', () => {
  const base = { order: ['a', 'b', 'c', 'd'], size: 2, restAfter: 1, gapsWeeks: [1, 2] };
  const rested = [{ on: '2027-01-01', word: 'a', right: true }];
  assert.deepEqual(wordSets({ ...base, today: '2027-01-02', log: rested }), {
    active: ['b', 'c'],
    due: [],
    resting: [{ word: 'a', next: '2027-01-08' }],
    waiting: ['d'],
  });
  const missed = [...rested, { on: '2027-01-09', word: 'a', right: false }];
  assert.deepEqual(wordSets({ ...base, today: '2027-01-09', log: missed }), {
    active: ['a', 'b', 'c'],
    due: [],
    resting: [],
    waiting: ['d'],
  });
  const sameDay = [
    { on: '2027-01-01', word: 'a', right: true },
    { on: '2027-01-01', word: 'a', right: false },
  ];
  assert.deepEqual(wordSets({ ...base, today: '2027-01-02', log: sameDay }).active, ['a', 'b']);
});

test('letter tiles for words in turn never exceed those for all at once', () => {
  fc.assert(
    fc.property(fc.array(fc.stringMatching(/^[a-e]{1,6}$/), { maxLength: 6 }), (words) => {
      const { inTurn, atOnce, inTurnTotal, atOnceTotal } = letterTiles(words);
      assert.equal(atOnceTotal, words.join('').length);
      assert.equal(
        inTurnTotal,
        Object.values(inTurn).reduce((sum, count) => sum + count, 0),
      );
      for (const word of words)
        for (const letter of word) assert.ok(inTurn[letter]! >= [...word].filter((other) => other === letter).length);
      for (const letter of Object.keys(inTurn)) assert.ok(inTurn[letter]! <= atOnce[letter]!);
    }),
  );
});

test('the latest birth month of an age is the last one that is that old, on every day of two years', () => {
  for (let day = '2027-01-01'; day < '2029-01-01'; day = addDays(day, 1))
    for (const months of [0, 1, 12, 48]) {
      const latest = latestBirthMonth(months, day);
      const [year, month] = latest.split('-').map(Number) as [number, number];
      const next = month === 12 ? `${year + 1}-01` : `${year}-${String(month + 1).padStart(2, '0')}`;
      assert.ok(ageInMonths(latest, day) >= months && ageInMonths(next, day) < months, `${day} ${months}`);
    }
});
