import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { addDays, daysBetween, weekdayOf } from '../calendar/index.ts';
import { coverageView } from './coverageView.ts';
import {
  changedSince,
  explainPlan,
  pinConflicts,
  proposalInput,
  slotsAhead,
  type PlannableActivity,
} from './proposal.ts';
import { SCHOOLS, spreadSteps, stepsOf } from './schools.ts';
import { checkTerm, closedDaysOf, mondaysOf, type TermDay } from './term.ts';
import { day, edited, framed, sessionOf } from './term.fixture.ts';
import type { TermEdit } from './termEdit.ts';
import { countAims, touchedSessions } from './touchedSessions.ts';
import { heldSessions, weekRows } from './weekRows.ts';

const WEEKEND = [6, 7];
const activity = (name: string, change: Partial<PlannableActivity> = {}): PlannableActivity => ({
  id: name,
  title: name,
  skills: ['sort'],
  minutes: 8,
  effort: 1,
  themes: [],
  after: [],
  ...change,
});

test('a framed term has a week for every Monday it touches, and each day of it lies in one', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 700 }), fc.integer({ min: 0, max: 380 }), (offset, length) => {
      const startsOn = addDays('2026-01-01', offset);
      const endsOn = addDays(startsOn, length);
      const mondays = mondaysOf(startsOn, endsOn);
      assert.ok(mondays.every((monday) => weekdayOf(monday) === 1));
      assert.ok(mondays[0]! <= startsOn && daysBetween(mondays.at(-1)!, endsOn) <= 6);
      assert.ok(mondays.every((monday, index) => index === 0 || daysBetween(mondays[index - 1]!, monday) === 7));
    }),
  );
});

test('a term that ends before it starts is refused, and so are one too long and closures that overlap', () => {
  const codeOf = (startsOn: string, endsOn: string, days: TermDay[] = []) =>
    checkTerm({ startsOn, endsOn, days }).map(({ code }) => code);
  assert.deepEqual(codeOf('2027-03-01', '2027-02-01'), ['ends-before-start']);
  assert.deepEqual(codeOf('2027-03-01', '2028-12-01'), ['too-long']);
  assert.deepEqual(codeOf('2027-03-01', '2027-04-30', [day({}), day({ from: '2027-03-19', to: '2027-03-22' })]), [
    'closures-overlap',
  ]);
  assert.deepEqual(codeOf('2027-03-01', '2027-04-30', [day({}), day({ kind: 'special' })]), []);
  assert.deepEqual(codeOf('2027-03-01', '2027-04-30', [day({ from: '2027-05-03', to: '2027-05-03' })]), [
    'day-outside',
  ]);
  assert.deepEqual(codeOf('2027-03-01', '2027-04-30', [day({ to: '2027-03-01' })]), ['day-backwards']);
});

test('the sequence waits over closures and paused weeks, and no step is lost', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { maxLength: 20 }), fc.integer({ min: 0, max: 20 }), (waits, count) => {
      const steps = Array.from({ length: count }, (_, step) => `step ${step}`);
      const { byWeek, left } = spreadSteps(
        waits.map((waiting) => ({ waits: waiting })),
        steps,
      );
      assert.deepEqual([...byWeek.filter((step) => step !== null), ...left], steps);
      assert.ok(byWeek.every((step, week) => step === null || !waits[week]));
    }),
  );
  for (const school of SCHOOLS) assert.equal(new Set(stepsOf(school)).size, stepsOf(school).length, school);
});

test('a closed week holds nothing, is not counted, and its step comes a week later', () => {
  const term = edited(framed(), { do: 'put-day', day: day({}) });
  const { rows } = weekRows(term, WEEKEND);
  assert.deepEqual(
    rows.slice(0, 4).map(({ number, step }) => [number, step]),
    [
      [1, 'm a s t'],
      [2, 'i n p o'],
      [null, null],
      [3, 'd c g b'],
    ],
  );
  assert.equal(heldSessions(rows).length, rows.length - 1);
  assert.equal(closedDaysOf(term.days).length, 5);
});

test('of two special weeks in a row the second is light, and a day without a date flags what it touches', () => {
  const term = edited(
    framed(),
    { do: 'put-day', day: day({ kind: 'special', title: 'fair', from: '2027-03-11', to: '2027-03-11' }) },
    { do: 'put-day', day: day({ kind: 'special', title: 'lanterns', from: '2027-03-18', to: '2027-03-18' }) },
    {
      do: 'put-day',
      day: day({ kind: 'closed', title: 'feast', from: '2027-04-07', to: '2027-04-09', isFixed: false }),
    },
  );
  const { rows } = weekRows(term, WEEKEND);
  assert.deepEqual(
    rows.slice(0, 4).map(({ isLight }) => isLight),
    [false, false, true, false],
  );
  assert.deepEqual(
    rows.map(({ sessions }) => sessions[0]!.mayMove),
    rows.map(({ sessions }) => sessions[0]!.on === '2027-04-08'),
  );
  assert.equal(
    rows.flatMap(({ sessions }) => sessions).every(({ isOff }) => !isOff),
    true,
  );
});

test('what is proposed leaves out closed weeks, holds pins in place and takes nothing more into what is over', () => {
  const term = edited(framed(), { do: 'put-day', day: day({}) }, { do: 'add-activity', session: 'none', key: 'x' });
  const first = sessionOf(term, 0).id;
  const pinned = edited(term, { do: 'add-activity', session: first, key: 'carts' });
  const { rows } = weekRows(pinned, WEEKEND);
  const input = proposalInput(pinned, { rows, activities: [activity('carts')], today: '2027-03-08' });
  assert.equal(input.slots.length, rows.length - 1);
  assert.deepEqual(input.pinned![first], ['carts']);
  assert.equal(input.slots[0]!.minutes, 8);
  assert.deepEqual(
    input.slots.map(({ least }) => least),
    input.slots.map((_, index) => (index === 0 ? 0 : undefined)),
  );
  assert.deepEqual(input.perSlot, pinned.rules.perSlot);
  const plan = input.slots.map(({ id }) => ({ id, activities: ['carts'] }));
  assert.deepEqual(
    slotsAhead(plan, { rows, today: '2027-03-08' }).map(({ id }) => id),
    input.slots.slice(1).map(({ id }) => id),
  );
});

test('pins that break a rule are named before anything is planned', () => {
  const term = framed();
  const pin = (week: number, key: string): TermEdit => ({ do: 'add-activity', session: sessionOf(term, week).id, key });
  const conflicts = (activities: PlannableActivity[], ...edits: TermEdit[]) => {
    const changed = edited(term, ...edits);
    const { rows } = weekRows(changed, WEEKEND);
    return pinConflicts(proposalInput(changed, { rows, activities, today: '2027-03-01' })).map(({ rule }) => rule);
  };
  assert.deepEqual(conflicts([activity('a')], pin(0, 'a'), pin(1, 'a')), ['rest']);
  assert.deepEqual(conflicts([activity('a')], pin(0, 'a'), pin(4, 'a'), pin(8, 'a')), ['repeat']);
  assert.deepEqual(
    conflicts([activity('a', { effort: 3 })], { do: 'set-heavy', week: 0, isHeavy: true }, pin(0, 'a')),
    ['light'],
  );
  assert.deepEqual(conflicts([activity('a')], pin(0, 'a'), pin(4, 'a')), []);
});

test('each choice is explained by what it brings back, its theme or what it builds on', () => {
  const term = framed();
  const put = (week: number, key: string): TermEdit => ({ do: 'add-activity', session: sessionOf(term, week).id, key });
  const changed = edited(term, put(0, 'count'), put(5, 'again'), put(6, 'later'));
  const { rows } = weekRows(changed, WEEKEND);
  const reasons = explainPlan(changed, {
    rows,
    activities: [
      activity('count', { skills: ['count-out'], themes: ['wheels'] }),
      activity('again', { skills: ['count-out'] }),
      activity('later', { skills: ['rhyme'], after: ['count'] }),
    ],
  });
  const of = (week: number, key: string) =>
    reasons[sessionOf(changed, week).id]![key]!.filter(({ code }) => code !== 'pinned');
  assert.deepEqual(of(0, 'count')[0], { code: 'first-touch', skill: 'count-out' });
  assert.deepEqual(of(5, 'again')[0], { code: 'brings-back', skill: 'count-out', weeks: 5 });
  assert.deepEqual(of(6, 'later')[0], { code: 'builds-on', title: 'count' });
});

test('coverage shows what was held and what is planned by week, and what is due again', () => {
  const mondays = ['2027-03-01', '2027-03-08', '2027-03-15'];
  const [sort, rhyme, order] = coverageView({
    sessions: [
      { on: '2027-01-14', skills: ['rhyme'] },
      { on: '2027-03-04', skills: ['sort'] },
      { on: '2027-03-18', skills: ['sort'] },
    ],
    skills: ['sort', 'rhyme', 'order'],
    mondays,
    today: '2027-03-10',
  });
  assert.deepEqual(sort!.weeks, ['held', 'none', 'planned']);
  assert.deepEqual([sort!.times, sort!.planned, sort!.isDueAgain], [1, 1, false]);
  assert.deepEqual([rhyme!.last, rhyme!.isDueAgain], ['2027-01-14', true]);
  assert.deepEqual([order!.last, order!.isDueAgain], [null, false]);
});

test('what is touched leaves out closed weeks and activities that are gone, and aims count what no session touches', () => {
  const term = edited(framed(), { do: 'put-day', day: day({}) });
  const put = (week: number, key: string): TermEdit => ({ do: 'add-activity', session: sessionOf(term, week).id, key });
  const { rows } = weekRows(edited(term, put(0, 'carts'), put(0, 'ramps'), put(1, 'gone'), put(2, 'songs')), WEEKEND);
  const shelf = [
    activity('carts', { skills: ['sort', 'order'] }),
    activity('ramps', { skills: ['order'] }),
    activity('songs', { skills: ['rhyme'] }),
  ];
  const touched = touchedSessions(rows, shelf);
  assert.deepEqual(touched.map(({ on, skills }) => [on, skills]).slice(0, 3), [
    ['2027-03-04', ['sort', 'order']],
    ['2027-03-11', []],
    ['2027-03-25', []],
  ]);
  assert.equal(touched[0]!.row, rows[0]);
  assert.deepEqual(countAims({ sort: 2, rhyme: 1, order: 0 }, touched), { wanted: 2, unplaced: 1 });
  assert.deepEqual(countAims({}, touched), { wanted: 0, unplaced: 0 });
});

test('what an author changed while a plan was made is told from what stands as it did', () => {
  const term = framed();
  const [first, second] = term.weeks.flatMap(({ sessions }) => sessions);
  const changedBy = (change: TermEdit) => [...changedSince(term, edited(term, change))];
  assert.deepEqual([...changedSince(term, term)], []);
  assert.deepEqual(changedBy({ do: 'add-activity', session: first!.id, key: 'carts' }), [first!.id]);
  assert.deepEqual(changedBy({ do: 'set-session', session: second!.id, change: { minutes: 99 } }), [second!.id]);
  assert.deepEqual(changedBy({ do: 'add-session', week: 0, id: 'new' }), ['new']);
  assert.deepEqual(changedBy({ do: 'set-theme', week: 0, theme: 'bridges' }), []);
});
