import { describeMakerProblem } from '../../messages/makers.ts';
import { authorSpeech } from '../../messages/speeches.ts';
import { firstValues, type Worked, workOut } from '../../core/makers/index.ts';
import { type MakerValues, USUAL_SETTINGS } from '../../core/session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import fc from 'fast-check';
import { maker as patternRowMaker } from './maker.ts';

const TASKS = ['what-comes-next', 'one-is-hidden', 'one-is-wrong', 'copy-it'] as const;
const make = (values: MakerValues) =>
  workOut(
    patternRowMaker,
    { ...firstValues(patternRowMaker), ...values },
    { settings: USUAL_SETTINGS, speech: authorSpeech },
  );
const anyUnit = fc.array(fc.constantFrom('red', 'blue', 'green'), { minLength: 2, maxLength: 5 });
const rowOf = (unit: readonly string[], length: number) => {
  const row: string[] = [];
  while (row.length < length) for (const piece of unit) if (row.length < length) row.push(piece);
  return row;
};
const laidIn = ({ lines }: Worked) => /in a row: ([a-z, ]+)\./.exec(lines.right[0]!.text)![1]!.split(', ');
const answered = ({ lines }: Worked, asks: RegExp) => lines.right.find(({ text }) => asks.test(text))?.answer;
const times = (pieces: readonly string[], kind: string) => pieces.filter((name) => name === kind).length;

/** Every row of a length that repeats some unit of two or more kinds, at most so long, at least twice. */
function allRows(kinds: readonly string[], length: number, longest: number): Set<string> {
  const rows = new Set<string>();
  const write = (unit: readonly string[]): void => {
    if (unit.length >= 2 && new Set(unit).size > 1) rows.add(rowOf(unit, length).join(' '));
    if (unit.length < longest && (unit.length + 1) * 2 <= length) for (const kind of kinds) write([...unit, kind]);
  };
  write([]);
  return rows;
}

test('the row laid, the hidden piece and what comes next are those of the unit laid again and again', () => {
  fc.assert(
    fc.property(anyUnit, fc.integer({ min: 4, max: 20 }), (unit, length) => {
      for (const task of TASKS) {
        const answer = make({ unit: unit.join(' '), length, task });
        if (!answer.ok) continue;
        const row = rowOf(unit, length + 1);
        if (task !== 'one-is-wrong') assert.deepEqual(laidIn(answer.value), row.slice(0, length));
        if (task === 'what-comes-next') assert.equal(answered(answer.value, /comes next/), row[length]);
        if (task === 'one-is-hidden') {
          const [, place] = /Cover the ([a-z-]+)\./.exec(answer.value.lines.right[0]!.text)!;
          const names = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];
          assert.equal(answered(answer.value, /hides/), row[names.indexOf(place!)]);
        }
      }
    }),
  );
});

test('a wrong piece can be mended in one way only: of all rows that repeat, one is a piece away', () => {
  let mended = 0;
  fc.assert(
    fc.property(anyUnit, fc.integer({ min: 4, max: 10 }), (unit, length) => {
      const answer = make({ unit: unit.join(' '), length, task: 'one-is-wrong' });
      if (!answer.ok) return;
      mended++;
      const laid = laidIn(answer.value);
      const near = [...allRows([...new Set(unit)], length, unit.length)].filter(
        (row) => row.split(' ').filter((piece, index) => piece !== laid[index]).length === 1,
      );
      assert.deepEqual(near, [rowOf(unit, length).join(' ')]);
      const at = laid.findIndex((piece, index) => piece !== unit[index % unit.length]);
      assert.match(answered(answer.value, /wrong/)!, new RegExp(`: it should be ${unit[at % unit.length]}$`));
    }),
  );
  assert.ok(mended > 10);
  for (const length of [4, 6, 8, 12])
    assert.ok(make({ unit: 'red blue', length, task: 'one-is-wrong' }).ok, `${length}`);
  const refused = make({ unit: 'red red blue', length: 6, task: 'one-is-wrong' });
  const shown = refused.ok ? laidIn(refused.value).join(' ') : '';
  assert.notEqual(shown, 'red red blue red blue blue', 'one step from AAB and from ABB');
});

test('there are pieces for what is laid, for what the task adds and for the easier row', () => {
  fc.assert(
    fc.property(anyUnit, fc.integer({ min: 4, max: 20 }), fc.constantFrom(...TASKS), (unit, length, task) => {
      const answer = make({ unit: unit.join(' '), length, task, have: 4 });
      if (!answer.ok) return;
      const laid = laidIn(answer.value);
      const right = rowOf(unit, length + 1);
      const handled =
        task === 'copy-it'
          ? [...laid, ...laid]
          : task === 'what-comes-next'
            ? right
            : task === 'one-is-wrong'
              ? [...laid, right.find((piece, index) => piece !== laid[index])!]
              : laid;
      const kinds = [...new Set(unit)];
      const easier = /^Lay (.+)\.$/.exec(answer.value.lines.easier[0]!.text)![1]!.split(', ');
      easier.push(answer.value.lines.easier[1]!.answer!);
      const needed = kinds.map((kind) => Math.max(times(handled, kind), times(easier, kind)));
      assert.equal(
        answer.value.materials[0]!.qty,
        needed.reduce((sum, number) => sum + number, 0),
      );
      const short = kinds.flatMap((kind, index) => (needed[index]! > 4 ? [`${needed[index]! - 4} ${kind}`] : []));
      for (const lacking of short) assert.ok(answer.value.facts[1]!.includes(lacking), lacking);
      assert.equal(answer.value.facts[1] === 'There are enough of each.', short.length === 0);
    }),
  );
});

test('a unit that is a shorter one twice, or a row too short to show it, is refused with the reason', () => {
  const reason = (values: MakerValues) => {
    const answer = make(values);
    return answer.ok ? 'made' : describeMakerProblem(answer.problem);
  };
  assert.match(reason({ unit: 'red blue red blue' }), /write only red blue\.$/);
  assert.match(reason({ unit: 'red blue green', length: 5 }), /take at least 6\.$/);
  const short = make({ unit: 'red blue green', length: 3, task: 'copy-it' });
  assert.ok(short.ok && answered(short.value, /again and again/) === undefined);
});
