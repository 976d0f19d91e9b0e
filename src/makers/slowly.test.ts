import { authorSpeech } from '../messages/speeches.ts';
import { firstValues, type Worked, workOut } from '../core/makers/index.ts';
import { type MakerValues, USUAL_SETTINGS } from '../core/session/index.ts';
import assert from 'node:assert/strict';
import { test } from 'node:test';
import type { Shape } from '../core/page/index.ts';
import { findMaker } from './index.ts';

/** What a maker says, against counting it out one by one, over every value of its dials that matters. */
const make = (id: string, values: MakerValues) => {
  const maker = findMaker(id)!;
  return workOut(maker, { ...firstValues(maker), ...values }, { settings: USUAL_SETTINGS, speech: authorSpeech });
};
const made = (id: string, values: MakerValues): Worked => {
  const answer = make(id, values);
  if (!answer.ok) throw new Error(JSON.stringify([id, values, answer.problem]));
  return answer.value;
};
const upTo = (last: number, first = 0) => Array.from({ length: last - first + 1 }, (_, index) => first + index);
const answers = ({ lines }: Worked, level: 'easier' | 'right' | 'harder' = 'right') =>
  lines[level].flatMap(({ answer }) => (answer === undefined ? [] : [answer]));
const linesIn = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'line');
const circlesIn = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'circle');

test('strips: drawn one by one, each has its marks; with fewer than three no gap could show', () => {
  for (const from of upTo(12, 1))
    for (const to of upTo(12, 1)) {
      const answer = make('strips', { from, to });
      assert.equal(answer.ok, to - from >= 2, `${from} to ${to}`);
      if (!answer.ok) continue;
      let marks = 0;
      for (const number of upTo(to, from)) for (let mark = 0; mark < number; mark++) marks++;
      const { picture, printable, facts, key } = answer.value;
      assert.equal(circlesIn(picture.shapes).length, marks);
      assert.match(facts[0]!, new RegExp(`, ${marks} marks in all`));
      assert.deepEqual(
        printable.sheets.map(({ shapes }) => circlesIn(shapes).length),
        upTo(to, from),
      );
      assert.equal(key.length, to - from + 1);
    }
});

test('balance: counters are laid on the lighter side until it is level', () => {
  assert.equal(make('balance', { left: 0, right: 0 }).ok, false);
  for (const left of upTo(40))
    for (const right of upTo(40)) {
      if (left + right === 0) continue;
      let [one, other, laid] = [left, right, 0];
      for (; one !== other; laid++) {
        if (one < other) one++;
        else other++;
      }
      const balance = made('balance', { left, right, guess: 3 });
      const [side, more] = answers(balance);
      assert.match(more!, laid === 0 ? /^none$/ : new RegExp(`^${laid} more`));
      if (laid > 0) assert.match(balance.facts[0]!, new RegExp(`would be ${laid > 3 ? laid - 3 : 3 - laid} away`));
      // Both bags are filled at once, and the lighter one is then filled up.
      assert.equal(balance.materials.at(-1)!.qty, left + right + laid);
      assert.match(side!, left > right ? /^the left/ : right > left ? /^the right/ : /^neither/);
    }
});

test('a number strip: every answer is a piece of it, the neighbour is found by walking, and no two cuts are alike', () => {
  for (const from of upTo(90, 1))
    for (const length of upTo(9, 3)) {
      const strip = made('number-strip', { from, length });
      const pieces = strip.picture.shapes.flatMap((shape) => (shape.kind === 'text' ? [Number(shape.text)] : []));
      assert.deepEqual(pieces, upTo(from + length - 1, from));
      const asked = [...strip.lines.right, ...strip.lines.harder].filter(({ kind }) => kind === 'ask');
      assert.equal(asked.length, 3);
      for (const { text, answer } of asked) {
        const [, word, number] = /(after|before) (\d+)/i.exec(text)!;
        const at = pieces.indexOf(Number(number));
        const neighbour = pieces[word!.toLowerCase() === 'after' ? at + 1 : at - 1];
        assert.ok(at >= 0 && neighbour !== undefined, text);
        assert.equal(answer, String(neighbour));
      }
    }
  const cuts = linesIn(made('number-strip', { from: 1, length: 9 }).picture.shapes);
  const edges = upTo(8, 1).map((cut) =>
    JSON.stringify(
      cuts
        .slice((cut - 1) * 5, cut * 5)
        .map((line) => [line.x1 - cut * 20, line.y1, line.x2 - cut * 20, line.y2].map((mm) => mm.toFixed(2))),
    ),
  );
  assert.equal(cuts.length, 8 * 5);
  assert.equal(new Set(edges).size, 8);
});

test('dice moves: the least and the most are found by throwing every way, and one of a move is not called many', () => {
  for (const dice of [1, 2]) {
    const sums = upTo(6, 1).flatMap((one) => (dice === 1 ? [one] : upTo(6, 1).map((other) => one + other)));
    for (const shuffle of upTo(99, 1)) {
      const thrown = made('dice-moves', { dice, moves: 12, shuffle });
      assert.deepEqual(answers(thrown), [`as many as were thrown, from ${Math.min(...sums)} to ${Math.max(...sums)}`]);
      assert.equal(new Set(thrown.key.map((line) => line.replace(/^\d+ /, '').replace(/s$/, ''))).size, 12);
      for (const line of thrown.key) {
        const [, number, move] = /^(\d+) (.+)$/.exec(line)!;
        assert.ok(sums.includes(Number(number)), line);
        assert.equal(move!.endsWith('s'), number !== '1', line);
      }
      assert.ok(
        thrown.lines.right.every(({ text }) => !/\d/.test(text)),
        'what a die will show is not known',
      );
    }
  }
});

test('guess and count: what is near is found by trying every guess', () => {
  for (const number of upTo(40, 1))
    for (const near of upTo(10)) {
      const guesses = upTo(80).filter((guess) => (guess > number ? guess - number : number - guess) <= near);
      const answer = make('guess-and-count', { number, near });
      assert.equal(answer.ok, near < number);
      if (!answer.ok) continue;
      assert.deepEqual(answer.value.facts, [
        guesses.length === 1 ? `Near is ${guesses[0]} itself.` : `Near is ${guesses[0]} to ${guesses.at(-1)}.`,
      ]);
      assert.equal(circlesIn(answer.value.picture.shapes).length, number);
      const [, taken, left] = /^\d+ less (\d+): (\d+)$/.exec(answers(answer.value, 'harder').at(-1)!)!;
      let under = number;
      for (let away = 0; away < Number(taken); away++) under--;
      assert.equal(Number(left), under);
      assert.match(answer.value.lines.harder.at(-2)!.text, new RegExp(`^Take ${taken} away`));
      assert.equal(answer.value.materials[0]!.qty, number);
    }
});

test('tally: a stroke for each, and the spoken row counts on from the fives to all of them', () => {
  for (const number of upTo(50, 5)) {
    const { picture, facts, lines } = made('tally', { number });
    assert.equal(linesIn(picture.shapes).length, number);
    let bundles = 0;
    for (let left = number; left >= 5; left -= 5) bundles++;
    assert.match(facts[0]!, new RegExp(`^${bundles} bundles? of five and ${number - bundles * 5}: ${number}\\.$`));
    const said = lines.right[2]!.answer!.split(', ');
    assert.equal(said.length, bundles === 0 ? 1 : bundles + number - bundles * 5);
  }
});

test('hunt for a hundred: plates are filled one by one, and each level’s answer fits what it asks for', () => {
  for (const number of upTo(130, 1)) {
    let [plates, onPlate] = [0, 0];
    for (let found = 0; found < number; found++) if (++onPlate === 10) [plates, onPlate] = [plates + 1, 0];
    const hunt = made('hundred-hunt', { number, guess: 60 });
    assert.equal(answers(hunt)[0], `${plates} and ${onPlate}: ${number}`);
    assert.equal(circlesIn(hunt.picture.shapes).length, number);
    assert.equal(answers(hunt, 'easier')[0], number <= 20 ? answers(hunt)[0] : '2 and 0: 20');
    const toGo = upTo(130).find((more) => number + more >= 100)!;
    assert.equal(answers(hunt, 'harder').at(-1), toGo === 0 ? 'none: it is there' : String(toGo));
  }
});

test('clock: both hands stand where walking round minute by minute brings them, and an hour later is the next', () => {
  for (const hour of upTo(12, 1))
    for (const minutes of ['oclock', 'half-past']) {
      let [short, long] = [0, 0];
      for (let minute = 0; minute < (hour % 12) * 60 + (minutes === 'half-past' ? 30 : 0); minute++) {
        short = (short + 0.5) % 360;
        long = (long + 6) % 360;
      }
      const clock = made('clock', { hour, minutes });
      const turns = linesIn(clock.picture.shapes).map(
        ({ x1, y1, x2, y2 }) => (Math.round((Math.atan2(x2 - x1, y1 - y2) * 180) / Math.PI) + 360) % 360,
      );
      assert.deepEqual(turns, [short, long], `${hour} ${minutes}`);
      const later = made('clock', { hour: hour === 12 ? 1 : hour + 1, minutes });
      assert.equal(answers(clock, 'harder').at(-1), later.key[0]);
    }
});

test('place settings: whatever is laid, only what is there is taken away or put down', () => {
  for (const things of upTo(4, 1))
    for (const people of upTo(12, 2)) {
      const { lines, materials: all } = made('place-settings', { people, things, placed: 0 });
      const there = all.filter(({ item }) => item !== 'chair').map(({ item }) => item.replace('paper-', ''));
      const said = Object.values(lines)
        .flatMap((level) => level.map(({ text }) => text))
        .join(' ');
      for (const name of ['cup', 'plate', 'spoon', 'napkin'])
        assert.equal(new RegExp(`\\b${name}`).test(said), there.includes(name), `${name}, ${things} things`);
    }
});

test('frames: places are filled one by one, and what is seen, empty and to go is what is left', () => {
  for (const [frame, places] of [
    ['five', 5],
    ['ten', 10],
    ['two-tens', 20],
  ] as const)
    for (const first of upTo(20))
      for (const second of upTo(20)) {
        const answer = make('frame', { frame, first, second });
        assert.equal(answer.ok, first + second <= places, `${frame} ${first} ${second}`);
        if (!answer.ok) continue;
        const filled: string[] = [];
        for (let counter = 0; counter < first; counter++) filled.push('teal');
        for (let counter = 0; counter < second; counter++) filled.push('marigold');
        let empty = 0;
        for (let place = 0; place < places; place++) if (filled[place] === undefined) empty++;
        const { picture, facts } = answer.value;
        const dots = picture.shapes.flatMap((shape) =>
          shape.kind === 'circle' && shape.fill !== 'white' ? [shape.fill] : [],
        );
        assert.deepEqual(dots, filled);
        assert.equal(picture.shapes.filter(({ kind }) => kind === 'rect').length, places);
        const [seen, left] = answers(answer.value);
        assert.equal(seen!.split(': ').at(-1), String(filled.length));
        assert.equal(left, String(empty));
        assert.equal(facts[0], empty === 0 ? 'The frame is full.' : `${empty} more make ${places}.`);
        assert.equal(answers(answer.value, 'harder').at(-1), String(empty));
      }
});

test('bead row: beads are laid one by one, and jumps are made until they pass the number', () => {
  for (const number of upTo(100))
    for (const step of ['2', '5', '10']) {
      const row = made('bead-row', { number, step });
      const laid = row.picture.shapes.filter((shape) => shape.kind === 'circle' && shape.fill !== 'white');
      assert.equal(laid.length, number);
      let [tens, ones] = [0, 0];
      for (let bead = 0; bead < number; bead++) if (++ones === 10) [tens, ones] = [tens + 1, 0];
      assert.equal(row.lines.right[2]!.answer, `${tens}, and ${ones}`);
      let [at, jumps] = [0, 0];
      while (at + Number(step) <= number) [at, jumps] = [at + Number(step), jumps + 1];
      const jumped = row.lines.right.at(-1)!.answer!;
      if (number === 0) assert.equal(jumped, 'there is nothing to jump to');
      else if (at === number) assert.match(jumped, new RegExp(`^yes, after ${jumps} jumps?$`));
      else assert.equal(jumped, jumps === 0 ? 'no: the first jump goes past it' : `no: ${at} and ${number - at} more`);
    }
});

test('money table: every handful of the purse is laid out, and ways, fewest and change are found among them', () => {
  const purse = [1, 2, 2, 5];
  const till = [1, 2];
  const handfulsOf = (coins: readonly number[]) =>
    coins.reduce<number[][]>((sofar, coin) => [...sofar, ...sofar.map((handful) => [...handful, coin])], [[]]);
  const worth = (handful: readonly number[]) => handful.reduce((sum, coin) => sum + coin, 0);
  for (const price of upTo(12, 1)) {
    const answer = make('money-table', { purse: purse.join(' '), till: till.join(' '), prices: String(price) });
    const exact = new Map(
      handfulsOf(purse)
        .filter((handful) => worth(handful) === price)
        .map((handful) => [handful.join(' '), handful.length]),
    );
    const paidWithChange = handfulsOf(purse).some(
      (handful) =>
        worth(handful) > price &&
        handful.every((coin) => worth(handful) - coin < price) &&
        handfulsOf(till).some((back) => worth(back) === worth(handful) - price),
    );
    assert.equal(answer.ok, exact.size > 0 || paidWithChange, `${price}`);
    if (!answer.ok) continue;
    const fact = answer.value.facts[1]!;
    if (exact.size === 0) assert.match(fact, /only with change/);
    else {
      assert.match(fact, new RegExp(`^${price}p: ${exact.size} ways?, `));
      assert.equal(fact.split('fewest ')[1]!.split(' + ').length, Math.min(...exact.values()));
    }
  }
});
