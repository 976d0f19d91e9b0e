import { composeGuide } from './composeGuide.ts';
import { guideLanguage } from '../../messages/guideLanguages.ts';
import { authorMakers } from '../../messages/authorMakers.ts';
import { regenerateIn } from '../makers/index.ts';
import { applyEdit, type Session } from '../session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Home } from '../homes/index.ts';
import { CARTS, homeWith, SESSION, THINGS } from './session.fixture.ts';

const guideFor = (home: Home, session: Session) =>
  composeGuide({ ...guideLanguage('en'), session, home, things: THINGS, programme: 'Quillbrook' });
const everything = [
  { item: 'small-box', qty: 6 },
  { item: 'bottle-lid', qty: 30 },
];

test('what dries or freezes is told behind its line, at a level without that line behind the last that is done', () => {
  const minutes = { ...CARTS.minutes, wait: [20, 30, 40] as const };
  const lines = [...CARTS.lines, { id: 'carts-3', kind: 'do' as const, text: 'Bring the {@lids} back.' }];
  const levels = {
    harder: { text: '', dials: {}, lines: [{ id: 'own', kind: 'do' as const, text: 'Paint them all.' }] },
  };
  const segment = { ...CARTS, minutes, lines, levels, waitAfter: 'carts-1' };
  const guide = guideFor(homeWith(everything), { ...SESSION, segments: [segment] });
  const waits = (level: 'right' | 'harder') => guide.segments[0]!.levels[level]!.lines.map(({ wait }) => wait ?? 0);
  assert.deepEqual([waits('right'), waits('harder')], [[30, 0, 0], [30]]);
});

test('what a home does before the day is due on the day that Today says, past weekends and closed days', () => {
  const ahead = [{ who: 'home' as const, workingDays: 1, text: 'Freeze a tray of water.' }];
  const session = { ...SESSION, on: '2027-03-22', segments: [{ ...CARTS, ahead }] };
  const days = (openDays?: { weekend: number[]; closed: string[] }) =>
    composeGuide({
      session,
      home: homeWith(everything),
      things: THINGS,
      programme: 'Q',
      openDays,
      ...guideLanguage('en'),
    }).before[0]!.days;
  assert.equal(days(), 3, 'Friday before a Monday');
  assert.equal(days({ weekend: [6, 7], closed: ['2027-03-19'] }), 4);
  assert.equal(days({ weekend: [7], closed: [] }), 2);
});

test('a bag that holds some of what is fetched says how many', () => {
  const more = { ...CARTS, id: 'more', needs: [{ ...CARTS.needs[1]!, use: 'used-up' as const, qty: 10, swaps: [] }] };
  const first = { ...CARTS, id: 'first', needs: [{ ...CARTS.needs[1]!, use: 'used-up' as const, qty: 5, swaps: [] }] };
  const session = {
    ...SESSION,
    segments: [
      { ...first, lines: [] },
      { ...more, lines: [] },
    ],
  };
  const [lids] = guideFor(homeWith([{ item: 'bottle-lid', qty: 6 }]), session).fetch;
  assert.deepEqual([lids!.qty, lids!.source, lids!.kitQty], [15, 'kit', 10]);
});

test('a thing that a part can be done without is spared where it lacks, with the line that is only about it', () => {
  const optional = { ...CARTS.needs[1]!, optional: true, swaps: [] };
  const lines = [...CARTS.lines, { id: 'carts-3', kind: 'do' as const, text: 'Shake the {@lids}.' }];
  const session = { ...SESSION, segments: [{ ...CARTS, needs: [CARTS.needs[0]!, optional], lines, levels: {} }] };
  const without = guideFor(homeWith([{ item: 'small-box', qty: 6 }]), session);
  assert.deepEqual(
    [without.state, without.fetch.map(({ item }) => item), without.segments[0]!.levels.right!.lines.length],
    ['ready', ['small-box'], 2],
  );
  const withLids = guideFor(homeWith(everything), session);
  assert.equal(withLids.segments[0]!.levels.right!.lines.length, 3);
});

test('after a swap was taken over, what is done ahead with the former thing is told to nobody who may not have it, and stops nobody', () => {
  const ahead = [{ who: 'home' as const, days: 7, text: 'Save bottle lids.', for: { need: 'lids' } }];
  const before: Session = { ...SESSION, segments: [{ ...CARTS, ahead }] };
  const taken = applyEdit(
    before,
    { do: 'use-swap', segment: 'carts', need: 'lids', item: 'jar-lid' },
    regenerateIn(authorMakers),
  );
  assert.ok(taken.ok);
  const stock = [...everything, { item: 'jar-lid', qty: 30 }];
  const toddler = homeWith(stock, { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] });
  const guide = guideFor(toddler, taken.value);
  assert.deepEqual([guide.segments[0]!.leftOut, guide.before], [false, []]);
  const older = homeWith([...everything, { item: 'jar-lid', qty: 2 }]);
  assert.equal(guideFor(older, taken.value).before.length, 1, 'it uses bottle lids after all');
});
