import assert from 'node:assert/strict';
import { test } from 'node:test';
import { findAsides } from '../checks/asides.ts';
import { fitHomes } from '../homes/sessionReadiness.ts';
import type { Home } from '../homes/home.ts';
import { composeSession } from './composition.ts';
import { applyEdit } from './edit.ts';
import { composeGuide } from './guide.ts';
import { CARTS, homeWith, SESSION, THINGS } from './session.fixture.ts';
import type { Session } from './session.ts';

const guideFor = (home: Home, session: Session = SESSION) =>
  composeGuide({ session, home, things: THINGS, programme: 'Quillbrook' });
const cartsIn = (guide: ReturnType<typeof guideFor>) => guide.segments.find(({ id }) => id === 'carts')!;
const asidesFor = (homes: readonly Home[], session: Session = SESSION) => {
  const composed = composeSession(session, THINGS, {
    seatedMinutesPerYear: 3,
    youngestMonths: session.ages.fromMonths,
  });
  return findAsides(session, composed, fitHomes(session, homes, THINGS).fits, THINGS);
};

const everything = [
  { item: 'small-box', qty: 6 },
  { item: 'bottle-lid', qty: 30 },
];

test('a home that has everything gets the script as written', () => {
  const guide = guideFor(homeWith(everything));
  assert.deepEqual(
    guide.fetch.map(({ qty, name, source, insteadOf }) => [qty, name, source, insteadOf]),
    [
      [16, 'bottle lids', 'home', undefined],
      [4, 'boxs', 'home', undefined],
    ],
  );
  assert.equal(cartsIn(guide).lines[0]!.text, 'Put 4 boxs in a row. Tip the bottle lids into a bowl.');
  assert.deepEqual(
    cartsIn(guide).cautions.map(({ rule, level }) => `${level} ${rule}`),
    ['watch small-parts'],
  );
});

test('for a child under three small things are swapped, in the list and in the words', () => {
  const guide = guideFor(
    homeWith([...everything, { item: 'jar-lid', qty: 20 }], { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] }),
  );
  const lids = guide.fetch.find(({ item }) => item === 'jar-lid');
  assert.equal(lids?.insteadOf, 'bottle lids');
  assert.match(cartsIn(guide).lines[0]!.text, /Tip the jar lids/);
  assert.deepEqual(cartsIn(guide).cautions, []);
});

test('an allergy withholds a thing even when it is there, and the kit brings another', () => {
  const stock = [
    { item: 'egg-carton', qty: 9 },
    { item: 'bottle-lid', qty: 30 },
  ];
  assert.match(cartsIn(guideFor(homeWith(stock))).lines[0]!.text, /egg cartons/);
  const guide = guideFor(homeWith(stock, { allergens: ['egg'] }));
  assert.equal(guide.fetch.find(({ item }) => item === 'small-box')?.source, 'kit');
});

test('a swap brings its own numbers into the lines', () => {
  const guide = guideFor(
    homeWith([
      { item: 'egg-carton', qty: 9 },
      { item: 'bottle-lid', qty: 30 },
    ]),
  );
  assert.equal(cartsIn(guide).lines[1]!.answer, '24');
});

test('what nothing may replace is named as withheld', () => {
  const onlyLids = { ...CARTS, needs: [{ ...CARTS.needs[1]!, swaps: [] }], lines: [] };
  const guide = guideFor(homeWith(everything, { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] }), {
    ...SESSION,
    segments: [onlyLids],
  });
  assert.deepEqual(cartsIn(guide).withheld, ['bottle lids']);
  assert.deepEqual(guide.fetch, []);
});

test('quantities are for the children of the home', () => {
  const each = { ...CARTS, needs: [{ ...CARTS.needs[0]!, per: 'child' as const }], lines: [] };
  const two = homeWith(everything, {
    children: [
      { nickname: 'Pip', birthMonth: '2023-01' },
      { nickname: 'Ada', birthMonth: '2022-01' },
    ],
  });
  assert.equal(guideFor(two, { ...SESSION, segments: [each] }).fetch[0]?.qty, 8);
});

test('easier and harder are written with the dials of their level', () => {
  const { easier, harder } = cartsIn(guideFor(homeWith(everything)));
  assert.deepEqual([easier, harder], ['2 boxes only.', '5 boxes.']);
});

test('a sit that is too long offers the move that breaks it, and pressing it works', () => {
  const sit = asidesFor([homeWith(everything)]).find(({ finding }) => finding.code === 'seated-too-long');
  assert.deepEqual(sit?.remedy, { do: 'move-segment', segment: 'hunt', to: 1 });
  const mended = applyEdit(SESSION, sit!.remedy!);
  assert.ok(mended.ok);
  assert.equal(
    asidesFor([homeWith(everything)], mended.value).some(({ finding }) => finding.code === 'seated-too-long'),
    false,
  );
});

test('what was done on purpose is not said again, but what stops a session is', () => {
  const sit = asidesFor([homeWith(everything)]).find(({ finding }) => finding.code === 'seated-too-long')!;
  const group = { ...SESSION, segments: [{ ...CARTS, size: 'group' as const }], accepted: [sit.id, 'group:carts'] };
  assert.deepEqual(
    asidesFor([homeWith(everything)], group)
      .filter(({ weight }) => weight === 'stop')
      .map(({ finding }) => finding.code),
    ['group-only'],
  );
  assert.equal(
    asidesFor([homeWith(everything)], { ...SESSION, accepted: [sit.id] }).some(({ id }) => id === sit.id),
    false,
  );
});

test('homes under three are counted beside what they must not have, with the swap to write instead', () => {
  const small = homeWith(everything, { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] });
  const caution = asidesFor([small, homeWith(everything)]).find(({ finding }) => finding.code === 'caution');
  assert.ok(caution?.finding.code === 'caution');
  assert.equal(caution.finding.homes, 1);
  assert.deepEqual(caution.remedy, { do: 'write-with', segment: 'carts', need: 'lids', item: 'jar-lid' });
});

test('what the same homes lack is said once', () => {
  const bare = homeWith([], { id: 'bare', nickname: 'Top floor' });
  const lacks = asidesFor([bare, homeWith(everything)]).filter(({ finding }) => finding.code === 'homes-lack');
  assert.deepEqual(
    lacks.map(
      ({ finding }) => finding.code === 'homes-lack' && [finding.needs.map(({ item }) => item), finding.nicknames],
    ),
    [[['small-box', 'bottle-lid'], ['Top floor']]],
  );
});

test('a line without words does not reach a home', () => {
  const blank = { ...CARTS, lines: [{ id: 'blank', kind: 'say' as const, text: '  ' }, ...CARTS.lines] };
  const guide = guideFor(homeWith(everything), { ...SESSION, segments: [blank] });
  assert.equal(cartsIn(guide).lines.length, CARTS.lines.length);
});
