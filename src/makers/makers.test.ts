import { describeMakerProblem } from '../messages/makers.ts';
import { authorSpeech } from '../messages/speeches.ts';
import { firstValues, type Worked, workOut } from '../core/makers/index.ts';
import { type MakerSettings, type MakerValues, USUAL_SETTINGS } from '../core/session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { CAUTION_RULES } from '../core/cautions/index.ts';
import { type Drawing, type Shape, textWidth } from '../core/page/index.ts';
import { cutPositions, STRIP_MM } from './length-pairs/maker.ts';
import { findMaker, MAKERS } from './index.ts';
import { demoEntries } from '../../tests/support/demoFile.ts';

const make = (id: string, values: MakerValues = {}, settings: Partial<MakerSettings> = {}) => {
  const maker = findMaker(id)!;
  return workOut(
    maker,
    { ...firstValues(maker), ...values },
    { settings: { ...USUAL_SETTINGS, ...settings }, speech: authorSpeech },
  );
};
const made = (id: string, values: MakerValues = {}, settings: Partial<MakerSettings> = {}): Worked => {
  const answer = make(id, values, settings);
  if (!answer.ok) throw new Error(JSON.stringify(answer.problem));
  return answer.value;
};
const refusal = (id: string, values: MakerValues, settings: Partial<MakerSettings> = {}): string => {
  const answer = make(id, values, settings);
  return answer.ok ? 'made' : describeMakerProblem(answer.problem);
};
const things = new Set(demoEntries<{ key: string }>('things').map(({ key }) => key));

/** Values of all dials at random, in and a little out of their ranges. */
const anyValues = (id: string) => {
  const maker = findMaker(id)!;
  return fc.record(
    Object.fromEntries(
      maker.dials.map((dial) => [
        dial.name,
        dial.kind === 'number'
          ? fc.integer({ min: dial.min - 1, max: dial.max + 1 })
          : dial.kind === 'choice'
            ? fc.constantFrom(...dial.choices)
            : fc.oneof(
                fc.constant(dial.value),
                fc
                  .array(fc.constantFrom('1', '2', '5', '10', '20', '0', 'x', 'red', 'blue', 'green'), { maxLength: 7 })
                  .map((words) => words.join(' ')),
              ),
      ]),
    ),
  );
};

function reach(shapes: readonly Shape[]): { left: number; right: number; top: number; bottom: number } {
  const points = shapes.flatMap((shape): (readonly [number, number])[] => {
    switch (shape.kind) {
      case 'rect':
        return [
          [shape.x, shape.y],
          [shape.x + shape.w, shape.y + shape.h],
        ];
      case 'circle':
        return [
          [shape.x - shape.r, shape.y - shape.r],
          [shape.x + shape.r, shape.y + shape.r],
        ];
      case 'line':
        return [
          [shape.x1, shape.y1],
          [shape.x2, shape.y2],
        ];
      case 'picture':
        return [
          [shape.x, shape.y],
          [shape.x + shape.w, shape.y + shape.h],
        ];
      case 'polygon':
        return [...shape.points];
      case 'text': {
        const width = textWidth(shape.text, shape.size);
        const from = shape.align === 'middle' ? -width / 2 : shape.align === 'right' ? -width : 0;
        // Along the writing and above it, turned to the right.
        return [
          [from, -shape.size * 0.73],
          [from + width, 0],
        ].map(([along, above]): readonly [number, number] => {
          switch (shape.turn ?? 0) {
            case 0:
              return [shape.x + along!, shape.y + above!];
            case 90:
              return [shape.x - above!, shape.y + along!];
            case 180:
              return [shape.x - along!, shape.y - above!];
            case 270:
              return [shape.x + above!, shape.y - along!];
          }
        });
      }
    }
  });
  return {
    left: Math.min(0, ...points.map(([x]) => x)),
    right: Math.max(0, ...points.map(([x]) => x)),
    top: Math.min(0, ...points.map(([, y]) => y)),
    bottom: Math.max(0, ...points.map(([, y]) => y)),
  };
}
const isInside = ({ width, height, shapes }: Drawing, slack = 3.5) => {
  const { left, right, top, bottom } = reach(shapes);
  return left >= -slack && top >= -slack && right <= width + slack && bottom <= height + slack;
};

for (const maker of MAKERS) {
  test(`${maker.id}: for any values it either makes everything, whole and inside its edges, or says why not`, () => {
    fc.assert(
      fc.property(
        anyValues(maker.id),
        fc.constantFrom('objects', 'pictures', 'signs'),
        fc.boolean(),
        (values, stage, zeroEarly) => {
          const answer = workOut(maker, values as MakerValues, {
            settings: { ...USUAL_SETTINGS, stage: stage as MakerSettings['stage'], zeroEarly },
            speech: authorSpeech,
          });
          if (!answer.ok) {
            assert.ok(describeMakerProblem(answer.problem).length > 10);
            return;
          }
          const { lines, materials, actions, printable, picture, facts, key } = answer.value;
          for (const level of ['easier', 'right', 'harder'] as const) assert.ok(lines[level].length > 0, level);
          const written = JSON.stringify(answer.value);
          assert.doesNotMatch(written, /NaN|Infinity|undefined|\bnull\b.*"x"/);
          assert.ok(facts.length > 0 && key.length > 0);
          for (const { item, qty, swaps } of materials) {
            assert.ok(Number.isInteger(qty) && qty >= 0, item);
            for (const name of [item, ...swaps.map((swap) => swap.item)])
              assert.ok(things.has(name), `${name} is not a thing of the shelf`);
          }
          for (const action of actions) assert.ok(Object.hasOwn(CAUTION_RULES, action), action);
          for (const drawing of [picture, ...printable.cards, ...printable.sheets])
            assert.ok(isInside(drawing), 'something is cut off');
          const [card] = printable.cards;
          assert.ok(printable.cards.every(({ width, height }) => width === card!.width && height === card!.height));
        },
      ),
      { numRuns: 60 },
    );
  });
}

test('pots need the sum of their numbers, and an empty pot is spoken about', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 20 }), (from, to) => {
      const answer = make('number-pots', { from, to });
      assert.equal(answer.ok, from <= to);
      if (!answer.ok) return;
      let sum = 0;
      for (let pot = from; pot <= to; pot++) sum += pot;
      // The easier way takes pots to three, whatever the row is.
      assert.equal(answer.value.materials[0]!.qty, Math.max(sum, 6));
      assert.equal(
        answer.value.lines.right.some(({ text }) => text.includes('says 0')),
        from === 0,
      );
    }),
  );
  assert.match(refusal('number-pots', { from: 0, to: 3 }, { zeroEarly: false }), /zero late/);
});

test('place settings ask about each kind, and never what was just said', () => {
  const { lines } = made('place-settings', { people: 5, placed: 2, things: 4 });
  const asked = lines.right.filter(({ kind }) => kind === 'ask').map(({ answer }) => answer);
  assert.deepEqual(asked.slice(0, 5), ['5', '3', 'no: we need one more', '5', 'two: Auntie May and the bear']);
  assert.match(refusal('place-settings', { people: 2, placed: 3 }), /at most 2 can be there already/);
  assert.match(
    refusal('place-settings', { people: 4, story: 'your-own', who: 'you, me' }),
    /names 2 guests for 4 people/,
  );
  const own = made('place-settings', { people: 3, story: 'your-own', who: 'you, me, Auntie Bea' });
  assert.match(own.lines.right[1]!.text, /you, me,? and .?Auntie Bea/);
});

test('frames say how many are missing, how many to cover, and refuse what does not go in', () => {
  assert.deepEqual(made('frame', { first: 6, second: 3, tray: 12 }).facts, [
    '1 more make 10.',
    'A tray with 12 places: cover 2.',
  ]);
  assert.match(made('frame', { frame: 'two-tens', first: 8, second: 5 }).facts[0]!, /^7 more make 20/);
  assert.match(refusal('frame', { first: 8, second: 5 }), /13 counters do not go into 10 places/);
  assert.match(made('frame', {}, { isLeftHanded: true }).lines.right[0]!.text, /from the right/);
});

test('pair cards hold every pair once: counted by listing all', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.constantFrom('both', 'once'),
      fc.constantFrom('yes', 'no'),
      fc.constantFrom('all-pairs-of-one-total', 'all-up-to-a-total'),
      (total, order, zero, set) => {
        const answer = make('pair-cards', { total, order, zero, set });
        const expected: string[] = [];
        for (let a = 0; a <= total; a++)
          for (let b = 0; b <= total; b++) {
            if (order === 'once' && a > b) continue;
            if (zero === 'no' && (a === 0 || b === 0)) continue;
            if (set === 'all-up-to-a-total' ? a + b <= total : a + b === total)
              expected.push(`${a} and ${b}: ${a + b}`);
          }
        assert.deepEqual(answer.ok ? [...answer.value.key].sort() : [], expected.sort());
      },
    ),
  );
  assert.match(refusal('pair-cards', { faces: 'numerals' }), /it’s at things now/);
  assert.equal(made('pair-cards', { faces: 'numerals' }, { stage: 'signs' }).printable.cards.length, 6);
});

test('no two halves of the cut strips tie, and all lie on the strip', () => {
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 8 }), fc.integer({ min: 5, max: 25 }), (strips, difference) => {
      const cuts = cutPositions(strips, difference);
      if (!cuts) return assert.ok(2 * strips * difference > STRIP_MM - 2 * difference);
      const pieces = cuts.flatMap((cut) => [cut, STRIP_MM - cut]).sort((a, b) => a - b);
      assert.ok(pieces.every((piece, index) => piece > 0 && (index === 0 || piece - pieces[index - 1]! >= difference)));
    }),
  );
});

test('beads, heaps and tallies come out in tens and fives', () => {
  for (let number = 0; number <= 100; number += 7) {
    const { key } = made('bead-row', { number });
    assert.equal(key[0], `${number}: ${Math.floor(number / 10)} tens, ${number % 10} ones`);
  }
  assert.equal(made('bead-row', { number: 35, step: '5' }).lines.right.at(-1)!.answer, 'yes, after 7 jumps');
  assert.equal(made('bead-row', { number: 34, step: '10' }).lines.right.at(-1)!.answer, 'no: 30 and 4 more');
  assert.equal(
    made('hundred-hunt', { number: 87, guess: 60 }).lines.right.at(-1)!.answer,
    'the difference between it and 87',
  );
  assert.match(made('hundred-hunt', { number: 87, guess: 60 }).facts[0]!, /A guess of 60 is 27 too few/);
  assert.equal(made('tally', { number: 13 }).lines.right[2]!.answer, 'five, ten, eleven, twelve, thirteen');
});

test('the money table refuses what cannot be paid, with the reason, and explains change by counting up', () => {
  assert.equal(
    refusal('money-table', { purse: '5 5 10', prices: '5 21', till: '' }),
    'No price over 20p can be paid from this purse, so 21p must go.',
  );
  assert.match(
    refusal('money-table', { purse: '5 5', prices: '3', till: '' }),
    /3p can’t be paid exactly, and the till can’t give the change/,
  );
  assert.match(
    refusal('money-table', { purse: '5', prices: '3', till: '1 1', change: 'not-yet' }),
    /only be paid with change/,
  );
  const { lines, facts } = made('money-table', { purse: '50', prices: '35', till: '10 5' });
  assert.ok(lines.right.some(({ answer }) => answer === 'a 5p and a 10p: count up 35p to 40p, 40p to 50p'));
  assert.match(facts[1]!, /^35p: only with change, 10p \+ 5p back/);
  assert.match(
    made('money-table', { purse: '5 2 2 2', prices: '6', till: '' }).facts[1]!,
    /^6p: 1 way, fewest 2p \+ 2p \+ 2p/,
  );
});

test('shares of a container leave the headroom, the clock’s short hand moves on at half past, and a shuffle repeats', () => {
  const { key, lines } = made('volumes', { container: 750, shares: '1 2', headroom: 10, cup: '250' });
  assert.deepEqual(
    key.map((line) => /\d+ ml/.exec(line)![0]),
    ['225 ml', '450 ml'],
  );
  assert.equal(lines.right[2]!.answer, 'no: 75 ml stay empty');
  assert.match(made('clock', { hour: 12, minutes: 'half-past' }).lines.right[0]!.text, /between 12 and 1\./);
  assert.deepEqual(made('dice-moves', { shuffle: 5 }), made('dice-moves', { shuffle: 5 }));
  assert.notDeepEqual(made('dice-moves', { shuffle: 5 }).key, made('dice-moves', { shuffle: 6 }).key);
  assert.match(refusal('guess-and-count', { number: 3, near: 4 }), /every guess/);
  assert.match(refusal('number-strip', { from: 0 }, { zeroEarly: false }), /start the row at 1/);
});
