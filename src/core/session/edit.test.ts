import { authorMakers } from '../../messages/authorMakers.ts';
import { regenerateIn } from '../makers/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { composeSession, materialsOrNone } from '../guide/index.ts';
import { applyEdit } from './edit.ts';
import type { Edit } from './edits.ts';
import { checkScript } from './checkScript.ts';
import { CARTS, HUNT, SESSION, THINGS } from '../guide/session.fixture.ts';
import type { Segment, Session } from './session.ts';
import { formatPieces } from '../expressions/index.ts';

const edited = (edit: Edit, session: Session = SESSION): Session => {
  const result = applyEdit(session, edit, regenerateIn(authorMakers));
  assert.ok(result.ok, JSON.stringify(result));
  return result.value;
};
const refused = (edit: Edit) => {
  const result = applyEdit(SESSION, edit, regenerateIn(authorMakers));
  assert.ok(!result.ok);
  return result.problem;
};
const cartsOf = (session: Session) => session.segments.find(({ id }) => id === 'carts')!;
const valuesOf = (segment: Segment) => Object.fromEntries(segment.dials.map(({ name, value }) => [name, value]));

test('turning a dial changes every line, the materials and the minutes', () => {
  const composed = composeSession(edited({ do: 'turn-dial', segment: 'carts', dial: 'boxes', value: 6 }), THINGS, {
    seatedMinutesPerYear: 3,
    youngestMonths: 36,
  });
  const carts = composed.segments[1]!;
  assert.equal(
    carts.lines[0]!.text.ok && formatPieces(carts.lines[0]!.text.value),
    'Put 6 boxs in a row. Tip the bottle lids into a bowl.',
  );
  assert.equal(carts.lines[1]!.answer?.ok && formatPieces(carts.lines[1]!.answer.value), '24');
  assert.equal(materialsOrNone(composed.materials).find(({ item }) => item === 'bottle-lid')?.qty, 24);
  assert.equal(carts.together[1], 11);
});

test('a dial outside its range, or not a whole number, is refused with its range', () => {
  assert.deepEqual(refused({ do: 'turn-dial', segment: 'carts', dial: 'boxes', value: 14 }), {
    code: 'dial-out-of-range',
    segment: 'Carts and lids',
    dial: 'boxes',
    value: 14,
    min: 2,
    max: 6,
  });
  assert.equal(refused({ do: 'turn-dial', segment: 'carts', dial: 'boxes', value: 3.5 }).code, 'dial-not-whole');
  assert.equal(refused({ do: 'turn-dial', segment: 'gone', dial: 'boxes', value: 3 }).code, 'no-such-part');
});

test('levels set the dials and just right brings back what was there', () => {
  const turned = edited({ do: 'turn-dial', segment: 'carts', dial: 'boxes', value: 3 });
  const easier = edited({ do: 'choose-level', segment: 'carts', level: 'easier' }, turned);
  assert.deepEqual(valuesOf(cartsOf(easier)), { boxes: 2, wheels: 4 });
  const harder = edited({ do: 'choose-level', segment: 'carts', level: 'harder' }, easier);
  assert.deepEqual(valuesOf(cartsOf(harder)), { boxes: 5, wheels: 4 });
  assert.deepEqual(valuesOf(cartsOf(edited({ do: 'choose-level', segment: 'carts', level: 'right' }, harder))), {
    boxes: 3,
    wheels: 4,
  });
});

test('parts and lines move, and the session before the edit stays as it was', () => {
  const before = JSON.stringify(SESSION);
  assert.deepEqual(
    edited({ do: 'move-segment', segment: 'hunt', to: 1 }).segments.map(({ id }) => id),
    ['book', 'hunt', 'carts'],
  );
  assert.deepEqual(
    edited({ do: 'move-segment', segment: 'book', to: 99 }).segments.map(({ id }) => id),
    ['carts', 'hunt', 'book'],
  );
  assert.deepEqual(
    cartsOf(edited({ do: 'move-line', segment: 'carts', line: 'carts-2', to: 0 })).lines.map(({ id }) => id),
    ['carts-2', 'carts-1'],
  );
  assert.equal(JSON.stringify(SESSION), before);
});

test('lines are written over by their ids: what was not touched stays the same value, what is new is its own', () => {
  const [first, second] = cartsOf(SESSION).lines;
  const after = cartsOf(
    edited({
      do: 'write-lines',
      segment: 'carts',
      lines: [
        { id: 'new', kind: 'say', text: '“Off we go.”' },
        { id: second!.id, kind: second!.kind, text: 'Other words.', answer: second!.answer },
        { id: first!.id, kind: first!.kind, text: first!.text, answer: first!.answer },
      ],
    }),
  ).lines;
  assert.deepEqual(
    after.map(({ id, text }) => [id, text]),
    [
      ['new', '“Off we go.”'],
      [second!.id, 'Other words.'],
      [first!.id, first!.text],
    ],
  );
  assert.equal(after[2], first);
  assert.equal(after[1]!.why, second!.why);
});

test('several edits are one, and are refused as one', () => {
  const rename = { do: 'rename-segment', segment: 'carts', title: 'Wagons' } as const;
  const need = { do: 'add-need', segment: 'carts', item: 'tray', qty: 6 } as const;
  const carts = cartsOf(edited({ do: 'together', edits: [rename, need] }));
  assert.deepEqual([carts.title, carts.needs.at(-1)!.qty], ['Wagons', 6]);
  assert.equal(refused({ do: 'together', edits: [rename, { ...need, segment: 'gone' }] }).code, 'no-such-part');
});

test('writing with a swap puts it first and keeps the former thing as a swap', () => {
  const carts = cartsOf(edited({ do: 'use-swap', segment: 'carts', need: 'boxes', item: 'egg-carton' }));
  assert.equal(carts.needs[0]!.item, 'egg-carton');
  assert.deepEqual(
    carts.needs[0]!.swaps.map(({ item }) => item),
    ['small-box'],
  );
  assert.equal(valuesOf(carts).wheels, 6, 'the swap brings its own number of places');
});

test('a script is tried at both ends of its dials and at each level', () => {
  assert.deepEqual(checkScript(CARTS, 'Carts'), []);
  assert.deepEqual(checkScript(HUNT, 'Hunt'), []);
  const dividing = { ...CARTS, needs: [{ ...CARTS.needs[0]!, qty: '12/(boxes-6)' }] };
  const [problem] = checkScript({ ...dividing, lines: [] }, 'Carts');
  assert.equal(problem?.path, 'needs[0].qty');
  const atItsEnd = { ...CARTS, needs: [{ ...CARTS.needs[0]!, qty: 'boxes-3' }], lines: [] };
  assert.match(JSON.stringify(checkScript(atItsEnd, 'Carts')), /"when":"boxes 2"/);
  const unknownDial = { ...CARTS, levels: { easier: { text: 'Less.', dials: { lids: 2 } } } };
  assert.equal(checkScript(unknownDial, 'Carts')[0]?.path, 'levels.easier.dials.lids');
  const selfSwap = {
    ...CARTS,
    needs: [{ ...CARTS.needs[0]!, swaps: [{ item: 'small-box', fit: 1, why: '' }] }],
    lines: [],
  };
  assert.equal(checkScript(selfSwap, 'Carts')[0]?.fault.code, 'swap-for-itself');
});
