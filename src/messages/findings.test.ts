import assert from 'node:assert/strict';
import { test } from 'node:test';
import { findFindings } from '../core/checks/index.ts';
import { fitHomes } from '../core/homes/index.ts';
import { composeSession } from '../core/guide/index.ts';
import { CARTS, homeWith, SESSION, THINGS } from '../core/guide/session.fixture.ts';
import type { Session } from '../core/session/index.ts';
import { describeFinding } from './findings.ts';
import { ageInWords } from './dates.ts';
import { describeEditProblem, describeScriptFault } from './edits.ts';
import { describeError } from './errors.ts';

const wordsFor = (session: Session, homes = [homeWith([])]) => {
  const composed = composeSession(session, THINGS, {
    seatedMinutesPerYear: 3,
    youngestMonths: session.ages.fromMonths,
  });
  return findFindings(session, composed, fitHomes(session, homes, { things: THINGS }).fits, { things: THINGS }).map(
    (finding) => {
      const { title, text, remedy } = describeFinding(finding, THINGS);
      return `${title} | ${text}${remedy ? ` | ${remedy}` : ''}`;
    },
  );
};

test('findings are sentences with numbers, and remedies are verbs', () => {
  const small = homeWith([], { children: [{ nickname: 'Pip', birthMonth: '2025-01' }], nickname: 'Blue door' });
  assert.deepEqual(wordsFor(SESSION, [small]), [
    '16 bottle lids | boxes × wheels: worked out from the dials.',
    '1 home lacks boxs and bottle lids | Nothing else there will do: Blue door. Give it out in a bag, or choose another thing here.',
    'Bottle lids: not for 1 home | Small enough to swallow. Use something larger. Those homes get another thing, or a kit. | Write it with jar lids',
    'The book to Carts and lids is one long sit | 13.3 minutes; the youngest sits for about 9. | Put Wheel hunt in between',
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
  assert.equal(findings.find(({ facts }) => facts.code === 'caution')?.remedy?.do, 'use-swap');
  assert.match(JSON.stringify(findings), /"swapTo":"jar-lid"/);
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
  assert.match(words, /This line cannot be written out \| The brace at character 5 is never closed/);
  assert.match(words, /How many boxs\? \| “4\/\(boxes-4\)” divides by zero/);
  assert.match(words, /Made for a circle/);
  assert.match(words, /together: “boxs” is not a dial here \(there are: boxes, wheels\)/);
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
      'More work than play | About 13 min of setting up for 3 min of play.',
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
