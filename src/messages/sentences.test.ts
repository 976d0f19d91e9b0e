import type { DueWhat } from '../core/calendar/preparation.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { renderTemplate, type TemplateProblem } from '../core/expressions/index.ts';
import type { SwapReason } from '../core/materials/index.ts';
import type { EditProblem } from '../core/session/index.ts';
import type { PlanReason, WeekNote } from '../core/terms/index.ts';
import { leadWords } from './spans.ts';
import { describeEditProblem } from './edits.ts';
import { problemMessage } from '../core/message.ts';
import { describeExpressionProblem } from './expressions.ts';
import { problems } from './author/problems.ts';
import { sayMessage } from './screenWords.ts';
import { describeMakerProblem } from './makers.ts';
import { describeSwapReason } from './swaps.ts';
import {
  countWords,
  describePlanProblem,
  describePlaced,
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
    [{ code: 'again', skill: 'sort' }, 'sorting again'],
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
  const unfit = { code: 'nothing-fits', loosen: ['after'] } as const;
  assert.match(describePlanProblem(unfit), /pin the earlier one.*The term is as it was\./);
  assert.match(describePlanProblem({ code: 'out-of-time' }), /in the time we take.*The term is as it was\./);
  assert.equal(
    describeMakerProblem({ code: 'out-of-range', maker: 'pair-cards', dial: 'total', min: 1, max: 12, value: 10_000 }),
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

test('each thing that is due says what to do, for which session and which day', () => {
  const sentence = (what: DueWhat) => {
    const { before, after } = describeDueItem(due(what));
    return `${before} [Wheels] ${after}`.trim();
  };
  const sentences: [DueWhat, string][] = [
    [{ kind: 'hold' }, '[Wheels] is the day’s session at home.'],
    [{ kind: 'write' }, 'Start writing [Wheels] for Thursday 18 March.'],
    [
      { kind: 'send', isChanged: true },
      'Send [Wheels] again: it changed after it went out. It is for Thursday 18 March.',
    ],
    [{ kind: 'send', isChanged: false }, 'Send [Wheels] so that homes have it in good time for Thursday 18 March.'],
    [{ kind: 'collect', book: 'Over' }, 'Have “Over” in the room for [Wheels] on Thursday 18 March.'],
    [
      { kind: 'keep', text: 'keep two cartons', activity: 'Post', until: 'Towers' },
      'Homes: keep two cartons (from “Post”). “Towers” needs it in [Wheels] on Thursday 18 March.',
    ],
    [
      { kind: 'prepare', text: 'Print it.', activity: 'Cards' },
      'Print it. This is for “Cards” in [Wheels] on Thursday 18 March.',
    ],
  ];
  for (const [what, words] of sentences) assert.equal(sentence(what), words);
});

test('an edit that is refused names the part, the dial and what it takes', () => {
  const place = { segment: 'Pots', dial: 'last pot' } as const;
  const refusals: [EditProblem, string][] = [
    [{ code: 'no-such-part', part: 'p9' }, 'That part is not in the session any more.'],
    [
      { code: 'dial-out-of-range', ...place, min: 3, max: 9, value: 12 },
      'Pots: “last pot” goes from 3 to 9, so 12 was not taken.',
    ],
    [
      { code: 'dial-not-whole', ...place, value: 2.5 },
      'Pots: “last pot” takes a whole number, so “2.5” was not taken.',
    ],
    [
      { code: 'no-such-choice', ...place, choices: ['red', 'blue'], value: 'green' },
      'Pots: “last pot” offers red, blue, so “green” was not taken.',
    ],
  ];
  for (const [problem, words] of refusals) assert.equal(describeEditProblem(problem), words);
});

test('what is wrong with a sum is said with the words at fault', () => {
  assert.equal(
    describeExpressionProblem({ code: 'unknown-name', at: 'lids', known: ['n', 'from'] }),
    '“lids” isn’t one of its numbers; there are n, from',
  );
  assert.equal(
    describeExpressionProblem({ code: 'unknown-name', at: 'lids', known: [] }),
    '“lids” isn’t one of its numbers',
  );
  const inBraces: TemplateProblem = { code: 'braces', column: 7, problem: { code: 'division-by-zero', at: 'n/0' } };
  assert.equal(sayMessage(problemMessage(inBraces)), '“n/0” divides by zero');
});

test('leads, counts and when something was last touched', () => {
  assert.deepEqual(
    [leadWords({ days: 0 }), leadWords({ days: 1 }), leadWords({ workingDays: 3 }), leadWords({ hours: 30 })],
    ['on the day', 'the day before', '3 open days before', '30 hours before'],
  );
  assert.deepEqual(
    [describePlaced(29, 0), describePlaced(29, 3), describePlaced(0, 0)],
    ['all 29 skills have a week', '3 of 29 skills not planned yet', 'no skills aimed for'],
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

test('a problem that names nothing is said all the same, whatever its code', () => {
  const named = (code: string) =>
    (problems as Readonly<Record<string, string>>)[code]!.match(/\{(\w+)/g)?.map((name) => name.slice(1)) ?? [];
  for (const code of Object.keys(problems).filter((name) => !name.endsWith('.plain'))) {
    const nothing = Object.fromEntries(named(code).map((name) => [name, '']));
    assert.doesNotMatch(sayMessage(problemMessage({ code, ...nothing })), /[{}]/, code);
  }
  const line = renderTemplate('Put {@} down', { values: {}, things: {} });
  assert.ok(!line.ok);
  assert.match(sayMessage(problemMessage(line.problem)), /isn’t among the things of this part/);
});
