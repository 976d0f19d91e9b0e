import assert from 'node:assert/strict';
import { test } from 'node:test';
import { findFindings } from '../core/checks/index.ts';
import { fitHomes } from '../core/homes/index.ts';
import { composeSession } from '../core/guide/index.ts';
import { CARTS, homeWith, SESSION, THINGS } from '../core/guide/session.fixture.ts';
import { USUAL_POLICY } from '../core/cautions/index.ts';
import type { Session } from '../core/session/index.ts';
import { describeFinding } from './findings.ts';
import { sayScreen } from './screenWords.ts';
import { ageInWords } from './spans.ts';
import { describeEditProblem, describeScriptFault } from './edits.ts';
import { describeError } from './errors.ts';

const wordsFor = (session: Session, homes = [homeWith([])]) => {
  const composed = composeSession(session, THINGS, {
    seatedMinutesPerYear: 3,
    youngestMonths: session.ages.fromMonths,
  });
  return findFindings(session, composed, fitHomes(session, homes, { things: THINGS }).fits, { things: THINGS }).map(
    (finding) => {
      const { title, text, remedy } = describeFinding(finding);
      return `${title} | ${text}${remedy ? ` | ${remedy}` : ''}`;
    },
  );
};

test('findings are sentences with numbers, and remedies are verbs', () => {
  const small = homeWith([], { children: [{ nickname: 'Pip', birthMonth: '2025-01' }], nickname: 'Blue door' });
  assert.deepEqual(wordsFor(SESSION, [small]), [
    '16 bottle lids | Worked out from the dials: boxes × wheels.',
    '1 home lacks boxs and bottle lids | Nothing else they have would do: Blue door. Give it out in a bag, or choose another thing here.',
    'Bottle lids: not for 1 home | Small enough to swallow. Use something larger. Those homes get another thing, or a kit. | Write it with jar lids',
    'The book to Carts and lids is one long sit | About 13 minutes; the youngest sits for about 9. | Put Wheel hunt in between',
    'Where does this happen? | There are things to put out, and nothing says on what. At the table, on the floor, side by side?',
    'And if they say something else? | The questions here have right answers. Say in one line what to do when another one comes.',
    'It stops, but it doesn’t end | There is no closing. Add one: put things away, sing goodbye, say what comes next time.',
  ]);
});

test('a home that goes without a part is told of once, and a remedy is one that every home concerned may have', () => {
  const small = homeWith([], { children: [{ nickname: 'Pip', birthMonth: '2025-01' }], nickname: 'Blue door' });
  const lids = CARTS.needs[1]!;
  const without = wordsFor({ ...SESSION, segments: [{ ...CARTS, needs: [{ ...lids, swaps: [] }] }] }, [small]);
  assert.ok(
    without.some((words) => words.startsWith('1 home goes without this')),
    without.join('\n'),
  );
  assert.ok(!without.some((words) => words.includes('not for 1 home')));
  const swaps = [{ item: 'button', fit: 0.9, why: '' }, ...lids.swaps];
  const things = { ...THINGS, button: { ...THINGS['bottle-lid']!, key: 'button', traits: ['magnets-cells-beads'] } };
  const session = { ...SESSION, segments: [{ ...CARTS, needs: [{ ...lids, swaps }] }] };
  const composed = composeSession(session, things, { seatedMinutesPerYear: 3, youngestMonths: 36 });
  const findings = findFindings(session, composed, fitHomes(session, [small], { things }).fits, { things });
  assert.equal(findings.find(({ code }) => code === 'caution')?.remedy?.do, 'use-swap');
  assert.match(JSON.stringify(findings), /"item":"jar-lid"/);
});

test('what stops a session says where and why', () => {
  const broken = {
    ...CARTS,
    size: 'group' as const,
    lines: [{ id: 'x', kind: 'do' as const, text: 'Put {n out' }],
    needs: [{ ...CARTS.needs[0]!, qty: '4/(boxes-4)' }],
    minutes: { ...CARTS.minutes, together: [1, 'boxs', 3] as const },
  };
  const words = wordsFor({ ...SESSION, segments: [broken] }, []).join('\n');
  assert.match(words, /This line isn’t finished \| A number in it isn’t finished/);
  assert.match(words, /How many boxs\? \| “4\/\(boxes-4\)” divides by zero/);
  assert.match(words, /Made for a circle/);
  assert.match(words, /Together: “boxs” isn’t one of its numbers; there are boxes, wheels/);
});

test('more setting up than play is said with both', () => {
  const costly = {
    ...CARTS,
    minutes: {
      setup: [10, 12, 20] as const,
      together: [2, 3, 4] as const,
      alone: [0, 0, 0] as const,
      tidy: [0, 0, 0] as const,
    },
  };
  assert.ok(
    wordsFor({ ...SESSION, segments: [costly] }, []).includes(
      'More work than play | About 13 minutes of setting up for 3 minutes of play.',
    ),
  );
});

test('refusals name the part, the range and what was not taken', () => {
  assert.equal(
    describeEditProblem({ code: 'dial-out-of-range', segment: 'Carts', dial: 'boxes', value: 9, min: 2, max: 6 }),
    'Carts: “boxes” goes from 2 to 6, so 9 was not taken.',
  );
  assert.match(
    describeEditProblem({ code: 'no-such-choice', segment: 'Rows', dial: 'unit', value: 'x', choices: ['a', 'b'] }),
    /offers a, b/,
  );
  assert.match(
    describeScriptFault({ code: 'expression', problem: { code: 'negative', at: 'n-5', value: -2 }, when: 'boxes 3' }),
    /comes to -2.*at boxes 3/,
  );
});

test('every failure says what happened and what is kept', () => {
  assert.match(describeError('too-many-tries', { retryAfterSeconds: 60 }), /Wait 60 seconds/);
  assert.match(describeError('too-many-tries', { retryAfterSeconds: 300 }), /Wait 5 minutes/);
  assert.match(
    describeError('wrong-input', { problems: [{ path: 'title', message: 'must not be empty' }] }),
    /title must not be empty\. Nothing was changed/,
  );
  for (const code of ['conflict', 'database-away', 'not-signed-in'] as const)
    assert.match(describeError(code, {}), /still/);
});

test('ages are said in years and months', () => {
  assert.deepEqual([0, 1, 8, 12, 13, 30].map(ageInWords), [
    '0 months',
    '1 month',
    '8 months',
    '1 year',
    '1 year 1 month',
    '2 years 6 months',
  ]);
});

test('a home that goes without a part is told why, in the programme’s own words where the rule is its own', () => {
  const policy = {
    ...USUAL_POLICY,
    own: [{ name: 'own-1', actions: ['paint'], level: 'stop' as const, words: 'No paint here on Fridays.' }],
  };
  const segment = { ...CARTS, needs: [], actions: ['paint'] };
  const session = { ...SESSION, segments: [segment] };
  const composed = composeSession(session, THINGS, { seatedMinutesPerYear: 3, youngestMonths: 36 });
  const settings = { things: THINGS, policy };
  const homes = ['Blue door', 'Top floor', 'Mill', 'Quay', 'Barn'].map((nickname) =>
    homeWith([], { id: nickname, nickname }),
  );
  const without = findFindings(session, composed, fitHomes(session, homes, settings).fits, settings)
    .filter(({ code }) => code === 'left-out')
    .map(describeFinding);
  assert.deepEqual(without, [
    {
      title: '5 homes go without this',
      text: 'That’s Blue door, Top floor, Mill and 2 more. No paint here on Fridays. Add another activity for the same skill, or something else that will do.',
      remedy: null,
    },
  ]);
});

test('a sentence that is said without its value, or with one it does not know, does not compile', () => {
  assert.equal(sayScreen('count.can-do', { count: 1 }), '1 home can do it as written');
  // @ts-expect-error It speaks of a count.
  assert.throws(() => sayScreen('count.can-do'));
  // @ts-expect-error It knows no homes.
  sayScreen('count.can-do', { count: 2, homes: 2 });
});
