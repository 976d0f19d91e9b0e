import { authorMakers } from '../../messages/authorMakers.ts';
import { regenerateIn } from '../makers/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { findFindings, textFoundIn } from './findings.ts';
import { fitHomes, type Home } from '../homes/index.ts';
import { composeSession } from '../guide/index.ts';
import { listOf, own } from '../message.ts';
import { applyEdit, plainSegment, type Session } from '../session/index.ts';
import { CARTS, homeWith, SESSION, THINGS } from '../guide/session.fixture.ts';

const findingsFor = (homes: readonly Home[], session: Session = SESSION) => {
  const composed = composeSession(session, THINGS, {
    seatedMinutesPerYear: 3,
    youngestMonths: session.ages.fromMonths,
  });
  return findFindings(session, composed, fitHomes(session, homes, { things: THINGS }).fits, { things: THINGS });
};

const everything = [
  { item: 'small-box', qty: 6 },
  { item: 'bottle-lid', qty: 30 },
];

test('a sit that is too long offers the move that breaks it, and pressing it works', () => {
  const sit = findingsFor([homeWith(everything)]).find(({ code }) => code === 'seated-too-long');
  assert.deepEqual(sit?.remedy, { do: 'move-segment', segment: 'hunt', to: 1 });
  const mended = applyEdit(SESSION, sit!.remedy!, regenerateIn(authorMakers));
  assert.ok(mended.ok);
  assert.equal(
    findingsFor([homeWith(everything)], mended.value).some(({ code }) => code === 'seated-too-long'),
    false,
  );
});

test('what was done on purpose is not said again, but what stops a session is', () => {
  const sit = findingsFor([homeWith(everything)]).find(({ code }) => code === 'seated-too-long')!;
  const group = { ...SESSION, segments: [{ ...CARTS, size: 'group' as const }], accepted: [sit.id, 'group:carts'] };
  assert.deepEqual(
    findingsFor([homeWith(everything)], group)
      .filter(({ weight }) => weight === 'stop')
      .map(({ code }) => code),
    ['group-only'],
  );
  assert.equal(
    findingsFor([homeWith(everything)], { ...SESSION, accepted: [sit.id] }).some(({ id }) => id === sit.id),
    false,
  );
});

test('what was kept stays answered until the words it is about change', () => {
  const [first, ...lines] = CARTS.lines;
  const todo = { ...first!, text: 'TODO' };
  const session = { ...SESSION, segments: [{ ...CARTS, lines: [todo, ...lines] }] };
  const found = (looked: Session) =>
    findingsFor([homeWith(everything)], looked).find(({ code }) => code === 'placeholder');
  const { id } = found(session)!;
  const text = textFoundIn(session.segments[0]!, found(session)!);
  const kept = applyEdit(session, { do: 'accept', finding: id, text, because: 'later' }, regenerateIn(authorMakers));
  assert.ok(kept.ok);
  assert.equal(found(kept.value), undefined);
  const changed = { ...todo, text: 'TODO tomorrow' };
  assert.ok(found({ ...kept.value, segments: [{ ...CARTS, lines: [changed, ...lines] }] }));
  assert.equal(found({ ...session, accepted: [id] }), undefined, 'answered before texts were kept');
});

test('a session without a closing stops, and one with a closing ends', () => {
  const ends = (segments: Session['segments']) =>
    findingsFor([homeWith(everything)], { ...SESSION, segments }).every(({ code }) => code !== 'no-ending');
  assert.equal(ends([CARTS]), false);
  assert.equal(ends([CARTS, plainSegment('bye', 'closing', 'Goodbye', [1, 2, 3])]), true);
});

test('homes under three are counted beside what they must not have, with the swap to write instead', () => {
  const small = homeWith(everything, { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] });
  const caution = findingsFor([small, homeWith(everything)]).find(({ code }) => code === 'caution');
  assert.equal(caution?.values?.count, 1);
  assert.deepEqual(caution?.remedy, { do: 'use-swap', segment: 'carts', need: 'lids', item: 'jar-lid' });
});

test('a line that two wrote in at the same time is said, until somebody has chosen', () => {
  const [first, ...lines] = CARTS.lines;
  const clash = (other?: { text: string }) => ({
    ...SESSION,
    segments: [{ ...CARTS, lines: [{ ...first!, other }, ...lines] }],
  });
  const said = (session: Session) =>
    findingsFor([homeWith(everything)], session).flatMap(({ code, line }) => (code === 'two-versions' ? [line] : []));
  assert.deepEqual(said(clash({ text: 'Other words.' })), [first!.id]);
  assert.deepEqual(said(clash()), []);
});

test('what the same homes lack is said once', () => {
  const bare = homeWith([], { id: 'bare', nickname: 'Top floor' });
  const lacks = findingsFor([bare, homeWith(everything)]).filter(({ code }) => code === 'homes-lack');
  assert.deepEqual(
    lacks.map(({ values }) => values),
    [{ count: 1, things: listOf([own('boxs'), own('bottle lids')]), homes: listOf([own('Top floor')]) }],
  );
});

test('the second long sit of a session has its remedy, too, though the first is longer', () => {
  const sitting = (id: string, minutes: number) => plainSegment(id, 'activity', id, [minutes, minutes, minutes]);
  const moving = (id: string): Session['segments'][number] => ({
    ...plainSegment(id, 'activity', id, [2, 2, 2]),
    posture: 'moving',
  });
  const segments = [
    ...[sitting('a1', 10), sitting('a2', 10), sitting('a3', 10), moving('walk')],
    ...[sitting('b1', 7), sitting('b2', 7), moving('hop'), moving('skip')],
  ];
  const session = { ...SESSION, segments };
  const sits = findingsFor([homeWith(everything)], session).filter(({ code }) => code === 'seated-too-long');
  assert.deepEqual(
    sits.map(({ id, remedy }) => [id, remedy?.do === 'move-segment' && remedy.to]),
    [
      ['sit:a1-a3', 1],
      ['sit:b1-b2', 5],
    ],
  );
});

test('an amount is explained by the sum of the level that it stands at', () => {
  const levels = { ...CARTS.levels, easier: { ...CARTS.levels.easier!, qty: { lids: 'boxes+1' } } };
  const atEasier = applyEdit(
    { ...SESSION, segments: [{ ...CARTS, levels }] },
    { do: 'choose-level', segment: 'carts', level: 'easier' },
    regenerateIn(authorMakers),
  );
  assert.ok(atEasier.ok);
  const sums = findingsFor([homeWith(everything)], atEasier.value).flatMap(({ code, values }) =>
    code === 'computed' ? [[values?.sum, values?.qty]] : [],
  );
  assert.deepEqual(sums, [[{ sum: 'boxes+1' }, 3]]);
});
