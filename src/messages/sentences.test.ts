import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { DueWhat } from '../core/calendar/preparation.ts';
import type { SwapReason } from '../core/materials/swapFinder.ts';
import type { PlanReason } from '../core/terms/proposal.ts';
import type { WeekNote } from '../core/terms/weekRows.ts';
import { leadWords } from './dates.ts';
import { describeMakerProblem } from './makers.ts';
import { describeSwapReason } from './swaps.ts';
import {
  countWords,
  describeNothingFits,
  describePlanReason,
  describeTermProblem,
  describeWeekNote,
  lastTouchedWords,
} from './term.ts';
import { describeDueItem, describeLateHelp, dueItemInPlain } from './today.ts';

const due = (what: DueWhat, by = '2027-03-16') => ({ what, by, on: '2027-03-18', title: 'Wheels' });

test('why something stands in a plan, in words', () => {
  const reasons: [PlanReason, string][] = [
    [{ code: 'brings-back', skill: 'count-out', weeks: 5 }, 'brings back counting out after five weeks'],
    [{ code: 'first-touch', skill: 'rhyme' }, 'first visit to rhyme'],
    [{ code: 'theme', theme: 'washing-day' }, 'on the theme of washing day'],
    [{ code: 'builds-on', title: 'Carts' }, 'builds on “Carts”'],
    [{ code: 'again', skill: 'sort' }, 'sorting once more'],
    [{ code: 'pinned' }, 'pinned by you'],
    [{ code: 'light' }, 'light on the adult'],
  ];
  for (const [reason, words] of reasons) assert.equal(describePlanReason(reason), words);
});

test('what a week row notes, in words', () => {
  const notes: [WeekNote, string][] = [
    [{ code: 'closed', title: 'stock-taking' }, 'closed: stock-taking'],
    [{ code: 'second-special', title: 'fair' }, 'fair: the second special week in a row, so light'],
    [
      { code: 'not-fixed', title: 'feast', from: '2027-04-07', to: '2027-04-09' },
      'feast: not fixed yet, between 7 Apr and 9 Apr',
    ],
    [{ code: 'session-on-weekend', on: '2027-03-06' }, 'Saturday 6 March is a weekend day here'],
    [{ code: 'heavy-week' }, 'busy week: light'],
  ];
  for (const [note, words] of notes) assert.equal(describeWeekNote(note), words);
});

test('problems say what is wrong, what is kept and what to do', () => {
  assert.equal(
    describeTermProblem({ code: 'ends-before-start', startsOn: '2027-03-01', endsOn: '2027-02-01' }),
    'The term would end on Monday 1 February, before it starts on Monday 1 March. Nothing was changed; choose a later end.',
  );
  assert.match(describeNothingFits('after'), /pin the earlier one.*What stood in the term still stands\./);
  assert.equal(
    describeMakerProblem({ code: 'out-of-range', dial: 'total', min: 1, max: 12, value: 10_000 }),
    '“total” takes a whole number from 1 to 12, so “10000” was not taken.',
  );
});

test('reasons of the swap finder read as a part of a sentence', () => {
  const reasons: [SwapReason, string][] = [
    [{ code: 'thin', qty: 9 }, 'thin: a hand will not feel that nine is many'],
    [{ code: 'cover-places', places: 12, cover: 2 }, 'twelve hollows: cover two'],
    [{ code: 'few', usualQty: 4, qty: 9 }, 'a home usually has 4, and 9 are needed'],
    [{ code: 'lacks', trait: 'floats' }, 'it does not float'],
    [{ code: 'ruled', why: '' }, 'you decided that it will do'],
  ];
  for (const [reason, words] of reasons) assert.equal(describeSwapReason(reason), words);
});

test('what is due reads as one sentence, and what is late says what still can be done', () => {
  assert.equal(
    dueItemInPlain({
      ...due({ kind: 'reserve', book: 'Over' }),
      id: 'x',
      isLate: false,
      sessionId: 's',
      stage: 'term',
      mayMove: false,
    }),
    'Reserve the book “Over” for “Wheels” on Thursday 18 March.',
  );
  assert.match(
    describeDueItem(due({ kind: 'homes-prepare', text: 'Freeze.', activity: 'Ice' }, '2027-03-17T14:00')).after,
    /by 14:00\.$/,
  );
  const helps = (['reserve', 'collect', 'homes-prepare', 'keep', 'prepare'] as const).map((kind) =>
    describeLateHelp({ what: { kind, book: 'b', text: 't', activity: 'a', until: 'u' } as DueWhat }),
  );
  assert.equal(new Set(helps).size, helps.length);
});

test('leads, counts and when something was last touched', () => {
  assert.deepEqual(
    [leadWords({ days: 0 }), leadWords({ days: 1 }), leadWords({ workingDays: 3 }), leadWords({ hours: 30 })],
    ['on the day', 'the day before', '3 open days before', '30 hours before'],
  );
  assert.deepEqual([0, 1, 12, 13].map(countWords), ['no', 'one', 'twelve', '13']);
  assert.deepEqual(
    [
      lastTouchedWords({ last: null, gapDays: null }),
      lastTouchedWords({ last: '2027-03-01', gapDays: 7 }),
      lastTouchedWords({ last: '2027-01-01', gapDays: 66 }),
    ],
    ['not yet', '1 Mar', '1 Jan, nine weeks ago'],
  );
});
