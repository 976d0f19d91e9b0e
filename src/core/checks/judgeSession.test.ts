import assert from 'node:assert/strict';
import { test } from 'node:test';
import { USUAL_POLICY } from '../cautions/index.ts';
import { composeSession } from '../guide/index.ts';
import { homeWith, SESSION, THINGS } from '../guide/session.fixture.ts';
import { fitHomes } from '../homes/index.ts';
import { findFindings } from './findings.ts';
import { judgeSession } from './judgeSession.ts';

const homes = [
  homeWith([
    { item: 'bottle-lid', qty: 16 },
    { item: 'small-box', qty: 4 },
  ]),
  {
    ...homeWith([
      { item: 'jar-lid', qty: 16 },
      { item: 'small-box', qty: 4 },
    ]),
    id: 'second',
    nickname: 'Second',
  },
  { ...homeWith([]), id: 'third', nickname: 'Third', children: [{ nickname: 'Pip', birthMonth: '2025-01' }] },
];
const against = { things: THINGS, homes, policy: USUAL_POLICY, decisions: [], seatedMinutesPerYear: 3 };

test('a judgement holds what the checks find and how each home does it, and survives the way from a worker', () => {
  const judgement = judgeSession(SESSION, against);
  assert.deepEqual(
    judgement.homes.map(({ nickname, state, outcome }) => [nickname, state, outcome]),
    [
      [homes[0]!.nickname, 'ready', 'ready'],
      ['Second', 'swaps', 'swaps'],
      ['Third', 'short', 'kit'],
    ],
  );
  assert.equal(judgement.ready, 1);
  const { fits } = fitHomes(SESSION, homes, { things: THINGS });
  const composed = composeSession(SESSION, THINGS, {
    seatedMinutesPerYear: 3,
    youngestMonths: SESSION.ages.fromMonths,
  });
  const found = findFindings(SESSION, composed, fits, { things: THINGS }).map(({ id }) => id);
  assert.deepEqual(
    judgement.findings.map(({ id }) => id).filter((id) => !id.startsWith('settle')),
    found.filter((id) => !id.startsWith('settle')),
  );
  assert.deepEqual(structuredClone(judgement), judgement);
});

test('without homes there are findings and nobody to count', () => {
  const { homes: none, ready, findings } = judgeSession(SESSION, { ...against, homes: [] });
  assert.deepEqual([none, ready], [[], 0]);
  assert.ok(findings.length > 0);
});
