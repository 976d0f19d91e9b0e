import { roundTo, type Triple } from '../numbers/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { calibrate, scaleQuantities } from './calibrate.ts';
import { readAloudMinutes } from './readAloud.ts';
import { runSheet, type TimedSegment } from './runSheet.ts';
import { layOutTape } from './tape.ts';

const triple: fc.Arbitrary<Triple> = fc
  .tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 30 }), fc.integer({ min: 0, max: 30 }))
  .map((numbers) => [...numbers].sort((left, right) => left - right) as [number, number, number]);
const segments: fc.Arbitrary<TimedSegment[]> = fc
  .array(
    fc.record({ posture: fc.constantFrom('seated' as const, 'moving' as const, 'free' as const), minutes: triple }),
    { maxLength: 8 },
  )
  .map((list) => list.map((segment, index) => ({ ...segment, id: `s${index}`, who: 'together' })));

test('halves go up, however they are stored', () => {
  assert.equal(roundTo(1.005, 2), 1.01);
  assert.equal(roundTo(0.05, 1), 0.1);
  assert.equal(roundTo(2.25, 1), 2.3);
  assert.equal(roundTo(2.2499, 1), 2.2);
  assert.equal(Object.is(roundTo(-0.01, 1), 0), true);
});

test('means add, and flags name exactly the seated runs that are too long', () => {
  fc.assert(
    fc.property(segments, fc.integer({ min: 12, max: 84 }), (list, ageMonths) => {
      const sheet = runSheet({ children: [{ ageMonths }], seatedMinutesPerYear: 3, segments: list });
      const mean = list.reduce((sum, { minutes: [least, likely, most] }) => sum + (least + 4 * likely + most) / 6, 0);
      assert.ok(Math.abs(sheet.child.mean - mean) <= 0.0501);
      const expected: string[] = [];
      for (let from = 0; from < list.length; from++) {
        if (list[from]!.posture !== 'seated' || list[from - 1]?.posture === 'seated') continue;
        let to = from;
        while (list[to + 1]?.posture === 'seated') to++;
        const sat = list
          .slice(from, to + 1)
          .reduce((sum, { minutes: [least, likely, most] }) => sum + (least + 4 * likely + most) / 6, 0);
        if (sat > (ageMonths / 12) * 3 + 1e-9) expected.push(`${list[from]!.id}-${list[to]!.id}`);
      }
      assert.deepEqual(
        sheet.flags.map((flag) => `${flag.from}-${flag.to}`),
        expected,
      );
    }),
  );
});

test('exactly as long as the youngest sits is not too long', () => {
  const segment = { id: 'a', posture: 'seated', who: 'together', minutes: [9, 9, 9] } as const;
  assert.deepEqual(
    runSheet({ children: [{ ageMonths: 36 }, { ageMonths: 60 }], seatedMinutesPerYear: 3, segments: [segment] }).flags,
    [],
  );
});

test('the tape lays segments end to end and never ends before the longest likely session', () => {
  fc.assert(
    fc.property(segments, (list) => {
      const tape = layOutTape(
        list.map(({ id, posture, minutes }) => ({ id, posture, parts: [minutes] })),
        9,
      );
      let at = 0;
      for (const segment of tape.segments) {
        assert.ok(Math.abs(segment.start - at) < 1e-9);
        assert.ok(segment.fadeFrom >= segment.start && segment.fadeFrom <= segment.end);
        at = segment.end;
      }
      assert.ok(tape.length >= at - 1e-9 && tape.length >= tape.total.high - 1);
    }),
  );
});

test('what dries runs on beside the parts that follow, and says when the session is over sooner', () => {
  const part = (id: string, wait?: readonly [number, number, number]) => ({
    ...({ id, posture: 'seated', parts: [[6, 6, 6]], wait } as const),
  });
  const { waits, total, sits } = layOutTape([part('craft', [10, 10, 10]), part('b'), part('c')], 30);
  assert.deepEqual(waits, [{ of: 'craft', start: 6, end: 16, isLonger: false }]);
  assert.deepEqual([total.mean, sits[0]!.end], [18, 18]);
  assert.deepEqual(
    layOutTape([part('craft', [10, 10, 10]), part('b')], 30).waits.map(({ isLonger }) => isLonger),
    [true],
  );
  assert.deepEqual(layOutTape([part('craft', [0, 0, 0]), part('b')], 30).waits, []);
});

test('calibration is drawn towards the plan by its weight, and stays there without replies', () => {
  assert.deepEqual(calibrate(10, [], 4), { factor: 1, likely: 10 });
  assert.deepEqual(calibrate(10, [20], 0), { factor: 2, likely: 20 });
  assert.ok(calibrate(10, [20], 4).factor < 1.2);
  const many = calibrate(10, new Array<number>(400).fill(20), 4);
  assert.ok(many.factor > 1.97 && many.factor < 2);
});

test('a corrected expression still follows its dials', () => {
  assert.deepEqual(scaleQuantities([1, '2+boxes', 5], 1.24), [1.2, '(2+boxes)*1.24', 6.2]);
});

test('reading aloud takes longer with a slower pace and more pauses', () => {
  const book = {
    words: 300,
    pages: 12,
    pauses: 0,
    wordsPerMinute: [140, 120, 95],
    pageSeconds: [2, 3, 5],
    pauseSeconds: [6, 12, 25],
  } as const;
  const [least, likely, most] = readAloudMinutes(book);
  assert.ok(least < likely && likely < most);
  assert.ok(readAloudMinutes({ ...book, pauses: 5 })[1] > likely);
});
