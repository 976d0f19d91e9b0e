import { countOf } from '../core/checks/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { differencesOf, fitHome, outcomeOf } from '../core/homes/index.ts';
import { agesFromYears, agesInYears } from '../core/session/index.ts';
import { CARTS, homeWith, SESSION, THINGS } from '../core/guide/session.fixture.ts';
import { countOutcomes, countThing, describeDifferences } from './fits.ts';

const reasonsFor = (home: ReturnType<typeof homeWith>, session = SESSION) =>
  describeDifferences(differencesOf(fitHome(session, home, { things: THINGS })), THINGS);

test('a home’s state is explained by its swaps, its kit and what nothing may replace', () => {
  assert.deepEqual(
    reasonsFor(
      homeWith([
        { item: 'small-box', qty: 4 },
        { item: 'bottle-lid', qty: 16 },
      ]),
    ),
    [],
  );
  assert.deepEqual(
    reasonsFor(
      homeWith([
        { item: 'small-box', qty: 4 },
        { item: 'jar-lid', qty: 16 },
      ]),
    ),
    ['jar lids for bottle lids (larger)'],
  );
  assert.deepEqual(reasonsFor(homeWith([{ item: 'small-box', qty: 4 }])), ['a kit with 16 bottle lids']);
  const onlyLids = { ...SESSION, segments: [{ ...CARTS, needs: [{ ...CARTS.needs[1]!, swaps: [] }] }] };
  const small = homeWith([], { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] });
  assert.deepEqual(reasonsFor(small, onlyLids), ['goes without “Carts and lids”']);
  const optional = { ...CARTS.needs[1]!, swaps: [], optional: true };
  const withOptional = { ...SESSION, segments: [{ ...CARTS, needs: [optional] }] };
  assert.deepEqual(reasonsFor(small, withOptional), ['nothing safe for bottle lids']);
});

test('a home that must do without a part is not said to need a kit', () => {
  const onlyLids = { ...SESSION, segments: [{ ...CARTS, needs: [{ ...CARTS.needs[1]!, swaps: [] }] }] };
  const small = homeWith([], { children: [{ nickname: 'Pip', birthMonth: '2025-01' }] });
  const outcomes = [small, homeWith([]), homeWith([{ item: 'bottle-lid', qty: 16 }])].map((home) =>
    outcomeOf(fitHome(onlyLids, home, { things: THINGS })),
  );
  assert.deepEqual(outcomes, ['without', 'kit', 'ready']);
  assert.equal(countOutcomes(countOf(outcomes)), '0 with a swap · 1 needs a kit · 1 goes without a part');
  assert.equal(countOutcomes({ kit: 2, swaps: 1 }), '1 with a swap · 2 need a kit');
});

test('one thing is named as one, more as many', () => {
  assert.deepEqual(
    [countThing('jar-lid', 1, THINGS), countThing('jar-lid', 0, THINGS), countThing('unheard-of', 2, THINGS)],
    ['1 jar lid', '0 jar lids', '2 unheard-of'],
  );
});

test('ages in years hold every month of their last year', () => {
  assert.deepEqual(agesFromYears(3, 5), { fromMonths: 36, toMonths: 71 });
  assert.deepEqual(agesInYears(agesFromYears(0, 0)), { fromYears: 0, toYears: 0 });
});
